import { ITSELF } from './results';

/** What the eye asks first when it meets a defect. */
export type LookGroup = 'hole' | 'crack' | 'bare' | 'lump' | 'flow' | 'colour' | 'ware';

/** One defect: how it looks and what tells it from its likes. */
export interface Defect {
  readonly id: DefectId;
  /** The word on a button. */
  readonly name: string;
  readonly group: LookGroup;
  readonly look: string;
  readonly toldApart: string;
  /** A short word for a place where the full caution is printed; absent when there is no hazard. */
  readonly caution?: string;
}

const SHARP_SLIVERS = 'Loose slivers of glass: wear eye protection, never use on food surfaces.';
const SHARP_CRATERS = 'Burst edges are sharp: grind wet with eye protection and a respirator, or discard.';

const TABLE = [
  [
    'crazing',
    'crazed',
    'crack',
    'fine net of cracks in the glaze only',
    'no width to the crack; may come days or years later; ink or tea shows it',
    'Crazed ware is markedly weaker and can harbour growth if the body is porous.',
  ],
  [
    'shivering',
    'shivered',
    'crack',
    'slivers of glaze lift or fall at rims and edges',
    'loose sharp flakes: the glaze is squeezed, not stretched',
    SHARP_SLIVERS,
  ],
  [
    'dunting',
    'dunted',
    'crack',
    'a crack through body and glaze',
    'sharp glaze edges: on cooling; rounded edges: before the glaze melted',
    'May part without warning: keep out of use.',
  ],
  [
    'crawling',
    'crawled',
    'bare',
    'glaze drawn back into islands, bare body between',
    'thick rounded borders',
  ],
  [
    'pinholing',
    'pinholes',
    'hole',
    'small holes through to the body',
    'a needle reaches the clay; rounded edges',
  ],
  ['pitting', 'pits', 'hole', 'shallow small craters', 'a needle does not reach the clay'],
  [
    'blistering',
    'blisters',
    'hole',
    'bubbles, or burst craters with hollow edges',
    'sharp edges; foam at the worst',
    SHARP_CRATERS,
  ],
  ['bloating', 'bloated', 'lump', 'swollen body, lumps under the glaze', 'the body has risen, not the glaze'],
  ['running', 'ran', 'flow', 'glaze flowed to the foot or the shelf', 'drips, thick lower edge, thin rim'],
  [
    'underfired',
    'underfired',
    'flow',
    'rough, dry, milky or not melted',
    'should be glossy at this cone; scratches',
  ],
  [
    'overfired',
    'overfired',
    'flow',
    'too fluid, thin at edges, bubbled or slumped',
    'with running, colour loss, warped body',
  ],
  [
    'slip-lifting',
    'slip lifts',
    'bare',
    'slip peels or flakes with the glaze on it',
    'bare body below the flake',
    SHARP_SLIVERS,
  ],
  ['colour-loss', 'colour gone', 'colour', 'colour faded or burnt out', 'right elsewhere or at lower heat'],
  [
    'colour-shift',
    'wrong colour',
    'colour',
    'a wrong hue for the glaze',
    'copper green for red; celadon pea green; a pink blush from a neighbour',
  ],
  ['clouding', 'clouded', 'colour', 'a clear glaze gone milky', 'tiny bubbles or crystals, where thick'],
  ['patchy', 'patchy', 'bare', 'uneven cover, thin or bare spots', 'marks of the dip or brush can be seen'],
  ['speck', 'speck', 'lump', 'a single foreign spot or stuck fragment', 'on one piece only'],
  ['dry-wash', 'dry wash', 'colour', 'oxide or stain decoration dry or metallic', 'on the decoration only'],
  ['bleeding', 'bled', 'flow', 'decoration lines blur, spread or bubble', 'at the edges of the lines'],
  ['coring', 'black core', 'ware', 'brittle body with a dark core', 'iron body that breaks easily'],
  [
    'body-crack',
    'body crack',
    'crack',
    'a crack from making, drying or handling',
    'there before glazing; edges open',
  ],
  ['warping', 'warped', 'ware', 'bowed, oval or slumped form', 'the form only'],
  [
    'stuck',
    'stuck',
    'ware',
    'foot plucked or fused to the shelf',
    'the shelf is damaged too',
    'Grind with eye protection and a respirator.',
  ],
  [
    'pop-out',
    'pop-out',
    'lump',
    'a cone-shaped flake with a white speck at its bottom',
    'days after the firing, from damp air',
  ],
  [
    'raw-flaking',
    'raw flakes',
    'bare',
    'dry glaze cracks or falls off before firing',
    'seen before the kiln',
  ],
  [
    'explosion',
    'burst',
    'ware',
    'piece burst in the bisque',
    'thick or damp; shards around',
    'Sharp shards: gloves, and clear the elements with the supply off.',
  ],
  [
    'handling-break',
    'broken off',
    'ware',
    'an edge, a handle or a foot broken off',
    'fresh sharp clay, nothing molten at the break',
    'Sharp clay: gloves.',
  ],
  [
    'missed-patch',
    'missed patch',
    'bare',
    'a spot that the glaze never reached',
    'bare clay with a clean edge: an air bubble, a finger, a drip of wax',
  ],
  [
    'kiln-wash',
    'kiln wash',
    'ware',
    'crumbs of kiln wash on the foot',
    'white and crumbly; the glaze itself is sound',
    'Grind with eye protection and a respirator.',
  ],
  [
    'dirty-foot',
    'dirty foot',
    'ware',
    'glaze crumbs, sand or stains on the foot',
    'the foot only, where it stood',
    'Grind with eye protection and a respirator.',
  ],
] as const satisfies readonly (readonly [string, string, LookGroup, string, string, string?])[];

