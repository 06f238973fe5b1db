import type { ColumnName } from './columns';

/** What may differ between two zones that are otherwise the same. */
export const FACTORS = [
  ...(['coats', 'order', 'alone', 'body', 'ground', 'drying', 'clay', 'batch', 'shelf', 'place'] as const),
  ...(['texture', 'batchAcross', 'atmosphere', 'reached', 'cooling', 'firing'] as const),
] as const;
export type Factor = (typeof FACTORS)[number];

/** What an experiment over all glazes together is about. */
export const ANY_GLAZE = 'any glaze';

/** How a factor splits zones: what is held the same, the level, and what it is about. */
export interface Split {
  /** What the factor is a property of, and so what is counted when it is tested. */
  readonly unit: 'piece' | 'firing';
  readonly same: readonly ColumnName[];
  readonly level: ColumnName;
  readonly about: readonly ColumnName[];
}

const GROUND = ['body', 'slips'] as const;
const HEAT = ['atmosphere', 'cone'] as const;

export const SPLITS: Readonly<Record<Factor, Split>> = {
  coats: { unit: 'piece', same: ['glazes', ...GROUND, 'firing'], level: 'times', about: ['said'] },
  order: { unit: 'piece', same: ['twoCoats', ...GROUND, 'firing'], level: 'said', about: ['twoGlazes'] },
  alone: { unit: 'piece', same: ['topCoat', ...GROUND, 'firing'], level: 'alone', about: ['top'] },
  // Bare clay takes no part: its glazes do not apply.
  body: { unit: 'piece', same: ['glazes', 'stack', 'slips', 'firing'], level: 'body', about: ['said'] },
  ground: { unit: 'piece', same: ['stack', 'body', 'firing'], level: 'slips', about: ['said'] },
  drying: { unit: 'piece', same: ['stack', ...GROUND, 'firing'], level: 'drying', about: ['said'] },
  clay: { unit: 'piece', same: ['stack', ...GROUND, 'firing'], level: 'clay', about: ['slips'] },
  // Side by side in one firing; and from firing to firing, where one cannot be told from what it was fired in.
  batch: { unit: 'piece', same: ['stack', ...GROUND, 'firing'], level: 'batches', about: ['said'] },
  batchAcross: { unit: 'firing', same: ['stack', ...GROUND, ...HEAT], level: 'batches', about: ['said'] },
  // What lies on a handle, or inside, against the rest of the same pieces; and the same place of pieces with and without.
  place: { unit: 'piece', same: ['stack', ...GROUND, 'form', 'firing'], level: 'place', about: ['said'] },
  texture: {
    unit: 'piece',
    same: ['stack', ...GROUND, 'form', 'place', 'firing'],
    level: 'texture',
    about: ['said'],
  },
  shelf: { unit: 'piece', same: ['stack', ...GROUND, 'firing'], level: 'shelf', about: ['kiln'] },
  atmosphere: { unit: 'firing', same: ['stack', ...GROUND, 'cone'], level: 'atmosphere', about: ['said'] },
  reached: { unit: 'firing', same: ['stack', ...GROUND, ...HEAT], level: 'reached', about: ['said'] },
  cooling: { unit: 'firing', same: ['stack', ...GROUND, ...HEAT], level: 'cooling', about: ['said'] },
  firing: { unit: 'piece', same: ['stack', ...GROUND, ...HEAT], level: 'firing', about: ['kiln', ...HEAT] },
};

/** What may be confounded with a factor. */
export const BESIDE = [
  ['batch', 'batches'],
  ['shelf', 'shelf'],
  ['place on the piece', 'place'],
  ['firing', 'firing'],
  ['kiln', 'kiln'],
  ['cone reached', 'reached'],
  ['cooling', 'cooling'],
] as const satisfies readonly (readonly [string, ColumnName])[];
