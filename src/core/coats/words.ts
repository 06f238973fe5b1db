import { lengthOf, text, type Message, type Quantity } from '../units';
import { formShape, reachMm, type ClayState, type Measures } from '../vocabulary';
import type { FiredAt } from './history';
import type { Coat, Layer, Stack, Zone } from './model';
import { sidesOf, zonesOf } from './zones';

const TIMES = ['', 'once', 'twice', 'three times', 'four times', 'five times', 'six times'];

/**
 * A count of applications in words.
 *
 * @param times 1 or more
 * @example timesWords(2) // 'twice'
 */
export function timesWords(times: number): string {
  return TIMES[times] ?? `${times} times`;
}

/**
 * The headword of a stack, top first as people say it.
 *
 * @param nameOf turns a glaze id into its name
 * @example headwordOf([{ glaze: 's', times: 2 }, { glaze: 'l', times: 1 }], (id) => names[id]) // 'Limewash over Sleeper'
 */
export function headwordOf(stack: Stack, nameOf: (glaze: string) => string): string {
  if (stack.length === 0) return 'Bare clay';
  const names = stack.map((layer) => nameOf(layer.glaze) + markWords(layer));
  return names
    .filter((name, i) => name !== names[i - 1])
    .reverse()
    .join(' over ');
}

/**
 * How a layer was laid on, in words: dips are counted without a word for them.
 *
 * @example layerWords({ times: 2, way: 'dipped' }) // 'twice'
 * @example layerWords({ times: 3, way: 'brushed' }) // 'brushed three times'
 */
export function layerWords({ times, way = 'dipped' }: Pick<Layer, 'times' | 'way'>): string {
  return way === 'dipped' ? timesWords(times) : `${way} ${timesWords(times)}`;
}

/** What clay was like, in words, as it stands after "on". */
export function clayStateWords(state: ClayState): string {
  return state === 'bisque' ? 'bisque' : `${state} clay`;
}

/**
 * A stack in full, bottom first in the order of work: glaze, times, and how if not dipped; of a slip also on what.
 *
 * @example stackWords(stack, nameOf) // 'Sleeper twice, then Limewash once'
 */
export function stackWords(stack: Stack, nameOf: (glaze: string) => string): string {
  if (stack.length === 0) return 'bare';
  return stack
    .map((layer, i) => {
      const fired =
        i > 0 && (layer.firing ?? 0) > (stack[i - 1]!.firing ?? 0) ? 'fired, then ' : i > 0 ? 'then ' : '';
      const clay = layer.slip && layer.clay ? ` on ${clayStateWords(layer.clay)}` : '';
      return `${fired}${nameOf(layer.glaze)} ${layerWords(layer)}${clay}${markWords(layer)}`;
    })
    .join(', ');
}

/**
 * Firings in order, in words.
 *
 * @example historyWords([ten, seven]) // 'cone 10 reduction, then cone 7 oxidation'
 */
export function historyWords(history: readonly FiredAt[]): string {
  return history.map(({ cone, atmosphere }) => `cone ${cone} ${atmosphere}`).join(', then ');
}

/**
 * What lies on a piece, side by side and from rim to foot: glazes that do not meet are never said to lie over one
 * another.
 *
 * @example wareWords([rim('Limewash'), foot('Sleeper')], nameOf) // 'Limewash, Sleeper'
 * @example wareWords([inside('Lamp Clear'), outside('Sleeper')], nameOf) // 'outside Sleeper; inside Lamp Clear'
 */
export function wareWords(coats: readonly Coat[], nameOf: (glaze: string) => string): string {
  if (coats.length === 0) return 'bare';
  const zones = zonesOf(coats);
  const said = sidesOf(coats).map((side) => {
    const own = zones.filter((zone) => zone.side === side && zone.stack.length > 0).reverse();
    const words = [...new Set(own.map(({ stack }) => headwordOf(stack, nameOf)))];
    return { side, words: words.join(', ') || 'bare' };
  });
  const ofAreas = areasWords(coats, nameOf);
  if (ofAreas)
    return [
      wareWords(
        coats.filter(({ area }) => !area),
        nameOf,
      ),
      ofAreas,
    ].join('; ');
  if (said.length === 1) return said[0]!.words;
  return new Set(said.map(({ words }) => words)).size === 1
    ? `${said[0]!.words}, ${said.map(({ side }) => side).join(' and ')}`
    : said.map(({ side, words }) => `${side} ${words}`).join('; ');
}

