import {
  entriesOfCell,
  MIXTURE,
  PLAIN_PUT,
  provedBy,
  USUAL_RING,
  type Cell,
  type FiringTarget,
  type Ring,
  type TestForm,
  type RoundQuestion,
} from '@/core/rounds';
import {
  formShape,
  type Atmosphere,
  type Heat,
  type Form,
  type GlazeKind,
  type RoundKind,
} from '@/core/vocabulary';
import type { StudioForm } from '@/records/pieces';
import type { KnownStack } from '@/records/rounds';

/** The questions a round can ask, in the words of those who ask them. */
export const KINDS: Readonly<Record<RoundKind, string>> = {
  overlap: 'Every glaze over every other',
  coats: 'How many coats',
  clays: 'The same glaze on several clays',
  line: 'Line blend',
  triaxial: 'Triaxial blend',
  corners: 'Four-corner grid',
  ladder: 'Addition series, up or down',
  without: 'One material left out at a time',
  crazing: 'Crazing ladder (add silica and kaolin)',
  factorial: 'Vary several things together',
  free: 'Your own choice of tests',
};

/** Everything that is chosen for a round; what a kind does not use is kept for when it is chosen again. */
export interface Setup extends Omit<RoundQuestion, 'piece' | 'targets'> {
  readonly name: string;
  readonly twins: number;
  readonly form: Form;
  /** A form of the studio's own; null for that of the library. */
  readonly formId: string | null;
  /** Null for as large as the form usually is. */
  readonly heightMm: number | null;
  readonly widthMm: number | null;
  /** The rings that strips are cut from. */
  readonly ring: Ring;
  /** Whether all but the faces is waxed before dipping. */
  readonly isWaxed: boolean;
  readonly cone: Heat;
  readonly atmosphere: Atmosphere;
  /** Other cones and atmospheres that all of it is fired at too; one that is half said does not count yet. */
  readonly alsoAt: readonly { readonly cone: Heat | null; readonly atmosphere: Atmosphere | null }[];
  readonly dueOn: string | null;
  /** Codes of cells left out by hand, and of proved ones taken in after all. */
  readonly out: readonly string[];
  readonly taken: readonly string[];
}

export const FIRST_SETUP: Setup = {
  kind: 'crazing',
  name: '',
  glazes: [],
  bodies: [],
  alsoOn: [],
  textures: [],
  alsoAt: [],
  below: [],
  put: PLAIN_PUT,
  putOver: PLAIN_PUT,
  above: [],
  steps: 5,
  down: 0,
  columns: 5,
  rows: 7,
  singlesTwice: true,
  additions: [{ material: 'Red iron oxide', step: 1 }],
  most: 16,
  tests: [],
  twins: 2,
  form: 'tile',
  formId: null,
  heightMm: null,
  widthMm: null,
  ring: USUAL_RING,
  isWaxed: false,
  cone: '6',
  atmosphere: 'oxidation',
  dueOn: null,
  out: [],
  taken: [],
};

/** What the tests of a round are made on: its form at its size. */
export function pieceOf(
  { form, formId, heightMm, widthMm }: Pick<Setup, 'form' | 'formId' | 'heightMm' | 'widthMm'>,
  ownForms: readonly StudioForm[],
): TestForm & { readonly formId: string | null; readonly clayGrams: number | null } {
  const own = ownForms.find(({ id }) => id === formId);
  const usual = own ?? { form, profile: null, ...sizeOf(form) };
  return {
    ...{ form: usual.form, profile: usual.profile, formId: own?.id ?? null },
    ...{ heightMm: heightMm ?? usual.heightMm, widthMm: widthMm ?? usual.widthMm },
    ...{ bands: own?.bands ?? [], clayGrams: own?.clayGrams ?? null },
  };
}

function sizeOf(form: Form) {
  const { heightMm, widthMm } = formShape(form);
  return { heightMm, widthMm };
}

/** What a set-up asks, on a piece. */
export function questionOf(setup: Setup, piece: TestForm): RoundQuestion {
  const { cone, atmosphere, alsoAt, below, above } = setup;
  const chosen = (layers: Setup['below']) => layers.filter(({ glaze }) => glaze);
  const first: FiringTarget = { cone, atmosphere };
  const said = alsoAt.flatMap((one): FiringTarget[] =>
    one.cone && one.atmosphere ? [{ cone: one.cone, atmosphere: one.atmosphere }] : [],
  );
  const others = said.filter((one) => one.cone !== cone || one.atmosphere !== atmosphere);
  return { ...setup, piece, targets: [first, ...others], below: chosen(below), above: chosen(above) };
}

/** What the dictionary holds of a cell, when it holds something of all its zones: the least proved of them. */
export function knownOf(
  cell: Cell,
  { piece, bodyId, target, kindOf }: KnownAt,
  known: ReadonlyMap<string, KnownStack>,
): KnownStack | undefined {
  if (!cell.stack || cell.stack.some(({ glaze }) => glaze === MIXTURE)) return undefined;
  const entries = entriesOfCell(cell.stack, piece, cell.body ?? bodyId, cell.target ?? target, kindOf);
  const found = entries.map((entry) => known.get(entry));
  return found.reduce<KnownStack | undefined>(
    (least, one) => (least && one && rankOf(least) > rankOf(one) ? one : one && least),
    found[0],
  );
}

interface KnownAt {
  readonly piece: TestForm;
  /** The clay and the target of cells that say none. */
  readonly bodyId: string;
  readonly target: FiringTarget;
  readonly kindOf: (glaze: string) => GlazeKind;
}

const RANKS = ['lacking', 'weak', 'proved'] as const;
const rankOf = (one: KnownStack) => RANKS.indexOf(provedBy(one));

/** Words with glaze ids in them as people read them. */
export function named(
  words: string,
  glazes: readonly { readonly id: string; readonly name: string }[],
): string {
  return words.replace(
    /[0-9A-HJKMNP-TV-Z]{26}/g,
    (id) => glazes.find((glaze) => glaze.id === id)?.name ?? id,
  );
}
