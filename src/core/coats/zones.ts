import { SIDES, type Side } from '../vocabulary';
import type { Area, Coat, Cover, Layer, Stack, Zone } from './model';

/**
 * Two edges closer than this, as a fraction of the side, are one edge: 0.1 + 0.2 touches 0.3.
 * A hundredth of a hair on the tallest jar, and far above the noise of floating-point sums.
 */
export const EDGE_TOLERANCE = 1e-6;

/**
 * Works out the zones of a piece from its coats.
 *
 * Each side that carries a coat is cut at every edge of its coats; between two cuts the stack is the
 * coats that cover the stretch, in order of application. Neighbouring layers of the same glaze, laid on
 * the same way, merge and their times add; neighbouring zones with equal stacks merge. Bare stretches are
 * zones with an empty stack, so the zones of a side tile it from 0 to 1. On a piece with left or right
 * coats, a coat on the outside counts for both halves. Where a resist lies, later coats of its firing are absent, and
 * the resist itself leaves no layer.
 *
 * An area has zones of its own: of the coats of its side within its range, but for those that were kept off it, and of
 * the coats that lie on it alone, in order of application. The zones of sides take no notice of areas.
 *
 * @param coats in order of application; `from` and `to` are fractions, 0 = foot, 1 = rim
 * @param areas named parts beside the bands
 * @returns zones by side (outside, left, right, inside), each side from foot to rim; with no coats on a side at all,
 *   one bare zone on the outside; then the zones of areas, in their order
 * @throws RangeError for a band that leaves 0 to 1, has no height, or is applied less than once, and for the name of an
 *   area that there is not, or that there is twice
 * @example
 * zonesOf([
 *   { glaze: 'Sleeper', side: 'outside', from: 0, to: 0.66, times: 2 },
 *   { glaze: 'Limewash', side: 'outside', from: 0.33, to: 1, times: 1 },
 * ]).length // 3: Sleeper alone, Limewash over Sleeper, Limewash alone
 */
export function zonesOf(coats: readonly Coat[], areas: readonly Area[] = []): Zone[] {
  coats.forEach(refuseBadBand);
  if (areas.length) refuseBadAreas(areas, coats);
  const onSides = coats.filter((coat) => coat.area === undefined);
  return [
    ...sidesOf(onSides).flatMap((side) =>
      stretches(
        onSides.filter((coat) => covers(coat.side, side)),
        WHOLE,
      ).map((stretch) => ({ side, ...stretch })),
    ),
    ...areas.flatMap((area) => zonesOfArea(area, coats)),
  ];
}

/** A stretch from foot to rim. */
const WHOLE = { from: 0, to: 1 };

function zonesOfArea(area: Area, coats: readonly Coat[]): Zone[] {
  const found = stretches(
    coats.filter((coat) => liesOn(coat, area)),
    area,
  );
  const of = { side: area.side ?? ('outside' as const), area: area.name };
  // One that no coat cuts is the area, wherever that ends.
  return found.length === 1
    ? [{ ...of, ...WHOLE, stack: found[0]!.stack }]
    : found.map((stretch) => ({ ...of, ...stretch }));
}

/** Zones as one reads a piece: sides from rim to foot, the last side first, then its areas. */
export function rimFirst<Z extends { readonly area?: string | null }>(zones: readonly Z[]): Z[] {
  return [...zones.filter(({ area }) => !area).toReversed(), ...zones.filter(({ area }) => area)];
}

/** Whether a coat lies on an area somewhere: its own, or one of the area's side that was not kept off. */
export function liesOn(
  coat: Pick<Coat, 'side' | 'area' | 'not'>,
  area: Pick<Area, 'name' | 'side'>,
): boolean {
  if (coat.area !== undefined) return coat.area === area.name;
  return area.side !== null && covers(coat.side, area.side) && !coat.not?.includes(area.name);
}

/**
 * The middle of a zone on its side; of the whole of an area, the area's.
 *
 * @param areas those of its piece
 */
export function middleOf({ area, from, to }: ZoneAt, areas: readonly Area[]): number {
  const range = from === 0 && to === 1 ? areas.find(({ name }) => name === area) : undefined;
  return range ? (range.from + range.to) / 2 : (from + to) / 2;
}

/** Whether a coat lies on the side, or the area, that a zone is of. */
export function isOnPlaceOf(
  coat: Pick<Coat, 'side' | 'area' | 'not'>,
  { area: name, side }: ZoneAt,
  areas: readonly Area[],
): boolean {
  if (!name) return coat.area === undefined && covers(coat.side, side);
  const area = areas.find((one) => one.name === name);
  return area !== undefined && liesOn(coat, area);
}

/** Where a zone is. */
type ZoneAt = Pick<Zone, 'side' | 'from' | 'to'> & { readonly area?: string | null };

