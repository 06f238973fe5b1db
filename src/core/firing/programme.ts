import { celsius, joined, perHour, text, type Message } from '../units';
import { coneEquivalents, peakOf, untilPeak } from './heatWork';
import type { CurvePoint } from './work';

/** One step of a programme. */
export interface Segment {
  /** °C/h, > 0; whether it climbs or falls follows from the target. */
  readonly rate: number;
  /** °C. */
  readonly target: number;
  /** Minutes at the target. */
  readonly hold: number;
}

/** The temperature of the room a firing starts from and cools to, °C. */
export const ROOM = 20;

/** What is wrong with a programme, by segment; none for a good one. */
export interface SegmentError {
  readonly segment: number;
  readonly field: keyof Segment;
  readonly message: Message;
}

/** The most a ceramic kiln is ever sent to, °C, and the fastest rate a controller takes, °C/h. */
const LIMITS = { target: 1400, rate: 999, hold: 48 * 60 };

/**
 * Checks a programme.
 *
 * @param most the kiln's own limit, °C
 */
export function faultsIn(segments: readonly Segment[], most: number = LIMITS.target): SegmentError[] {
  return segments.flatMap(({ rate, target, hold }, segment): SegmentError[] => {
    const wrong: SegmentError[] = [];
    if (!(rate > 0 && rate <= LIMITS.rate))
      wrong.push({ segment, field: 'rate', message: text`1 to ${perHour(LIMITS.rate)}.` });
    if (!(target >= ROOM && target <= most))
      wrong.push({
        segment,
        field: 'target',
        message: text`${celsius(ROOM)} to ${celsius(most)} for this kiln.`,
      });
    if (!(hold >= 0 && hold <= LIMITS.hold))
      wrong.push({ segment, field: 'hold', message: 'At most 48 hours.' });
    return wrong;
  });
}

/**
 * The curve a programme draws: its corners, in minutes from the start.
 *
 * @param from °C at the start
 */
export function plannedCurve(segments: readonly Segment[], from: number = ROOM): CurvePoint[] {
  const points: CurvePoint[] = [{ minutes: 0, celsius: from }];
  for (const { rate, target, hold } of segments) {
    const last = points.at(-1)!;
    const there = last.minutes + (Math.abs(target - last.celsius) / rate) * 60;
    if (there > last.minutes) points.push({ minutes: there, celsius: target });
    if (hold > 0) points.push({ minutes: there + hold, celsius: target });
  }
  return points;
}

/** Fastest climb a kiln has shown, °C/h, in the band of 100 °C that begins at `celsius`. */
export interface ClimbLimit {
  readonly celsius: number;
  readonly rate: number;
}

const BAND = 100;

/**
 * The fastest climb of a kiln by temperature, measured over its logs: in each band of 100 °C the fastest
 * steady climb over at least 20 °C.
 */
export function fastestClimbs(logs: readonly (readonly CurvePoint[])[]): ClimbLimit[] {
  const best = new Map<number, number>();
  for (const points of logs) {
    let from = 0;
    for (let to = 1; to < points.length; to++) {
      const [a, b] = [points[from]!, points[to]!];
      if (b.celsius <= a.celsius) from = to;
      else if (b.celsius - a.celsius >= 20) {
        const band = Math.floor((a.celsius + b.celsius) / 2 / BAND) * BAND;
        const rate = ((b.celsius - a.celsius) / (b.minutes - a.minutes)) * 60;
        best.set(band, Math.max(best.get(band) ?? 0, rate));
        from++;
      }
    }
  }
  return [...best].map(([celsius, rate]) => ({ celsius, rate })).sort((a, b) => a.celsius - b.celsius);
}

/** A stretch where a programme asks more than the kiln can. */
export interface Behind {
  readonly segment: number;
  /** °C where it begins to fall behind. */
  readonly celsius: number;
  readonly asked: number;
  readonly can: number;
}

/** What a programme comes to on a kiln. */
export interface Prediction {
  /** The curve it will draw, held back where the kiln cannot follow. */
  readonly curve: readonly CurvePoint[];
  readonly minutes: number;
  readonly peakCelsius: number;
  /** Cone equivalent at the end of the climb; null outside the series. */
  readonly coneIndex: number | null;
  readonly behind: readonly Behind[];
}

/**
 * Predicts a programme: its curve, time, cone equivalent, and where the kiln will fall behind. Controllers
 * wait for the kiln, so a climb that is too steep becomes the kiln's own fastest one. Nothing is known of
 * bands the kiln has not been measured in, and nothing is held against the programme there.
 */
