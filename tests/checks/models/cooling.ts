import { coolingForecast, type CurvePoint } from '@/core/firing';
import { Chance, percent, type Row, type Size } from './row';

/** A kiln that is simulated without the code it checks: how one load of it cools, °C at a time in minutes. */
interface Kiln {
  /** One cooling with a load of its own. */
  readonly fire: (chance: Chance) => CurvePoint[];
}

const STEFAN = 5.67e-8;

/** Two bodies, load and bricks: radiation between them, conduction through the bricks, a leak from inside. */
function twoBodies(chance: Chance): Kiln {
  const bricks = chance.scaled(60, 900) * 1000;
  const load = chance.scaled(25, 400) * 1000;
  const area = chance.between(1.2, 4);
  const conducts = chance.scaled(1.5, 12);
  const leak = chance.scaled(0.05, 3);
  return {
    fire: (own) => {
      const room = own.between(14, 28);
      const held = load * own.between(0.7, 1.3);
      let ware = own.between(1000, 1290);
      let wall = ware - own.between(30, 250);
      const points: CurvePoint[] = [];
      for (let second = 0; points.length < 2000; second += 10) {
        if (second % 300 === 0)
          points.push({ minutes: second / 60, celsius: 0.7 * ware + 0.3 * wall + own.normal(0, 0.7) });
        if (ware < 38) break;
        const glow = 0.6 * STEFAN * area * ((ware + 273) ** 4 - (wall + 273) ** 4);
        ware -= ((glow + leak * (ware - room)) * 10) / held;
        wall += ((glow - conducts * (wall - room) * (1 + wall / 2500)) * 10) / bricks;
      }
      return points;
    },
  };
}

/** A wall in twelve layers with fibre or brick, and a load that sees only its inner face. */
function layeredWall(chance: Chance): Kiln {
  const layers = 12;
  const thickness = chance.between(0.08, 0.25);
  const isFibre = chance.isTrue(0.3);
  const density = isFibre ? 200 : chance.between(500, 1200);
  const area = chance.between(1.2, 4);
  const load = chance.scaled(15, 300) * 1000;
  const coldConduction = isFibre ? 0.06 : chance.between(0.15, 0.4);
  const draught = chance.scaled(0.03, 2);
  return {
    fire: (own) => {
      const room = own.between(14, 28);
      const held = load * own.between(0.7, 1.3);
      const start = own.between(1000, 1290);
      const depth = thickness / layers;
      const through = own.between(0.5, 1);
      const wall = Array.from(
        { length: layers },
        (_, i) => start + (80 - start) * ((i + 0.5) / layers) * through,
      );
      let ware = start;
      const heat = 1000 * density * depth * area;
      const seconds = Math.min(20, (0.3 * 1000 * density * depth * depth) / 1.2);
      const points: CurvePoint[] = [];
      let told = -Infinity;
      for (let second = 0; points.length < 2000; second += seconds) {
        if (second - told >= 300) {
          told = second;
          points.push({ minutes: second / 60, celsius: (ware + wall[0]!) / 2 + own.normal(0, 0.7) });
        }
        if ((ware + wall[0]!) / 2 < 38) break;
        const glow =
          0.5 * STEFAN * area * ((ware + 273) ** 4 - (wall[0]! + 273) ** 4) + 4 * area * (ware - wall[0]!);
        const flows = wall.slice(1).map((next, i) => {
          const mean = (wall[i]! + next) / 2;
          const conducts = coldConduction * (1 + (isFibre ? 3 : 0.4) * (mean / 1000) ** (isFibre ? 2 : 1));
          return (conducts * area * (wall[i]! - next)) / depth;
        });
        const outside = 9 * area * (wall[layers - 1]! - room);
        ware -= ((glow + draught * (ware - room)) * seconds) / Math.max(held, 4000);
        for (let i = 0; i < layers; i++)
          wall[i]! +=
            (((i === 0 ? glow : flows[i - 1]!) - (i === layers - 1 ? outside : flows[i]!)) * seconds) / heat;
      }
      return points;
    },
  };
}

const TARGET = 50;

/** Minutes until a log is down at 50 °C; Infinity where it never is. */
const downAt = (log: readonly CurvePoint[]): number =>
  log.find(({ celsius }) => celsius <= TARGET)?.minutes ?? Infinity;

/** Whether a log is down within a working day to four days. */
const isUsual = (log: readonly CurvePoint[]): boolean => downAt(log) > 5 * 60 && downAt(log) < 90 * 60;