function refuseBadAreas(areas: readonly Area[], coats: readonly Coat[]): void {
  const names = new Set(areas.map(({ name }) => name));
  if (names.size < areas.length) throw new RangeError('areas: each has a name of its own');
  for (const [index, { from, to }] of areas.entries())
    if (!(from >= 0 && to <= 1 && to - from > EDGE_TOLERANCE))
      throw new RangeError(`areas[${index}]: from must lie below to, both within 0 to 1`);
  for (const [index, { area, not = [] }] of coats.entries())
    for (const name of area === undefined ? not : [area, ...not])
      if (!names.has(name)) throw new RangeError(`coats[${index}]: there is no area ${name}`);
}

/** The sides that carry coats, in the fixed order; a piece with left or right coats has no whole outside. */
export function sidesOf(coats: readonly Pick<Coat, 'side'>[]): Side[] {
  const named = new Set(coats.map((coat) => coat.side));
  if (named.size === 0) return ['outside'];
  if (named.has('left') || named.has('right')) {
    named.delete('outside');
    named.add('left').add('right');
  }
  return SIDES.filter((side) => named.has(side));
}

/** Whether a coat given for one side lies on the other: itself, or a half of a split outside. */
export function covers(coatSide: Side, side: Side): boolean {
  return coatSide === side || (coatSide === 'outside' && (side === 'left' || side === 'right'));
}

/**
 * Whether two layers are the same thing laid on the same way in the same firing, so that they merge. What the clay was
 * like under the upper one says nothing more: the lower one lies on the clay.
 */
function sameLayer(a: Layer, b: Layer): boolean {
  return (
    a.glaze === b.glaze &&
    a.way === b.way &&
    a.mark === b.mark &&
    a.cover === b.cover &&
    Boolean(a.slip) === Boolean(b.slip) &&
    (a.firing ?? 0) === (b.firing ?? 0)
  );
}

function refuseBadBand(coat: Coat, index: number): void {
  const { from, to, times } = coat;
  if (!(from >= 0 && to <= 1)) throw new RangeError(`coats[${index}]: from and to must lie within 0 to 1`);
  if (!(to - from > EDGE_TOLERANCE)) throw new RangeError(`coats[${index}]: from must be below to`);
  if (!(Number.isInteger(times) && times >= 1))
    throw new RangeError(`coats[${index}]: times must be 1 or more`);
}

/** A stretch with its stack. */
type Stretch = Pick<Zone, 'from' | 'to' | 'stack'>;

/** The stretches that coats cut a range into, each with its stack, neighbours with the same stack in one. */
function stretches(coats: readonly Coat[], range: { readonly from: number; readonly to: number }): Stretch[] {
  const edges = edgesOf(coats, range);
  const found: Stretch[] = [];
  for (let i = 0; i + 1 < edges.length; i++) {
    const from = edges[i]!;
    const to = edges[i + 1]!;
    const middle = (from + to) / 2;
    const stack = stackOf(coats.filter((coat) => coat.from < middle && coat.to > middle));
    const below = found.at(-1);
    if (below && sameStack(below.stack, stack)) found[found.length - 1] = { ...below, to };
    else found.push({ from, to, stack });
  }
  return found;
}

/** All cuts of a range, its ends included; edges that should touch are one. */
function edgesOf(
  coats: readonly Coat[],
  { from, to }: { readonly from: number; readonly to: number },
): number[] {
  const cuts = coats.flatMap((coat) => [coat.from, coat.to]).filter((cut) => cut > from && cut < to);
  const sorted = [...cuts, to].sort((a, b) => a - b);
  const edges = [from];
  for (const edge of sorted) if (edge - edges.at(-1)! > EDGE_TOLERANCE) edges.push(edge);
  if (to - edges.at(-1)! <= EDGE_TOLERANCE) edges[edges.length - 1] = to;
  return edges;
}

/** The layers of coats; what was laid over a resist in the same firing did not stay. */
function stackOf(coats: readonly Coat[]): Stack {
  const layers: Layer[] = [];
  const resisted = new Map<number, Cover | null>();
  for (const coat of coats) {
    const firing = coat.firing ?? 0;
    if (coat.mark === 'resist' && resisted.get(firing) !== null) resisted.set(firing, coat.cover ?? null);
    const heldOff = resisted.get(firing);
    if (coat.mark === 'resist' || heldOff === null) continue;
    // Between the lines of a resist in a pattern it stays.
    const layer = layerOf(heldOff ? { ...coat, cover: 'partly' } : coat);
    const below = layers.at(-1);
    if (below && sameLayer(below, layer))
      layers[layers.length - 1] = { ...below, times: below.times + layer.times };
    else layers.push(layer);
  }
  return layers;
}

function layerOf({ glaze, times, way, slip, clay, mark, cover, firing }: Coat): Layer {
  return {
    glaze,
    times,
    ...(way && { way }),
    ...(slip && { slip }),
    ...(clay && { clay }),
    ...(mark === 'wiped' && { mark }),
    ...(cover && { cover }),
    ...(firing && { firing }),
  };
}

/** Whether two stacks are the same from bottom to top, times and the clay under them included. */
export function sameStack(a: Stack, b: Stack): boolean {
  return (
    a.length === b.length &&
    a.every((layer, i) => {
      const other = b[i]!;
      return sameLayer(layer, other) && layer.times === other.times && layer.clay === other.clay;
    })
  );
}
