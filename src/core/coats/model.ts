import type { ClayState, CoatCover, GlazeKind, Method, Side, Texture } from '../vocabulary';
import type { Outline } from './outline';

/** How a layer was laid on. Each gives a thickness and an edge of its own, so the dictionary keeps them apart. */
export type Way =
  | ('dipped' | 'poured' | 'brushed' | 'sprayed' | 'trailed' | 'sponged' | 'inlaid')
  | ('scattered' | 'dusted' | 'applied');

/** A resist keeps later coats of its firing off and burns away; a wiped coat stays only in the recesses. */
export type Mark = 'resist' | 'wiped';

/** A coat that is not all over its stretch: in places, or thinner and thinner. What it shows is no proof of a whole one. */
export type Cover = 'partly' | 'fading';

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
  /** None where it is all over. */
  readonly cover?: Cover;
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

/** An area as it is written down on a piece. */
export interface WrittenArea extends Area {
  /** The clay it is of; null for that of the piece. */
  readonly bodyId: string | null;
  /** What was done to the clay there. */
  readonly texture: readonly Texture[];
  /** How much of its band all around the piece it takes, 0 to 1; null when nobody said. */
  readonly share: number | null;
  /** Where it lies on the drawing of its side; null when nobody drew it. */
  readonly outline: Outline | null;
}

/** One layer of a stack: a glaze, how often, and how it was laid on. A resist leaves none. */
export interface Layer {
  readonly glaze: string;
  readonly times: number;
  readonly way?: Way;
  readonly slip?: boolean;
  readonly clay?: ClayState;
  readonly mark?: Exclude<Mark, 'resist'>;
  readonly cover?: Cover;
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
  scatter: 'scattered',
  dust: 'dusted',
  apply: 'applied',
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
  /** How far it covers its band; null for all of it. */
  readonly cover: CoatCover | null;
  readonly clay: ClayState | null;
  /** The area that it lies on alone; null for a side. */
  readonly area: string | null;
  /** Areas of its side that it was kept off. */
  readonly not: readonly string[];
}

/** A written coat as zones are worked out from, as long as it covers all of its band: see `coreCoats`. */
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

/**
 * A written coat as zones are worked out from: one, or where its edges slant three, the outer of which cover their
 * stretch in part.
 *
 * @param firing which glaze firing of its piece it went into, counted from 0
 * @example coreCoats({ ...dip, from: 0.2, to: 1, cover: { kind: 'slope', rise: 0.3 } })
 *   // partly from 0.2 to 0.5, all over from 0.5 to 1: at the rim there is no edge
 */
export function coreCoats(written: WrittenCoat, firing = 0): Coat[] {
  const coat = coreCoat(written, firing);
  const { cover } = written;
  if (!cover) return [coat];
  if (cover.kind === 'pattern') return [{ ...coat, cover: 'partly' }];
  if (cover.kind === 'fade') return [{ ...coat, cover: 'fading' }];
  const low = coat.from > 0 ? Math.min(coat.to, coat.from + cover.rise) : 0;
  const high = coat.to < 1 ? Math.max(coat.from, coat.to - cover.rise) : 1;
  const partly = { ...coat, cover: 'partly' as const };
  // So steep that no height is covered all round.
  if (low >= high) return [partly];
  return [
    { ...partly, to: low },
    { ...coat, from: low, to: high },
    { ...partly, from: high },
  ].filter(({ from, to }) => to > from);
}
