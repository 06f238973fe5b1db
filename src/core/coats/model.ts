import type { Method, Side } from '../vocabulary';
/** Dips are long and thick, coats are thin: the dictionary keeps results of the two apart. */
export type Way = 'dipped' | 'brushed';

/** A resist keeps later coats off; a wiped coat stays only in the recesses. Both count as layers that say so. */
export type Mark = 'resist' | 'wiped';

/** One application on a piece. `from` and `to` are fractions of the side, 0 = foot, 1 = rim. */
export interface Coat {
  readonly glaze: string;
  readonly side: Side;
  readonly from: number;
  readonly to: number;
  readonly times: number;
  readonly way?: Way;
  readonly slip?: boolean;
  readonly mark?: Mark;
  /** Which glaze firing the coat went into, counted from 0; later coats lie on fired glaze. */
  readonly firing?: number;
}

/** One layer of a stack: a glaze, how often, and how it was laid on. */
export interface Layer {
  readonly glaze: string;
  readonly times: number;
  readonly way?: Way;
  readonly slip?: boolean;
  readonly mark?: Mark;
  readonly firing?: number;
}

/** The coats of a zone, bottom first. */
export type Stack = readonly Layer[];

/** A stretch of one side where the stack is the same from bottom to top. */
export interface Zone {
  readonly side: Side;
  readonly from: number;
  readonly to: number;
  readonly stack: Stack;
}

/**
 * The way a method counts in the dictionary.
 *
 * A dip or a pour is counted in dips; all others are counted in coats, each about a third of a dip
 * (common practice, no source).
 *
 * @example wayOf('pour') // 'dipped'
 */
export function wayOf(method: Method): Way {
  return method === 'dip' || method === 'pour' ? 'dipped' : 'brushed';
}