/** A kiln and its firings in order of time, all of which cool within the usual time. */
function fired(make: (chance: Chance) => Kiln, firings: number, chance: Chance): CurvePoint[][] {
  for (;;) {
    const kiln = make(chance);
    const logs = Array.from({ length: firings }, () => kiln.fire(chance));
    if (logs.every(isUsual)) return logs;
  }
}

/** The log up to a share of its drop to 50 °C. */
function upTo(log: readonly CurvePoint[], share: number): CurvePoint[] {
  const peak = Math.max(...log.map(({ celsius }) => celsius));
  return log.slice(0, log.findIndex(({ celsius }) => celsius <= peak - share * (peak - TARGET)) + 1);
}

/** The same log with the minutes after a temperature stretched, as by a damper that was opened or shut. */
function pacedFrom(log: readonly CurvePoint[], celsius: number, factor: number): CurvePoint[] {
  const at = log.find((point) => point.celsius <= celsius)!.minutes;
  return log.map((point) => ({
    ...point,
    minutes: point.minutes <= at ? point.minutes : at + (point.minutes - at) * factor,
  }));
}

/** Hourly readings by hand, to 5 °C. */
const byHand = (log: readonly CurvePoint[]): CurvePoint[] =>
  log
    .filter((_, i) => i % 12 === 0 || i === log.length - 1)
    .map((point) => ({ ...point, celsius: Math.round(point.celsius / 5) * 5 }));

interface Setting {
  readonly name: string;
  readonly kiln: (chance: Chance) => Kiln;
  readonly earlier: number;
  readonly change?: (log: CurvePoint[], chance: Chance) => CurvePoint[];
  readonly read?: (log: readonly CurvePoint[]) => CurvePoint[];
  readonly shares: readonly number[];
}

const SETTINGS: readonly Setting[] = [
  { name: 'load and bricks, a new kiln', kiln: twoBodies, earlier: 0, shares: [0.5, 0.65, 0.8, 0.92] },
  { name: 'a wall in layers, a new kiln', kiln: layeredWall, earlier: 0, shares: [0.5, 0.65, 0.8, 0.92] },
  {
    name: 'load and bricks, two firings before',
    kiln: twoBodies,
    earlier: 2,
    shares: [0.5, 0.65, 0.8, 0.92],
  },
  {
    name: 'a wall in layers, two firings before',
    kiln: layeredWall,
    earlier: 2,
    shares: [0.5, 0.65, 0.8, 0.92],
  },
  { name: 'read by hand each hour', kiln: layeredWall, earlier: 0, read: byHand, shares: [0.5, 0.65, 0.8] },
  {
    name: 'a damper opened or shut at 700 °C, two firings before',
    kiln: layeredWall,
    earlier: 2,
    change: (log, chance) => pacedFrom(log, 700, chance.pick([0.6, 1.6])),
    shares: [0.65, 0.8, 0.92],
  },
];

/** When can it be opened: how far the time left to 50 °C is off, and how often the interval holds. */
export function coolingRows(size: Size): Row[] {
  const kilns = size === 'long' ? 250 : 25;
  return SETTINGS.map((setting, n) => {
    const chance = new Chance(40 + n);
    const misses: number[] = [];
    let held = 0;
    let silent = 0;
    for (let i = 0; i < kilns; i++) {
      const logs = fired(setting.kiln, setting.earlier + 1, chance);
      const earlier = logs.slice(0, -1);
      const log = setting.change ? setting.change(logs.at(-1)!, chance) : logs.at(-1)!;
      const truth = downAt(log);
      for (const share of setting.shares) {
        const known = upTo(log, share);
        const told = coolingForecast(setting.read ? setting.read(known) : known, earlier).timeAt(TARGET);
        if (!told) {
          silent++;
          continue;
        }
        misses.push(Math.abs(told.minutes - truth) / (truth - known.at(-1)!.minutes));
        if (told.low <= truth && truth <= told.high) held++;
      }
    }
    const sorted = [...misses].sort((a, b) => a - b);
    const median = sorted[Math.floor(sorted.length / 2)]!;
    const coverage = held / misses.length;
    const most = setting.earlier > 0 ? 0.1 : 0.25;
    // A few dozen logs cannot tell 70 from 60 %.
    const give = size === 'long' ? 0 : 0.15;
    return {
      model: 'time to open',
      setting: setting.name,
      aim: `median error ≤ ${percent(most)}, interval holds in 70 to 90 %`,
      reached: `${percent(median)}, ${percent(coverage)}${silent ? `, ${silent} without an answer` : ''}`,
      isMet: median <= most && coverage >= 0.7 - give && coverage <= 0.9 + give && silent === 0,
    };
  });
}
