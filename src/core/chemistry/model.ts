import { OXIDES, type Oxide } from './oxides';

/** One line of a recipe. Additions (colourants, opacifiers) are weighed on top of the base. */
export interface Line {
  readonly material: string;
  /** Parts by weight; of an addition, percent of the base. */
  readonly amount: number;
  readonly addition?: boolean | undefined;
}

/** An amount of each oxide, in the unit its name says. */
export type Oxides = Readonly<Partial<Record<Oxide, number>>>;

/** An amount of each oxide in the order of `OXIDES`, 0 where there is none. */
export type Amounts = number[];

const NOTHING: Amounts = OXIDES.map(() => 0);

/** Amounts of nothing, to be added to. */
export function noAmounts(): Amounts {
  return NOTHING.slice();
}
