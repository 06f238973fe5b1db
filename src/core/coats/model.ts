import type { ClayState, GlazeKind, Method, Side } from '../vocabulary';

/** How a layer was laid on. Each gives a thickness and an edge of its own, so the dictionary keeps them apart. */
export type Way = 'dipped' | 'poured' | 'brushed' | 'sprayed' | 'trailed' | 'sponged' | 'inlaid';

/** A resist keeps later coats of its firing off and burns away; a wiped coat stays only in the recesses. */
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
  /** What the clay was like under it. */
  readonly clay?: ClayState;
  readonly mark?: Mark;
  /** Which glaze firing the coat went into, counted from 0; later coats lie on fired glaze. */
  readonly firing?: number;
}

/** One layer of a stack: a glaze, how often, and how it was laid on. A resist leaves none. */
export interface Layer {
  readonly glaze: string;
  readonly times: number;
  readonly way?: Way;
  readonly slip?: boolean;
  readonly clay?: ClayState;
  readonly mark?: Exclude<Mark, 'resist'>;
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

const WAYS: Readonly<Record<Method, Way>> = {
  dip: 'dipped',
  pour: 'poured',
  brush: 'brushed',
  spray: 'sprayed',
  trail: 'trailed',
  sponge: 'sponged',
  inlay: 'inlaid',
};

/**
 * The way a method counts in the dictionary.
 *
 * @example wayOf('pour') // 'poured'
 */
export function wayOf(method: Method): Way {
  return WAYS[method];
}

/** A coat as it is written down on a piece. */
export interface WrittenCoat {
  readonly glazeId: string;
  readonly glazeKind: GlazeKind;
  readonly method: Method;
  readonly times: number;
  readonly side: Side;
  readonly from: number;
  readonly to: number;
  readonly wiped: boolean;
  readonly clay: ClayState | null;
}

/**
 * A written coat as zones are worked out from.
 *
 * @param firing which glaze firing of its piece it went into, counted from 0
 */
export function coreCoat(coat: WrittenCoat, firing = 0): Coat {
  const mark: Mark | null = coat.glazeKind === 'resist' ? 'resist' : coat.wiped ? 'wiped' : null;
  return {
    glaze: coat.glazeId,
    side: coat.side,
    from: coat.from,
    to: coat.to,
    times: coat.times,
    way: wayOf(coat.method),
    slip: coat.glazeKind === 'slip',
    ...(coat.clay && { clay: coat.clay }),
    ...(mark && { mark }),
    firing,
  };
}
