import type { Role } from '@/core/vocabulary';
import type { ReachKind } from '@/records/people';

/** Who may do something: the lowest role, and whether the work that is touched must be within their reach. */
export interface Right {
  readonly least: Role;
  readonly reach?: ReachKind;
  /** Whether it is also done on the studio's tablet, where a PIN signs in: what belongs to making, not to managing. */
  readonly isOnTablet?: true;
  /** Whether a technician may do it who has to set up a second factor first. */
  readonly isWithoutFactor?: true;
}

const anybody: Right = { least: 'visitor' };
/** What one does to be let in at all. */
const own: Right = { least: 'visitor', isWithoutFactor: true };
const students: Right = { least: 'student' };
const teachers: Right = { least: 'teacher' };
const technicians: Right = { least: 'technician' };
const within = <R extends Right>(right: R, reach: ReachKind) => ({ ...right, reach }) as const;
const tablet = <R extends Right>(right: R) => ({ ...right, isOnTablet: true }) as const;

/**
 * What may be done, by whom: every action and every route that writes stands here, and a test fails on one that does
 * not. A student changes own pieces, photos and readings, and reads a whole opening that was assigned to them; a teacher changes the pieces of own groups, of all where there are no groups, and reads any firing;
 * a technician changes all. What adds something beside what others wrote (a question, a measure, a correction to be
 * settled) needs a role only.
 */
export const RIGHTS = {
  // One's own account
  endOwnSession: anybody,
  saveOwnName: anybody,
  saveOwnPassword: anybody,
  endAllOwnSessions: own,
  offerFactor: own,
  confirmFactor: own,
  removeFactor: anybody,
  chooseUnits: tablet(anybody),
  tellHints: tablet(anybody),
  saveOwnPin: anybody,

  // People; a teacher those of own groups, which the records decide
  invite: teachers,
  endInvite: teachers,
  saveMaker: teachers,
  saveGroupCard: teachers,
  endGroup: teachers,
  giveGroup: teachers,
  savePersonCard: technicians,
  letLeave: technicians,
  letReturn: technicians,
  mergeMakers: technicians,
  makePasswordLink: technicians,
  dropFactor: technicians,
  saveStudio: technicians,
  saveLogo: technicians,
  removeLogo: technicians,
  skipStep: technicians,
  // Whose changes, the records decide.
  takeBack: students,
  saveSeries: technicians,
  removeSeries: technicians,
  makeDevice: technicians,
  removeDevice: technicians,

  // Pieces, their photos and readings
  saveNewPieces: tablet(students),
  saveSheet: tablet(students),
  takePhotoFirst: tablet(students),
  findPiece: tablet(students),
  saveMany: within(students, 'pieces'),
  saveCorrections: within(students, 'pieces'),
  decidePlan: within(students, 'pieces'),
  saveGlazingPattern: students,
  endPattern: teachers,
  saveOrderCard: teachers,
  endOrder: teachers,
  sayExpectation: tablet(within(students, 'pieces')),
  addReminder: tablet(students),
  tickReminder: tablet(students),
  saveCorrection: tablet(within(students, 'pieces')),
  saveLateLook: tablet(within(students, 'pieces')),
  savePhoto: tablet(within(students, 'photos')),
  savePhotoTime: tablet(within(students, 'photos')),
  showPhotoFirst: tablet(within(students, 'photos')),
  setPhotoRemoved: within(teachers, 'photos'),
  movePhotoTo: within(teachers, 'photos'),
  giveToMaker: within(teachers, 'pieces'),
  sayWare: tablet(within(students, 'pieces')),
  addToSet: tablet(within(students, 'pieces')),
  takeOutOfSet: tablet(within(students, 'pieces')),
  mixClay: tablet(students),
  saveFormCard: teachers,
  endForm: teachers,
  addPhoto: tablet(within(students, 'photos')),
  writeOpening: tablet(within(students, 'readings')),
  reserveNumbers: tablet(students),

  // Rounds: whoever glazes a cell of the tray says so
  layOutRound: teachers,
  noteGlazed: tablet(students),

  // Firings and kilns
  saveFiringPlan: teachers,
  logPastFiring: teachers,
  loadFiring: tablet(teachers),
  placeOnShelves: tablet(teachers),
  setPosts: tablet(teachers),
  want: tablet(teachers),
  unloadFiring: tablet(teachers),
  startFiring: teachers,
  endFiring: teachers,
  openKiln: teachers,
  saveEvent: tablet(teachers),
  setEventsEnded: teachers,
  saveBook: tablet(teachers),
  sayLit: teachers,
  saveWitness: tablet(teachers),
  fileUnderCone: teachers,
  saveAtmosphereReached: teachers,
  saveFullness: tablet(teachers),
  importFiringLog: teachers,
  saveShelfPhoto: tablet(teachers),
  assignOpening: teachers,
  closeOpening: teachers,
  markRepaired: tablet(students),
  savePart: technicians,
  setPartEnded: technicians,
  saveKilnForm: technicians,
  saveProgrammeForm: teachers,
  saveHours: teachers,
  moveFiring: teachers,
  renewCalendarFeed: teachers,

  // Glazes and clays
  saveBodyCard: teachers,
  addClays: teachers,
  saveGlazeCard: teachers,
  addGlazes: teachers,
  saveBatch: teachers,
  sayOfGlaze: teachers,
  saveRecipeText: teachers,
  chooseVersion: teachers,
  saveMaterialCard: teachers,
  saveAlias: teachers,
  saveMeasure: tablet(students),

  // Dictionary, wall and clinic
  saveNote: teachers,
  correct: tablet(students),
  settle: teachers,
  requestTest: tablet(students),
  withdrawTestRequest: tablet(students),
  nameWall: teachers,
  setWallEnded: teachers,
  shareWall: teachers,
  setShareEnded: teachers,
  // A case is looked into together.
  openCaseAction: students,
  saveCase: students,
  saveTry: students,
} as const satisfies Readonly<Record<string, Right>>;

