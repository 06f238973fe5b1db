import type { BodyDraft, GlazeDraft } from '@/records/materials';
import type { Role } from '@/core/vocabulary';

/** The people of the Old Signalworks; the first three sign in in the demo. */
export const MEMBERS: readonly { name: string; signIn: string; password: string; role: Role }[] = [
  { name: 'Maren Okafor', signIn: 'technician', password: 'signal-box-one', role: 'technician' },
  { name: 'Tomas Lindqvist', signIn: 'teacher', password: 'signal-box-two', role: 'teacher' },
  { name: 'Yuki Adeyemi', signIn: 'student', password: 'signal-box-three', role: 'student' },
  { name: 'Priya Castellano', signIn: 'priya', password: 'signal-box-four', role: 'student' },
  { name: 'Bashir Novak', signIn: 'bashir', password: 'signal-box-five', role: 'student' },
];

/** Address of the stand-in controllers that the demo starts beside the server. */
const CONTROLLERS = `http://127.0.0.1:${process.env.SIMULATOR_PORT ?? 3211}`;

export const KILNS = [
  {
    key: 'two',
    name: 'Number Two',
    heat: 'electric',
    litres: 190,
    shelves: 4,
    controller: `${CONTROLLERS}/two`,
    openBelow: 50,
    mostCelsius: 1290,
    shelfWidthMm: 530,
    shelfDepthMm: 530,
    roundShelves: true,
  },
  {
    key: 'stoker',
    name: 'The Stoker',
    heat: 'gas',
    litres: 500,
    shelves: 5,
    controller: '',
    openBelow: 60,
    mostCelsius: 1320,
    shelfWidthMm: 900,
    shelfDepthMm: 600,
    roundShelves: false,
  },
] as const;

const clay = (
  name: string,
  colourOxidation: string,
  colourReduction: string,
  iron: BodyDraft['iron'],
  more: Partial<BodyDraft> = {},
): Omit<BodyDraft, 'id'> => ({
  name,
  colourOxidation,
  colourReduction,
  iron,
  coarse: false,
  coneFrom: '5',
  coneTo: '10',
  shrinkage: 12,
  absorption: 2,
  expansion: null,
  note: '',
  ...more,
});

export const BODIES: readonly Omit<BodyDraft, 'id'>[] = [
  clay('Buffer White', '#e3d8c3', '#d8c7aa', 'none', {
    note: 'Smooth white stoneware; the house clay.',
    expansion: 6.6,
  }),
  clay('Embankment Buff', '#c9a77c', '#b08457', 'low', { coarse: true, note: 'Grogged, for handbuilding.' }),
  clay('Cutting Red', '#874a30', '#5d3423', 'high', {
    coarse: true,
    coneFrom: '1',
    coneTo: '6',
    note: 'Bloats past cone 7.',
  }),
  clay('Viaduct Porcelain', '#efece4', '#e6e7e4', 'none', {
    shrinkage: 15,
    absorption: 0.3,
    expansion: 5.6,
    note: 'Throws well, forgives nothing.',
  }),
  clay('Tunnel Black', '#2d2623', '#241f1d', 'high', {
    coneTo: '6',
    note: 'Manganese in the body: ventilate.',
  }),
];

const glaze = (
  name: string,
  colour: string,
  surface: GlazeDraft['surface'],
  movement: GlazeDraft['movement'],
  opaque: boolean,
  advice: string,
  caution = '',
  kind: GlazeDraft['kind'] = 'glaze',
): Omit<GlazeDraft, 'id'> => ({
  name,
  also: ALSO[name] ?? '',
  kind,
  colour,
  surface,
  movement,
  opaque,
  decorative: DECORATIVE.has(name),
  usualMethod: null,
  usualTimes: null,
  advice,
  caution,
});

/** What students call them. */
const ALSO: Readonly<Record<string, string>> = {
  'Guard Green': 'celadon, the green bucket',
  'Kettle Blue': 'the blue one',
  Sleeper: 'tenmoku',
};