export type DefectId = (typeof TABLE)[number][0];

/** Every defect, in the order of the reference. */
export const DEFECTS: readonly Defect[] = TABLE.map(([id, name, group, look, toldApart, caution]) => ({
  id,
  name,
  group,
  look,
  toldApart,
  ...(caution && { caution }),
}));

/** What people call defects beside their names. Common practice, no source. */
const CALLED: Readonly<Partial<Record<DefectId, readonly string[]>>> = {
  crazing: ['crackle', 'craquelure', 'cracked glaze'],
  shivering: ['peeling', 'flaking'],
  dunting: ['cooling crack'],
  crawling: ['beading', 'bare spots', 'pulled back'],
  pinholing: ['pinholes', 'needle pricks', 'holes'],
  pitting: ['pits', 'holes'],
  blistering: ['bubbles', 'blisters', 'boiled', 'craters'],
  bloating: ['bloat', 'blown up', 'lumps in the clay'],
  coring: ['black core', 'iron coring', 'grey heart', 'brittle'],
  underfired: ['dry', 'rough', 'not melted'],
  overfired: ['too hot', 'ran off'],
  running: ['drips', 'ran', 'dripping'],
  'pop-out': ['lime pop', 'lime blowing'],
  'kiln-wash': ['kiln wash', 'crumbs'],
  'slip-lifting': ['slip flaking', 'slip peeling'],
  stuck: ['plucked', 'stuck to the shelf'],
};

/** What people call a defect beside its name. */
export const defectCalled = (id: DefectId): readonly string[] => CALLED[id] ?? [];

/** The defect of an id; undefined when there is none. */
export function defectOf(id: string): Defect | undefined {
  return DEFECTS.find((defect) => defect.id === id);
}

/** The noun of a defect as it stands in a sentence: "pitting", "slip lifting". */
export function defectName(id: string): string {
  return id.replace(/-/g, ' ');
}

/** Faults that are a piece's own, of its clay, its making or its handling, whatever glaze lies on it. */
const PIECE_FAULTS: ReadonlySet<string> = new Set<DefectId>([
  ...(['body-crack', 'warping', 'coring', 'explosion', 'pop-out'] as const),
  ...(['handling-break', 'missed-patch', 'kiln-wash', 'dirty-foot'] as const),
]);

/** Faults that may be of the glazes or of the piece: whoever sees one says which. */
const EITHER: ReadonlySet<string> = new Set<DefectId>(['stuck', 'dunting', 'bloating']);

/**
 * Whose fault a defect is: the glazes' on which it shows, the piece's own, or either.
 *
 * @example faultOf('stuck') // 'either': a foot plucked under a running glaze, or where no glaze was near
 */
export function faultOf(defect: string): 'glaze' | 'piece' | 'either' {
  return PIECE_FAULTS.has(defect) ? 'piece' : EITHER.has(defect) ? 'either' : 'glaze';
}

/** Whether a defect that was seen speaks about the glazes where it sits, and not about the piece alone. */
export function speaksOfGlazes({
  defect,
  place,
}: {
  readonly defect: string;
  readonly place: string;
}): boolean {
  return faultOf(defect) !== 'piece' && place !== ITSELF;
}

/** The ids of the faults that are never a glaze's. */
export const PIECE_FAULT_IDS = [...PIECE_FAULTS] as readonly DefectId[];

/** The defects that an opening offers first. Common practice, no source. */
export const COMMON_DEFECTS = [
  ...(['pinholing', 'pitting', 'blistering', 'crazing', 'crawling'] as const),
  ...(['running', 'underfired', 'slip-lifting', 'speck'] as const),
] as const satisfies readonly DefectId[];

/** The defects that come days to years after the firing. */
export const LATE_DEFECTS = [
  'crazing',
  'shivering',
  'dunting',
  'pop-out',
] as const satisfies readonly DefectId[];

/** What a defect is most easily taken for, where that is not just the next of its group. */
const LOOK_ALIKES: Readonly<Partial<Record<DefectId, readonly DefectId[]>>> = {
  pinholing: ['pitting', 'blistering'],
  pitting: ['pinholing', 'blistering'],
  blistering: ['pitting', 'bloating'],
  bloating: ['blistering', 'pop-out'],
  crazing: ['dunting', 'shivering'],
  shivering: ['slip-lifting', 'crazing'],
  dunting: ['crazing', 'body-crack'],
  crawling: ['patchy', 'raw-flaking'],
  'slip-lifting': ['shivering', 'crawling'],
};

/** The two defects that one is most easily taken for. */
export function lookAlikesOf(defect: Defect): Defect[] {
  const named = LOOK_ALIKES[defect.id]?.map((id) => DEFECTS.find((one) => one.id === id)!);
  return named ?? DEFECTS.filter((one) => one.group === defect.group && one !== defect).slice(0, 2);
}

/** All defect ids, for schemas and columns. */
export const DEFECT_IDS = DEFECTS.map(({ id }) => id) as [DefectId, ...DefectId[]];

/** What a maker may want of a glaze, by the defect that it otherwise is. */
export const WANTED_EFFECTS = {
  crazing: 'crackle',
  running: 'runs',
  'colour-shift': 'blush',
  pitting: 'craters',
  crawling: 'lichen',
} as const satisfies Readonly<Partial<Record<DefectId, string>>>;

/** Why a piece goes into a kiln again, in words: the name of a defect, or what was said. */
export function reasonName(reason: string): string {
  return defectOf(reason) ? defectName(reason) : reason;
}