export type RightName = keyof typeof RIGHTS;

/** Rights for which it matters whose work is touched. */
export type ReachingName = {
  [Name in RightName]: (typeof RIGHTS)[Name] extends { readonly reach: ReachKind } ? Name : never;
}[RightName];

/**
 * What may be read through the interface for programs, by whom: every route that answers GET stands here, but for the
 * two that ask nobody. A visitor with a sign-in looks at walls, entries and pieces; recipes, sheets and files are for
 * who makes something.
 */
export const READS = {
  'entries/photos': 'visitor',
  'firings/[id]/log': 'visitor',
  live: 'visitor',
  'look-up': 'visitor',
  'photos/[hash]': 'visitor',
  wall: 'visitor',
  'cases/[id]/report': 'student',
  'dictionary/[id]': 'student',
  'dictionary/[id]/file': 'student',
  'firings.csv': 'student',
  'firings/[id]/opening': 'student',
  'firings/[id]/summary': 'student',
  handout: 'student',
  'pieces.csv': 'student',
  'pieces/labels': 'student',
  'rounds/[id]/bench': 'student',
  'rounds/[id]/labels': 'student',
  'samples/[label]': 'student',
  'wall/poster': 'student',
} as const satisfies Readonly<Record<string, Role>>;

/** Who sees a page. */
export interface PageRight {
  readonly least: Role;
  /** Whether it manages something, and is not there for who signed in by a PIN. */
  readonly isManaging?: true;
  /** Whether it opens for a technician who has to set up a second factor first. */
  readonly isWithoutFactor?: true;
}

/** Which page is seen by whom; to anybody else it is not there. A page asks by its path, and a test walks them all. */
export const PAGES = {
  '/': { least: 'visitor' },
  '/account': { least: 'visitor', isManaging: true, isWithoutFactor: true },
  '/clays': { least: 'visitor' },
  '/clays/[id]': { least: 'visitor' },
  '/compare': { least: 'visitor' },
  '/entry/[id]': { least: 'visitor' },
  '/evidence': { least: 'visitor' },
  '/find': { least: 'visitor' },
  '/firings/[id]': { least: 'visitor' },
  '/kilns': { least: 'visitor' },
  '/kilns/[id]': { least: 'visitor' },
  '/pieces': { least: 'visitor' },
  '/pieces/[label]': { least: 'visitor' },
  '/wall': { least: 'visitor' },
  '/changes': { least: 'student', isManaging: true },
  '/clinic': { least: 'student' },
  '/clinic/[defect]': { least: 'student' },
  '/clinic/cases/[id]': { least: 'student' },
  '/clinic/watch': { least: 'student' },
  '/firings/[id]/opening': { least: 'student' },
  '/firings/[id]/summary': { least: 'student' },
  '/glazes': { least: 'student' },
  '/glazes/[id]': { least: 'student' },
  '/glazes/[id]/card': { least: 'student' },
  '/glazes/blend': { least: 'student' },
  '/glazes/cards': { least: 'student' },
  '/glazes/materials': { least: 'student' },
  '/kilns/programmes': { least: 'student' },
  '/kilns/queue': { least: 'student' },
  '/make': { least: 'student' },
  '/orders': { least: 'student' },
  '/orders/[id]': { least: 'student' },
  '/pieces/[label]/edit': { least: 'student' },
  '/pieces/new': { least: 'student' },
  '/pieces/photo': { least: 'student' },
  '/pieces/sheet': { least: 'student' },
  '/pieces/forms': { least: 'student' },
  '/pieces/forms/[id]': { least: 'teacher' },
  '/rounds': { least: 'student' },
  '/rounds/[id]': { least: 'student' },
  '/rounds/[id]/bench': { least: 'student' },
  '/rounds/[id]/labels': { least: 'student' },
  '/rounds/new': { least: 'student' },
  '/rounds/suggest': { least: 'student' },
  '/wall/print': { least: 'student' },
  '/people': { least: 'teacher', isManaging: true },
  '/people/groups/[id]': { least: 'student' },
  '/wall/links': { least: 'teacher', isManaging: true },
  '/studio': { least: 'technician', isManaging: true },
} as const satisfies Readonly<Record<string, PageRight>>;

export type PageName = keyof typeof PAGES;

/** Every address that somebody reads, pages and routes, in parts; those with fewer open parts come first. */
const ADDRESSES = [
  ...Object.entries<PageRight>(PAGES),
  ...Object.entries<Role>(READS).map(([path, least]) => [`/api/v1/${path}`, { least }] as const),
]
  .map(([path, right]) => ({ parts: path.split('/'), right }))
  .sort((a, b) => openParts(a.parts) - openParts(b.parts));

function openParts(parts: readonly string[]): number {
  return parts.filter((part) => part.startsWith('[')).length;
}

/**
 * Who may open an address of the house; null for one that is not among pages and routes.
 *
 * @example rightOf('/pieces/SW-0001?from=wall') // { least: 'visitor' }
 */
export function rightOf(href: string): PageRight | null {
  const parts = href.split(/[?#]/)[0]!.split('/');
  const found = ADDRESSES.find(
    (one) =>
      one.parts.length === parts.length &&
      one.parts.every((part, i) => part.startsWith('[') || part === parts[i]),
  );
  return found?.right ?? null;
}
