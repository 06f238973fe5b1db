/** How the time a kiln takes goes with temperature: the time at each of the {@link coolingLevels}, in units of its own. */
export type CoolingShape = Float64Array;

/** The coldest level that is followed, °C, and what levels are spaced by: equal steps of ln(T − 10 °C). */
const COLDEST = 25;
const LEVELS = 120;
const BELOW_ROOM = 10;

/** How many kilns are simulated. */
const KILNS = 800;

/** Starts of cooling are rounded up to so many °C, so that few rows of kilns serve all logs. */
const ROUNDED = 50;
const ROWS_KEPT = 6;

/** The temperatures at which times are compared, °C, falling from `peak` to 25 °C. */
export function coolingLevels(peak: number): Float64Array {
  const [high, low] = [Math.log(peak - BELOW_ROOM), Math.log(COLDEST - BELOW_ROOM)];
  return Float64Array.from(
    { length: LEVELS },
    (_, i) => BELOW_ROOM + Math.exp(high + ((low - high) * i) / (LEVELS - 1)),
  );
}

/** What a simulated kiln is like; heat capacity and conduction of the whole wall are 1. */
interface SimulatedKiln {
  /** Heat capacity of ware and shelves. */
  readonly ware: number;
  /** Radiation between ware and wall at 1000 °C, loss of the outside, and leaks by air and by radiation. */
  readonly radiation: number;
  readonly outside: number;
  readonly draught: number;
  readonly glow: number;
  /** How much better the wall conducts at 1000 °C than cold, and how much more heat it holds. */
  readonly hotConduction: number;
  readonly hotCapacity: number;
  /** How far heat has come into the wall: the power of its profile. */
  readonly profile: number;
  /** Share of the ware in what the thermocouple sees. */
  readonly seesWare: number;
  /** °C around the kiln. */
  readonly room: number;
}

/** The n-th number of van der Corput's sequence, 0 to 1: spread evenly without chance (Halton, 1960). */
function spread(n: number, base: number): number {
  let [value, part] = [0, 1 / base];
  for (let rest = n; rest > 0; rest = Math.floor(rest / base), part /= base) value += (rest % base) * part;
  return value;
}

/** Kilns from a fibre box with a few tiles to a packed brick kiln; the ranges are judgement. */
function kilnNumber(n: number): SimulatedKiln {
  const between = (base: number, low: number, high: number) => low + (high - low) * spread(n + 20, base);
  const scaled = (base: number, low: number, high: number) =>
    Math.exp(between(base, Math.log(low), Math.log(high)));
  return {
    ware: scaled(2, 0.05, 4),
    radiation: scaled(3, 2, 300),
    outside: scaled(5, 0.2, 12),
    draught: scaled(7, 0.002, 1.5),
    glow: scaled(11, 0.002, 1),
    hotConduction: between(13, 0, 2.5),
    hotCapacity: between(17, 0, 0.5),
    profile: between(19, 0.3, 2.5),
    seesWare: between(23, 0, 1),
    room: between(29, 12, 30),
  };
}

/** Share of what lies above the room by which the kiln may fall in one step of the simulation. */
const FALL = 0.02;
const KELVIN = 273.15;
const HOT = 1000 + KELVIN;

/** How radiation between two temperatures, °C, compares with that at 1000 °C. */
function radiating(one: number, two: number): number {
  const [a, b] = [one + KELVIN, two + KELVIN];
  return ((a * a + b * b) * (a + b)) / (4 * HOT ** 3);
}

/**
 * Lets a kiln cool: ware and three layers of wall, by implicit steps whose coefficients are those of the step
 * before. The row of four is solved from the outside in.
 */
function coolDown(kiln: SimulatedKiln, levels: Float64Array): CoolingShape {
  const { room, profile, seesWare } = kiln;
  const start = levels[0]!;
  const depth = (share: number) => room + (start - room) * (1 - share) ** profile;
  let [ware, inner, middle, outer] = [start, depth(1 / 6), depth(1 / 2), depth(5 / 6)];
  const times = new Float64Array(levels.length).fill(Infinity);
  let [time, step, level, seen] = [0, 1e-4, 0, start];
  const conducts = (one: number, two: number) => 3 * (1 + (kiln.hotConduction * (one + two)) / 2000);
  const holds = (celsius: number) => (1 + (kiln.hotCapacity * celsius) / 1000) / 3;
  for (let i = 0; i < 1500 && level < levels.length; i++) {
    const between = kiln.radiation * radiating(ware, inner);
    const leak = kiln.draught + kiln.glow * radiating(ware, room);
    const [first, second] = [conducts(inner, middle), conducts(middle, outer)];
    const own = [
      (kiln.ware * (1 + (kiln.hotCapacity * ware) / 1000)) / step,
      holds(inner) / step,
      holds(middle) / step,
      holds(outer) / step,
    ] as const;
    const last = own[3] + second + kiln.outside;
    const lastHas = own[3] * outer + kiln.outside * room;
    const third = own[2] + first + second - (second * second) / last;
    const thirdHas = own[2] * middle + (second * lastHas) / last;
    const next = own[1] + between + first - (first * first) / third;
    const nextHas = own[1] * inner + (first * thirdHas) / third;
    const own0 = own[0] + between + leak - (between * between) / next;
    ware = (own[0] * ware + leak * room + (between * nextHas) / next) / own0;
    inner = (nextHas + between * ware) / next;
    middle = (thirdHas + first * inner) / third;
    outer = (lastHas + second * middle) / last;
    const now = seesWare * ware + (1 - seesWare) * inner;
    while (level < levels.length && levels[level]! >= now) {
      const share = seen > now ? Math.min(1, Math.max(0, (seen - levels[level]!) / (seen - now))) : 0;
      times[level++] = time + share * step;
    }
    time += step;
    const fell = Math.max((seen - now) / (seen - room), 1e-4);
    if (now < room + 1) break;
    step *= Math.min(2, Math.max(0.3, FALL / fell));
    seen = Math.min(seen, now);
  }
  return times;
}

const kept = new Map<number, readonly CoolingShape[]>();

/** The peak, °C, from which kilns are simulated for a log with this one. */
export const simulatedPeak = (peak: number): number => Math.ceil(peak / ROUNDED) * ROUNDED;

/**
 * How simulated kilns of many kinds cool from a peak, at the {@link coolingLevels} of it; kept for the peaks asked
 * for last.
 *
 * @param peak °C, of {@link simulatedPeak}
 */
export function simulatedKilns(peak: number): readonly CoolingShape[] {
  const known = kept.get(peak);
  if (known) return known;
  const levels = coolingLevels(peak);
  const shapes = Array.from({ length: KILNS }, (_, n) => coolDown(kilnNumber(n), levels));
  if (kept.size >= ROWS_KEPT) kept.delete(kept.keys().next().value!);
  kept.set(peak, shapes);
  return shapes;
}
