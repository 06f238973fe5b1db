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
  /** The area that it lies on alone; `from` and `to` cut it then, and the side is the area's. */
  readonly area?: string;
  /** Areas of its side that it was kept off. */
  readonly not?: readonly string[];
}

/**
 * A named part of a piece beside its bands: a logo left free on the outside, a handle that is a part of its own. Coats
 * of its side run through it in its range; one that is a part of its own has only its own coats.
 */
export interface Area {
  readonly name: string;
  /** The side it is on; null for a part of its own. */
  readonly side: Side | null;
  /** Fractions of its side, 0 = foot, 1 = rim; 0 and 1 for a part of its own. */
  readonly from: number;
  readonly to: number;
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

/** A stretch of one side, or of an area, where the stack is the same from bottom to top. */
export interface Zone {
  /** Of an area that is a part of its own: outside. */
  readonly side: Side;
  /** Fractions of the side; 0 and 1 for the whole of an area that no coat cuts. */
  readonly from: number;
  readonly to: number;
  readonly stack: Stack;
  /** The area it is of; none for the zones of sides, which take no notice of areas. */
  readonly area?: string;
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
  /** The area that it lies on alone; null for a side. */
  readonly area: string | null;
  /** Areas of its side that it was kept off. */
  readonly not: readonly string[];
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
    ...(coat.area !== null && { area: coat.area }),
    ...(coat.not.length > 0 && { not: coat.not }),
    firing,
  };
}