/** What lies on areas alone: "logo Sleeper; handle Lamp Clear"; empty when nothing does. */
function areasWords(coats: readonly Coat[], nameOf: (glaze: string) => string): string {
  const names = [...new Set(coats.flatMap(({ area }) => area ?? []))];
  return names
    .map((name) => {
      const own = coats.filter(({ area }) => area === name).map(({ not: _, ...coat }) => coat);
      const zones = zonesOf(own, [{ name, side: null, from: 0, to: 1 }]).filter(({ area }) => area === name);
      return `${name} ${[...new Set(zones.map(({ stack }) => headwordOf(stack, nameOf)))].reverse().join(', ')}`;
    })
    .join('; ');
}

function markWords(layer: Layer): string {
  return layer.mark === 'wiped' ? ' (wiped back)' : '';
}

const THIRDS: readonly (readonly [number, number, string])[] = [
  [0, 1, 'all over'],
  [0, 1 / 3, 'lower third'],
  [1 / 3, 2 / 3, 'middle third'],
  [2 / 3, 1, 'upper third'],
  [0, 1 / 2, 'lower half'],
  [1 / 2, 1, 'upper half'],
  [0, 2 / 3, 'lower two thirds'],
  [1 / 3, 1, 'upper two thirds'],
];

/** The parts of a plate from its centre out, each up to a part of the way to the edge (judgement, common proportions). */
const PLATE_PARTS = [
  ['centre', 1 / 3],
  ['well', 2 / 3],
  ['flange', 0.92],
  ['rim', 1],
] as const;

/** The parts of a plate that a band covers at least half of. @example partsOfPlate(0.66, 1) // 'flange and rim' */
function partsOfPlate(from: number, to: number): string | undefined {
  const parts = PLATE_PARTS.filter(([, end], i) => {
    const start = PLATE_PARTS[i - 1]?.[1] ?? 0;
    return Math.min(end, to) - Math.max(start, from) >= (end - start) / 2 - 1e-9;
  });
  const [first, last] = [parts[0]?.[0], parts.at(-1)?.[0]];
  if (parts.length < 2) return first;
  return parts.length === 2 ? `${first} and ${last}` : `${first} to ${last}`;
}

/**
 * Where a zone lies, in words a person at the bench would use.
 *
 * Bands within 4 % of a half or a third are named so; a narrow one at an end is the foot or the rim; a band
 * between others is the middle when it covers the centre; anything else is measured from the foot.
 *
 * A zone of an area is named by it, and where a coat cuts it, measured too.
 *
 * @param piece whose band it is; on a plate bands are measured from the centre, and those of its upper face are named
 *   by its parts as well
 * @example placeWords({ from: 0, to: 0.34 }, tile) // 'lower third'
 * @example placeWords({ from: 0.05, to: 1 }, tile) // 'from 0.5 cm above the foot to the rim'
 * @example placeWords({ from: 2 / 3, to: 1, side: 'inside' }, plate) // 'flange and rim, from 10.7 cm from the centre to the rim'
 */
export function placeWords(
  {
    from,
    to,
    side,
    area,
  }: Pick<Zone, 'from' | 'to'> & {
    readonly side?: Zone['side'];
    readonly area?: string | null;
  },
  piece: Measures,
): Message {
  if (area) return from === 0 && to === 1 ? area : text`${area}, ${bandWords({ from, to }, piece)}`;
  if (from === 0 && to === 1) return 'all over';
  const measured = bandWords({ from, to }, piece);
  const part = formShape(piece.form).plan && side === 'inside' && partsOfPlate(from, to);
  return part && part !== measured ? text`${part}, ${measured}` : measured;
}

/**
 * Where a zone lies, with its side where that is not the outside, or its area.
 *
 * @example whereWords({ side: 'inside', from: 0, to: 1 }, bowl) // 'inside, all over'
 */
export function whereWords(
  zone: Pick<Zone, 'side' | 'from' | 'to'> & { readonly area?: string | null },
  piece: Measures,
): Message {
  const side = zone.area || zone.side === 'outside' ? '' : `${zone.side}, `;
  return text`${side}${placeWords(zone, piece)}`;
}

function bandWords({ from, to }: Pick<Zone, 'from' | 'to'>, piece: Measures): Message {
  const { isFlat, foot, beyond } = formShape(piece.form).plan
    ? { isFlat: true, foot: 'centre', beyond: 'from the centre' }
    : { isFlat: false, foot: 'foot', beyond: 'above the foot' };
  const near = THIRDS.find(([a, b]) => Math.abs(a - from) <= 0.04 && Math.abs(b - to) <= 0.04);
  if (near && !isFlat) return near[2];
  const [low, high] = [from, to].map((at) => lengthOf(at * reachMm(piece))) as [Quantity, Quantity];
  if (from === 0) return to < 0.2 ? foot : text`up to ${high} ${beyond}`;
  if (to === 1) return from > 0.8 ? 'rim' : text`from ${low} ${beyond} to the rim`;
  return from < 0.5 && to > 0.5 && !isFlat ? 'middle' : text`from ${low} to ${high} ${beyond}`;
}