/** Much copper, chrome or manganese: the studio keeps these off what food touches. */
const DECORATIVE = new Set(['Verdigris Gate', 'Lantern', 'Sleeper', 'Plum Siding', 'Brass Plate']);

export const GLAZES: readonly Omit<GlazeDraft, 'id'>[] = [
  glaze(
    'Limewash',
    '#e9e2d2',
    'satin',
    'stable',
    true,
    'Stable. Breaks rust on edges over iron. Dries slowly over Sleeper: wait until the sheen is gone.',
  ),
  glaze(
    'Guard Green',
    '#93b09c',
    'gloss',
    'moves',
    false,
    'Thin over texture, two dips at most. Best on white clay.',
  ),
  glaze(
    'Sleeper',
    '#2b1a14',
    'gloss',
    'moves',
    true,
    'Two quick dips. Stable to the foot when once.',
    'Carries manganese: ventilate the kiln, respirator when weighing.',
  ),
  glaze(
    'Plum Siding',
    '#7d2438',
    'gloss',
    'runs',
    true,
    'Keep off the lower third. One dip: pits where thick.',
    'Carbide in the recipe: respirator when weighing.',
  ),
  glaze('Ash Tip', '#8d8a45', 'gloss', 'runs', false, 'Runs. Keep 3 cm off the foot, use a cookie.'),
  glaze(
    'Kettle Blue',
    '#2a3f86',
    'gloss',
    'moves',
    true,
    'Reliable. Very dark when twice.',
    'Cobalt: wash hands, no dust.',
  ),
  glaze('Slate Bank', '#5d7489', 'satin', 'stable', true, 'Sets hard in the bucket: stir, then stir again.'),
  glaze(
    'Verdigris Gate',
    '#2f877f',
    'gloss',
    'moves',
    true,
    'Copper: decorative ware until a leach test says otherwise.',
    'Copper: no dust, ventilate; may fume on neighbours.',
  ),
  glaze('Rust Yard', '#74300f', 'gloss', 'moves', true, 'Best on iron clay. Greys over white.'),
  glaze(
    'Chalk Cut',
    '#e6dcc8',
    'matte',
    'stable',
    true,
    'High in light magnesia: crawls when thick. One dip.',
  ),
  glaze('Lamp Clear', '#dfe2d6', 'gloss', 'stable', false, 'One dip of 3 seconds. Milky when thick.'),
  glaze(
    'Fogman',
    '#c8ccd2',
    'satin',
    'moves',
    false,
    'Seals early: not over other glazes.',
    'Soda ash in the slop: caustic, gloves.',
  ),
  glaze('Whitestrip', '#e7dfcf', 'matte', 'stable', true, 'On leather-hard clay only.', '', 'slip'),
  glaze(
    'Sootline',
    '#2b2624',
    'matte',
    'stable',
    true,
    'On leather-hard clay only. Lifts from dry clay.',
    '',
    'slip',
  ),
  glaze(
    'Points Iron',
    '#4a2414',
    'matte',
    'stable',
    false,
    'Thin as tea. Glaze over it on tableware.',
    'Iron oxide stains: gloves.',
    'wash',
  ),
  glaze(
    'Brass Plate',
    '#b8903a',
    'gloss',
    'stable',
    true,
    'Over fired glaze only, one thin coat, cone 018.',
    'Solvent and fumes: open windows, kiln vent on. Not where food or a mouth touches.',
    'lustre',
  ),
  glaze('Foot wax', '#b9c4a8', 'matte', 'stable', false, 'Two thin coats; dry before dipping.', '', 'resist'),
];

/** The ten glazes of the overlap grid, in the order of the wall board. */
export const GRID = [
  'Limewash',
  'Guard Green',
  'Sleeper',
  'Plum Siding',
  'Ash Tip',
  'Kettle Blue',
  'Slate Bank',
  'Verdigris Gate',
  'Rust Yard',
  'Chalk Cut',
] as const;
