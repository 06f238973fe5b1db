import { figures } from '../units';
import { coneAt, endPoint, sayCone } from './endPoints';
import { CONES, type Cone } from '../vocabulary';
import { coneIndex } from './names';

/** A witness cone after the firing, with the bend seen: 0° upright, 90° tip level with its foot. */
export interface WitnessCone {
  readonly cone: Cone;
  readonly bend: number;
}

/** Minutes a cone takes to bend, and how far that may be off (common practice: 15 to 25 minutes). */
const BENDING = { minutes: 20, give: 5 };

/** Bending goes slowly, then fast: the bend is this power of the share of its time (judgement). */
const BEND_POWER = 2.5;

/** How well an eye reads a bend, degrees, and a cone its own end point, °C (judgement). */
const EYE = 5;
const CONE_GIVE = 2;

/** A cone at or beyond these says only "at least" or "at most": an eye cannot tell it from one that is down or stands. */
const FLAT = 83;
const UPRIGHT = 10;

/** What a pack of witness cones says together. */
export interface PackReading {
  /** Cone index reached, or the bound when there is only one. */
  readonly index: number;
  /** 95 % interval; null where the pack says nothing to that side. */
  readonly low: number | null;
  readonly high: number | null;
  readonly contradictions: readonly string[];
}

/** Degrees below its end point at which a cone shows a bend, climbing at `rate` °C/h. */
function degreesLeft(bend: number, rate: number): number {
  const share = (Math.min(90, Math.max(0, bend)) / 90) ** (1 / BEND_POWER);
  return ((BENDING.minutes * (1 - share)) / 60) * rate;
}

interface Said {
  readonly cone: Cone;
  readonly index: number;
  readonly spread: number;
}

/** The index at which this cone shows such a bend, and its standard deviation. */
function saidBy({ cone, bend }: WitnessCone, rate: number): Said {
  const end = endPoint(cone, rate)!;
  const left = degreesLeft(bend, rate);
  const eye = Math.abs(degreesLeft(bend - EYE, rate) - degreesLeft(bend + EYE, rate)) / 2;
  const give = Math.hypot(CONE_GIVE, eye, (left * BENDING.give) / BENDING.minutes);
  const at = (celsius: number) => coneAt(celsius, rate)?.index ?? coneIndex(cone)!;
  return { cone, index: at(end - left), spread: Math.max(0.02, (at(end + give) - at(end - give)) / 2) };
}

/**
 * One achieved cone from a pack. A half-bent cone is a value; a flat one says at least that cone, whatever the others
 * say, an upright one less than where it would begin to bend. Several values are weighed by how surely each speaks; what cannot be
 * true together is named.
 *
 * @param rate °C/h over the last 100 °C; taken into the published range where it lies outside
 * @returns null for an empty pack
 * @example readPack([{ cone: '5', bend: 90 }, { cone: '6', bend: 45 }, { cone: '7', bend: 0 }], 60)
 */
export function readPack(pack: readonly WitnessCone[], rate: number): PackReading | null {
  if (pack.length === 0) return null;
  const slow = pack.some(({ cone }) => endPoint(cone, 15) === null) ? 60 : 15;
  const pace = Math.min(150, Math.max(slow, rate));
  const sorted = [...pack].sort((a, b) => CONES.indexOf(a.cone) - CONES.indexOf(b.cone));
  const bent = sorted.filter(({ bend }) => bend > UPRIGHT && bend < FLAT).map((one) => saidBy(one, pace));
  const least = sorted.filter(({ bend }) => bend >= FLAT).map((one) => saidBy({ ...one, bend: 90 }, pace));
  const most = sorted
    .filter(({ bend }) => bend <= UPRIGHT)
    .map((one) => saidBy({ ...one, bend: UPRIGHT }, pace));
  return { ...together(bent, least, most), contradictions: contradictionsIn(sorted, bent, least, most) };
}

function together(bent: readonly Said[], least: readonly Said[], most: readonly Said[]) {
  const low = least.length ? Math.max(...least.map((one) => one.index)) : null;
  const high = most.length ? Math.min(...most.map((one) => one.index)) : null;
  if (bent.length) {
    const weights = bent.map((one) => 1 / one.spread ** 2);
    const weight = weights.reduce((sum, one) => sum + one, 0);
    const index = bent.reduce((sum, one, i) => sum + one.index * weights[i]!, 0) / weight;
    const half = 1.96 / Math.sqrt(weight);
    // What is down says at least: a cone that only leans cannot take that back.
    const floor = low ?? Number.NEGATIVE_INFINITY;
    return {
      index: Math.max(floor, index),
      low: Math.max(floor, index - half),
      high: Math.max(floor, index + half),
    };
  }
  if (low !== null && high !== null)
    return { index: Math.max(low, (low + high) / 2), low, high: Math.max(low, high) };
  return { index: (low ?? high)!, low, high };
}

function contradictionsIn(
  sorted: readonly WitnessCone[],
  bent: readonly Said[],
  least: readonly Said[],
  most: readonly Said[],
): string[] {
  const wrong: string[] = [];
  for (const [i, lower] of sorted.entries())
    for (const upper of sorted.slice(i + 1))
      if (upper.bend > lower.bend + 2 * EYE)
        wrong.push(`Cone ${lower.cone} stands higher than cone ${upper.cone}, which needs more heat.`);
  for (const one of bent) {
    for (const flat of least)
      if (
        flat.index - one.index > 2 * (flat.spread + one.spread) &&
        coneIndex(flat.cone)! < coneIndex(one.cone)!
      )
        wrong.push(`Cone ${flat.cone} is flat, but cone ${one.cone} says it was cooler than that.`);
    for (const upright of most)
      if (
        one.index - upright.index > 2 * (upright.spread + one.spread) &&
        coneIndex(upright.cone)! > coneIndex(one.cone)!
      )
        wrong.push(`Cone ${upright.cone} has not begun to bend, but cone ${one.cone} says it should have.`);
  }
  const apart =
    bent.length > 1 && Math.max(...bent.map((one) => one.index)) - Math.min(...bent.map((one) => one.index));
  if (apart && apart > 2 * Math.hypot(...bent.map((one) => one.spread)))
    wrong.push(`The bent cones differ by ${figures(apart, 1)} cones.`);
  return [...new Set(wrong)];
}

/** A pack in one phrase. @example sayPack(…) // "cone 5.8, surely between 5.7 and 6" · "at least cone 6" */
export function sayPack({ index, low, high }: PackReading): string {
  if (high === null) return `at least cone ${sayCone(index)}`;
  if (low === null) return `less than cone ${sayCone(index)}`;
  const [from, to] = [sayCone(low), sayCone(high)];
  return `cone ${sayCone(index)}${from === to ? '' : `, between ${from} and ${to}`}`;
}

/** The usual pack for a target: the cone below, the target and the cone above; halves are left out. */
export function usualPack(target: Cone): Cone[] {
  const whole = CONES.filter((cone) => !cone.endsWith('½') || cone === target);
  const at = whole.indexOf(target);
  return whole.slice(Math.max(0, at - 1), at + 2);
}

/** Cones 010 to 3 carry iron and misread in reduction (common practice). */
export function misreadsInReduction(cone: Cone): boolean {
  const index = coneIndex(cone)!;
  return index >= coneIndex('010')! && index <= coneIndex('3')!;
}
