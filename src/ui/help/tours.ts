/** What a screen is for and how one gets on with it, to be read in two minutes. */
export interface Tour {
  /** Where the address of the screen begins. */
  readonly path: string;
  readonly title: string;
  readonly steps: readonly string[];
}

/** The tours, those of a longer address before those it begins with. */
const TOURS: readonly Tour[] = [
  {
    path: '/pieces/new',
    title: 'New piece',
    steps: [
      'Choose the form and the clay; the form is drawn to its size in the middle.',
      'Add coats in the order of application. Type two letters of a glaze and press Enter.',
      'Drag the edges of a band on the drawing, or move them with the arrow keys. What overlaps becomes a zone of its own.',
      'To the right stands what the piece tests: each zone and the entry it will prove.',
      'How many makes twins, each with a number. Write the number under the foot.',
    ],
  },
  {
    path: '/pieces/sheet',
    title: 'Sheet of pieces',
    steps: [
      'A row is a piece, or several alike. A few letters find a name: Tab takes it and goes on, Enter goes to the next row. On a phone the last choices are buttons.',
      'The pattern says where the glazes of a row go. A piece’s own page gives its way of glazing a name, to be used here.',
      'A new row is like the one above it, in grey: it counts once something in it is typed. Ctrl D writes what stands above.',
      'Own numbers count on by themselves; rows can be pasted from a spreadsheet, with or without its titles.',
      'Save gives every piece its number, to be written under the foot. Without a network the rows are kept and sent later.',
    ],
  },
  {
    path: '/orders',
    title: 'Orders',
    steps: [
      'An order says what is wanted, how many and until when.',
      'Its pieces are written on a sheet for it, or given to it from the list of pieces: tick them and choose the order.',
      'Good are those kept, of first quality or given over; seconds, discarded, broken and missing ones are lost.',
      'What is still to make is told here, on Today, in the queue, and at the opening beside each piece.',
    ],
  },
  {
    path: '/pieces',
    title: 'Pieces',
    steps: [
      'Every piece with its stage: made, glazed, loaded, fired, read.',
      'Narrow the list by stage, fate, clay or glaze; a heading sorts it.',
      'A piece’s own page has its zones, its photos, what was read, and Make it again.',
      'Press p on a piece to pick it up; what you picked up lies on the bench at the foot and can be compared.',
    ],
  },
  {
    path: '/rounds',
    title: 'Rounds',
    steps: [
      'A round is a set of tests: say what you want to know, and it is laid out and numbered.',
      'What the wall already proves is left out, so that no clay is spent on it.',
      'The bench sheet has what to weigh and pour; labels are printed from the round’s page.',
      'Suggest a round shows which free places would teach most.',
    ],
  },
  {
    path: '/kilns/queue',
    title: 'Queue',
    steps: [
      'What waits is sorted by the fire it wants, with the kiln it fills best and when it could be fired.',
      'The calendar shows firing, cooling, and when somebody is there to open. Drag a firing that is not lit.',
      'Opening and quiet hours are set here; proposals keep to them.',
    ],
  },
  {
    path: '/kilns',
    title: 'Kilns',
    steps: [
      'Each kiln with its firings. Plan a firing starts from its last one.',
      'A kiln’s own page says how true its thermocouple is and what was changed.',
      'Load the kiln on its plan: shelves from above, to scale; a warning says what stands badly.',
    ],
  },
  {
    path: '/firings',
    title: 'A firing',
    steps: [
      'Load, light, log, cool, open: the page follows the firing.',
      'Log by hand with one tap, from a controller, or from its file afterwards.',
      'Turn the witness cones to the bend you see; they say which cone it came to.',
      'The opening takes you shelf by shelf, piece by piece: surface, movement, defects, fate.',
    ],
  },
  {
    path: '/wall',
    title: 'The wall',
    steps: [
      'Base glazes down, top glazes across; each cell is cut from the photos of its tiles.',
      'The halves of a cell are two grounds, as it says at the head.',
      'Tap a cell for its entry; walk with the arrow keys; a blank is a combination nobody tried here.',
      'Order the rows by colour, movement or likeness; switch cone and atmosphere at the top.',
    ],
  },
  {
    path: '/entry',
    title: 'An entry',
    steps: [
      'A stack of glazes as a dictionary has it: one numbered sense for each ground, cone and atmosphere.',
      'Behind each sense stand the pieces that prove it and how many agree. A guess is never counted.',
      'Your own clay and fire come first.',
    ],
  },
  {
    path: '/find',
    title: 'Find by colour',
    steps: [
      'Take a colour from a photo, the wheel or a glaze.',
      'What is near it stands below, with how far it is off; keep to your clay and fire, or let go of them.',
    ],
  },
  {
    path: '/clinic',
    title: 'The clinic',
    steps: [
      'Find the defect by its look, or start from a piece.',
      'Causes are ranked from three voices kept apart: what you told, what your tiles say, what chemistry and firing say.',
      'Answer a question, and the order changes. A try goes into the case; it is closed with what helped.',
    ],
  },
  {
    path: '/glazes',
    title: 'Glazes',
    steps: [
      'Each bucket with how it fires. Its page has the recipe with its chemistry, fit on every clay, and batches.',
      'Paste a recipe as text; materials are matched, and what is not known is asked.',
      'The version in use is the one the dictionary counts; it is chosen, not the newest.',
    ],
  },
  {
    path: '/clays',
    title: 'Clays',
    steps: [
      'Each clay with its colour in oxidation and reduction, and what was measured.',
      'Its page says which glazes fit, craze or shiver on it, from your own tiles.',
    ],
  },
  {
    path: '/people',
    title: 'People',
    steps: [
      'Invite makes a link and a QR code: which role, which group, how many may use it, until when.',
      'A maker without a sign-in is somebody you log pieces for; an invitation turns them into a member.',
      'A group’s page shows what of it waits for which kiln, and whether that is in time.',
    ],
  },
  {
    path: '/studio',
    title: 'Studio',
    steps: [
      'Name, time zone, units, and the cones and atmospheres that are offered.',
      'Share this device makes a tablet the studio’s: members sign in there by their name and a PIN.',
    ],
  },
  {
    path: '/',
    title: 'Today',
    steps: [
      'What is in each kiln, and since when; one tap to log, load or open.',
      'What waits to be looked at, to be loaded and to be refired.',
      'To the right: rounds and cases under way, and what the dictionary is least sure of.',
      'Everywhere: / looks up a glaze, a piece or a defect; n logs a new piece; ? opens this help.',
    ],
  },
];

/** The tour of the screen at a path; of the pages that have none, that of Today. */
export function tourOf(path: string): Tour {
  return TOURS.find(
    (tour) => path === tour.path || path.startsWith(tour.path === '/' ? '/' : `${tour.path}/`),
  )!;
}

/** The tour of the very screen at a path; null for a page that has none of its own. */
export function ownTourOf(path: string): Tour | null {
  const tour = tourOf(path);
  return tour.path === '/' && path !== '/' ? null : tour;
}
