import { lengthOf, text, type Message, type Quantity } from '../units';
import {
  formShape,
  landmarkWords,
  reachMm,
  sideWord,
  type ClayState,
  type Measures,
  heatName,
} from '../vocabulary';
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
  return history.map(({ cone, atmosphere }) => `${heatName(cone)} ${atmosphere}`).join(', then ');
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
  const words = [layer.mark === 'wiped' && 'wiped back', layer.cover].filter(Boolean);
  return words.length ? ` (${words.join(', ')})` : '';
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

/**
 * Where a zone lies, in words a person at the bench would use.
 *
 * Bands within 4 % of a half or a third are named so; a narrow one at an end is the foot or the rim; a band
 * between others is the middle when it covers the centre; anything else is measured from the foot, on bowls from the
 * rim. Where the form has words for its parts (shoulder, neck), they stand before it.
 *
 * A zone of an area is named by it, and where a coat cuts it, measured too.
 *
 * @param piece whose band it is; on a plate bands are measured from the centre, and those of its upper face only are
 *   named by its parts
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
  const shape = formShape(piece.form);
  const part = shape.plan && side !== 'inside' ? '' : landmarkWords(shape, from, to);
  if (measured === 'foot' || measured === 'rim') return part || measured;
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
  const side = zone.area || zone.side === 'outside' ? '' : `${sideWord(piece.form, zone.side)}, `;
  return text`${side}${placeWords(zone, piece)}`;
}

function bandWords({ from, to }: Pick<Zone, 'from' | 'to'>, piece: Measures): Message {
  const { plan, fromRim } = formShape(piece.form);
  const near = THIRDS.find(([a, b]) => Math.abs(a - from) <= 0.04 && Math.abs(b - to) <= 0.04);
  if (near && !plan) return near[2];
  const [foot, beyond] = plan ? ['centre', 'from the centre'] : ['foot', 'above the foot'];
  const reach = reachMm(piece);
  const [low, high] = [from, to].map((at) => lengthOf(at * reach)) as [Quantity, Quantity];
  if (from === 0 && to < 0.2) return foot;
  if (to === 1 && from > 0.8) return 'rim';
  if (fromRim) return belowRim(from, to, reach);
  if (from === 0) return text`up to ${high} ${beyond}`;
  if (to === 1) return text`from ${low} ${beyond} to the rim`;
  return from < 0.5 && to > 0.5 && !plan ? 'middle' : text`from ${low} to ${high} ${beyond}`;
}

/** A band told from the rim down, as of bowls. */
function belowRim(from: number, to: number, reach: number): Message {
  const [far, near] = [from, to].map((at) => lengthOf((1 - at) * reach)) as [Quantity, Quantity];
  if (to === 1) return text`rim, ${far} down`;
  return from === 0
    ? text`from the foot to ${near} below the rim`
    : text`from ${near} to ${far} below the rim`;
}
