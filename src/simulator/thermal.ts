import { plannedAt, plannedCurve, ROOM, type CurvePoint, type Segment } from '@/core/firing';

/** What a stand-in kiln is made of. */
export interface KilnBuild {
  readonly heat: 'electric' | 'gas';
  readonly litres: number;
  /** Full heat of new elements, or of the burner, kW. */
  readonly kilowatts: number;
  /** Wear of the elements, 0 new to 1 worn out; worn ones give a third less. */
  readonly wear: number;
  /** What the thermocouple reads above the truth at 1200 °C, °C; in proportion below. */
  readonly offset: number;
  /** Standard deviation of one reading, °C. */
  readonly noise: number;
}

/** What a hand sets on a gas kiln, each 0 to 1. */
export interface Settings {
  readonly gas: number;
  readonly air: number;
  readonly damper: number;
}

/** Heats of bricks inside and ware, and of the outer bricks, °C, with what the controller knows. */
export interface KilnState {
  readonly minutes: number;
  readonly inside: number;
  readonly bricks: number;
  /** Minutes of the programme that have been worked off; waits while the kiln is behind. */
  readonly programme: number;
  /** Share of full heat, 0 to 1. */
  readonly power: number;
  /** The controller's running sum of error. */
  readonly sum: number;
}

export const COLD: KilnState = { minutes: 0, inside: ROOM, bricks: ROOM, programme: 0, power: 0, sum: 0 };

/** Heat kept and passed on by a litre of kiln: inside kJ/K, bricks kJ/K, inside to bricks W/K, bricks to air W/K. */
const PER_LITRE = { inside: 0.47, bricks: 0.3 };
const PER_WALL = { in: 0.3, out: 0.42 };

/** How far behind a kiln may fall before its controller waits, °C. */
const WAIT = 12;

const STEP = 10 / 60;

/**
 * A kiln one stretch of time further: two bodies (the inside with its ware, and the outer bricks), heat from
 * elements or burner, loss to the room, and a controller that follows a programme and waits when behind.
 *
 * @param segments null once nothing is being fired: it cools
 * @param minutes how far to go, ≥ 0
 */
export function onward(
  build: KilnBuild,
  state: KilnState,
  segments: readonly Segment[] | null,
  minutes: number,
  {
    stuck = false,
    dead = false,
    settings = FULL_AIR,
  }: { stuck?: boolean; dead?: boolean; settings?: Settings } = {},
): KilnState {
  const curve = segments && plannedCurve(segments);
  let now = state;
  for (let left = minutes; left > 1e-9; left -= STEP)
    now = step(build, now, dead ? null : curve, Math.min(STEP, left), stuck && !dead, settings);
  return now;
}

const FULL_AIR: Settings = { gas: 1, air: 1, damper: 0.5 };

function step(
  build: KilnBuild,
  state: KilnState,
  curve: readonly CurvePoint[] | null,
  minutes: number,
  stuck: boolean,
  settings: Settings,
): KilnState {
  const seconds = minutes * 60;
  const { power, sum, programme } = driven(build, state, curve, minutes);
  const full = build.kilowatts * (build.heat === 'electric' ? 1 - build.wear / 3 : burnerShare(settings));
  const wall = build.litres ** (2 / 3);
  const heat = (stuck ? 1 : power) * full;
  const out = (PER_WALL.in * wall * (state.inside - state.bricks)) / 1000;
  const lost = (PER_WALL.out * wall * (state.bricks - ROOM)) / 1000;
  return {
    minutes: state.minutes + minutes,
    inside: state.inside + ((heat - out) * seconds) / (PER_LITRE.inside * build.litres),
    bricks: state.bricks + ((out - lost) * seconds) / (PER_LITRE.bricks * build.litres),
    programme,
    power: stuck ? 1 : power,
    sum,
  };
}

/** The controller: proportional with a slow sum, on what its thermocouple says. */
function driven(build: KilnBuild, state: KilnState, curve: readonly CurvePoint[] | null, minutes: number) {
  if (!curve || state.programme >= curve.at(-1)!.minutes)
    return { power: 0, sum: 0, programme: state.programme };
  const miss = plannedAt(curve, state.programme) - readsOf(build, state);
  const sum = Math.min(40, Math.max(0, state.sum + miss * minutes * 0.08));
  const power = Math.min(1, Math.max(0, (miss * 6 + sum) / 100 + 0.3 * Math.min(1, state.inside / 1200)));
  return { power, sum, programme: miss > WAIT ? state.programme : state.programme + minutes };
}

/** Whether a programme has been worked off. */
export function isDone({ programme }: KilnState, segments: readonly Segment[]): boolean {
  return programme >= plannedCurve(segments).at(-1)!.minutes;
}

/** What the thermocouple says without its noise, °C. */
export function readsOf({ offset }: KilnBuild, { inside }: KilnState): number {
  return inside + (offset * inside) / 1200;
}

/** A burner needs air: a starved flame gives less heat inside the kiln. */
function burnerShare({ gas, air, damper }: Settings): number {
  return gas * Math.min(1, 0.55 + 0.45 * airShare({ gas, air, damper }));
}

/** Air for the flame against what it needs; 1 burns just clean. */
export function airShare({ gas, air, damper }: Settings): number {
  return (air * (0.4 + 1.2 * damper)) / Math.max(0.05, gas);
}

/**
 * What a zirconia probe would say, millivolts: below 100 with plenty of air, 500 to 750 in reduction.
 *
 * Source: the S-shaped curve of such a probe around the clean flame; its figures from memory.
 */
export function oxygenOf(settings: Settings): number {
  return 30 + 720 / (1 + Math.exp((airShare(settings) - 0.97) * 22));
}