export function predict(
  segments: readonly Segment[],
  limits: readonly ClimbLimit[] = [],
  from: number = ROOM,
): Prediction {
  const behind: Behind[] = [];
  const curve: CurvePoint[] = [{ minutes: 0, celsius: from }];
  for (const [segment, { rate, target, hold }] of segments.entries()) {
    const climbs = target > curve.at(-1)!.celsius;
    while (curve.at(-1)!.celsius !== target) {
      const { minutes, celsius } = curve.at(-1)!;
      const band = Math.floor(celsius / BAND) * BAND;
      const next = climbs ? Math.min(target, band + BAND) : target;
      const can = climbs ? limits.find((limit) => limit.celsius === band)?.rate : undefined;
      if (can !== undefined && can < rate && behind.at(-1)?.segment !== segment)
        behind.push({ segment, celsius, asked: rate, can });
      const pace = Math.min(rate, can ?? rate);
      curve.push({ minutes: minutes + (Math.abs(next - celsius) / pace) * 60, celsius: next });
    }
    if (hold > 0) curve.push({ minutes: curve.at(-1)!.minutes + hold, celsius: target });
  }
  return {
    curve,
    behind,
    minutes: curve.at(-1)!.minutes,
    peakCelsius: peakOf(curve),
    coneIndex: coneEquivalents(untilPeak(curve)).at(-1)!,
  };
}

/** Heat kept by bricks, shelves and ware of one litre of kiln, kWh/K, and lost through its walls (judgement, from memory). */
const KEPT = 0.55 / 3600;
const LOST = 0.000139;

/**
 * What electricity or gas a curve takes, kWh of heat: what bricks and ware take up on the way to the peak and
 * what the walls lose. An estimate to about a third either way.
 *
 * @param litres of the kiln
 */
export function energyOf(curve: readonly CurvePoint[], litres: number): number {
  const peak = peakOf(curve);
  const walls = LOST * litres ** (2 / 3);
  const lost = curve.slice(1).reduce((sum, to, i) => {
    const from = curve[i]!;
    if (to.celsius < from.celsius) return sum;
    return sum + walls * ((from.celsius + to.celsius) / 2 - ROOM) * ((to.minutes - from.minutes) / 60);
  }, 0);
  return KEPT * litres * (peak - ROOM) + lost;
}

/** How a programme comes down from its peak. */
export type Cooling = 'free' | 'slowed' | 'held';

/** A hold shorter than this is none, minutes; one that lies less below the top belongs to the top, °C. */
export const HOLD = 5;
export const DROP = 40;

/**
 * How a programme comes down: by itself, slowed by a segment of its own, or held on the way.
 *
 * @returns null for a firing without a programme
 * @example coolingOf([{ target: 1200, hold: 10 }, { target: 1100, hold: 30 }]) // 'held'
 */
export function coolingOf(segments: readonly Pick<Segment, 'target' | 'hold'>[]): Cooling | null {
  if (segments.length === 0) return null;
  const top = Math.max(...segments.map(({ target }) => target));
  const peak = segments.findLastIndex(({ target }) => target === top);
  const down = segments.slice(peak + 1).filter(({ target }) => target <= top - DROP);
  if (down.some(({ hold }) => hold >= HOLD)) return 'held';
  return down.length > 0 ? 'slowed' : 'free';
}

/** Where a programme stands at a minute, °C; its last target after its end. */
export function plannedAt(curve: readonly CurvePoint[], minute: number): number {
  const after = curve.findIndex((point) => point.minutes >= minute);
  if (after < 0) return curve.at(-1)?.celsius ?? ROOM;
  if (after === 0) return curve[0]!.celsius;
  const [from, to] = [curve[after - 1]!, curve[after]!];
  const share = (minute - from.minutes) / (to.minutes - from.minutes || 1);
  return from.celsius + (to.celsius - from.celsius) * share;
}

/** Steps in words, as they are written on a kiln's card. @example "150 °C/h to 1100 °C, 60 °C/h to 1205 °C, hold 15 min" */
export function saySegments(segments: readonly Segment[]): Message {
  const hold = (minutes: number) =>
    minutes >= 120 && minutes % 60 === 0
      ? `, hold ${minutes / 60} h`
      : minutes > 0
        ? `, hold ${minutes} min`
        : '';
  const steps = segments.map(
    ({ rate, target, hold: minutes }) => text`${perHour(rate)} to ${celsius(target)}${hold(minutes)}`,
  );
  return joined(steps, ', ');
}
