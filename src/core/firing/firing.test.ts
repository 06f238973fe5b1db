import { METRIC, sayMessage } from '../units';
import {
  coolingForecast,
  offsetDifference,
  driftOf,
  energyOf,
  fastestClimbs,
  footprintOf,
  freeSpot,
  isOnShelf,
  roomBetween,
  warningsOf,
  type LoadPiece,
  type Standing,
  faultsIn,
  heatWork,
  meanOfSensors,
  offsetOf,
  plannedAt,
  plannedCurve,
  predict,
  readPack,
  sayCone,
  sayPack,
  thin,
  tidyLog,
  usualPack,
} from '.';

const bent = (...pack: [Parameters<typeof usualPack>[0], number][]) =>
  readPack(
    pack.map(([cone, bend]) => ({ cone, bend })),
    60,
  )!;

test('a half-bent cone is a value, flat and upright ones are bounds', () => {
  const half = bent(['5', 90], ['6', 60], ['7', 0]);
  expect(half.index).toBeGreaterThan(5.8);
  expect(half.index).toBeLessThan(6);
  expect(half.low!).toBeLessThan(half.index);
  expect(half.contradictions).toEqual([]);
  const between = bent(['6', 90], ['7', 0]);
  expect([between.low, between.high! < 7]).toEqual([6, true]);
  expect(sayPack(bent(['6', 90]))).toBe('at least cone 6');
  expect(sayPack(bent(['6', 0]))).toMatch(/^less than cone 5/);
  expect(readPack([], 60)).toBeNull();
});

test('a flat cone means at least that cone, whatever the ones above it say', () => {
  for (const [flat, above] of [
    ['10', '11'],
    ['6', '7'],
  ] as const)
    for (const bend of [0, 10, 11, 30]) {
      const { index, low, high } = bent([flat, 90], [above, bend]);
      expect(index).toBeGreaterThanOrEqual(Number(flat));
      expect(low!).toBeGreaterThanOrEqual(Number(flat));
      expect(high!).toBeGreaterThanOrEqual(index);
    }
});

test('bending goes slowly, then fast, and more bend is always more heat', () => {
  const at = [20, 40, 60, 80].map((bend) => bent(['6', bend]).index);
  expect(at).toEqual([...at].sort((a, b) => a - b));
  expect(at[1]! - at[0]!).toBeGreaterThan(at[3]! - at[2]!);
});

test('what cannot be true together is named', () => {
  expect(bent(['5', 5], ['6', 90]).contradictions[0]).toMatch(/Cone 5 stands higher than cone 6/);
  expect(bent(['5', 90], ['6', 60], ['7', 70], ['9', 30]).contradictions.length).toBeGreaterThan(0);
  expect(usualPack('6')).toEqual(['5', '6', '7']);
  expect(usualPack('04')).toEqual(['05', '04', '03']);
});

test('cones are said as people say them', () => {
  expect([6, 5.5, 5.72, 0, -3, -2.5].map(sayCone)).toEqual([
    '6',
    '5½',
    '5.7',
    '01',
    '04',
    'between 04 and 03',
  ]);
});

test('a raw log is put in order: sorted, spikes out, °F turned, gaps named', () => {
  const log = tidyLog(
    [3, 0, 1, 2, 4, 5, 40, 41].map((minutes) => ({
      minutes,
      temperature: minutes === 2 ? 3000 : minutes === 1 ? null : 212 + minutes,
    })),
    'F',
  );
  expect(log.points.map(({ minutes }) => minutes)).toEqual([0, 3, 4, 5, 40, 41]);
  expect(log.points[0]!.celsius).toBeCloseTo(100);
  expect(log.spikes).toBe(1);
  expect(log.gaps).toEqual([{ from: 5, to: 40 }]);
  const two = [0, 10].map((minutes) => ({ minutes, celsius: 100 }));
  const late = [5, 10].map((minutes) => ({ minutes, celsius: 200 }));
  expect(meanOfSensors([two, late]).map(({ celsius }) => celsius)).toEqual([100, 150, 150]);
});

test('a programme draws its curve, and a kiln that cannot follow falls behind', () => {
  const segments = [
    { rate: 150, target: 1100, hold: 0 },
    { rate: 60, target: 1222, hold: 10 },
  ];
  const free = predict(segments);
  expect(free.minutes).toBeCloseTo((1080 / 150) * 60 + (122 / 60) * 60 + 10);
  expect(free.curve.at(-1)).toEqual(plannedCurve(segments).at(-1));
  expect(free.coneIndex!).toBeGreaterThan(6);
  expect(plannedAt(free.curve, 60)).toBeCloseTo(170);
  const weak = predict(segments, [{ celsius: 1000, rate: 50 }]);
  expect(weak.behind).toEqual([{ segment: 0, celsius: 1000, asked: 150, can: 50 }]);
  expect(weak.minutes - free.minutes).toBeCloseTo(80);
  expect(energyOf(free.curve, 190)).toBeGreaterThan(energyOf(plannedCurve([segments[0]!]), 190));
  expect(faultsIn([{ rate: 0, target: 1500, hold: -1 }], 1300).map(({ field }) => field)).toEqual([
    'rate',
    'target',
    'hold',
  ]);
});

test('the fastest climb is measured by temperature', () => {
  const slowing = Array.from({ length: 600 }, (_, i) => ({
    minutes: i,
    celsius: 20 + 1300 * (1 - Math.exp(-i / 200)),
  }));
  const climbs = fastestClimbs([slowing]);
  expect(climbs.map(({ celsius }) => celsius)).toEqual([
    0, 100, 200, 300, 400, 500, 600, 700, 800, 900, 1000, 1100, 1200,
  ]);
  expect(climbs[0]!.rate).toBeGreaterThan(climbs[9]!.rate * 2);
});

describe('a kiln that cools', () => {
  /** Newton's law: no simulated kiln is as simple, but fibre kilns come near. */
  const log = Array.from({ length: 700 }, (_, i) => ({
    minutes: i * 5,
    celsius: 20 + 1200 * Math.exp(-0.003 * i * 5),
  }));
  const minuteAt = (celsius: number) => Math.log(1200 / (celsius - 20)) / 0.003;
  const until = (celsius: number) =>
    log.slice(
      0,
      log.findIndex((point) => point.celsius < celsius),
    );

  test('is foretold better by its own last firings than by itself, and its heat is read back from its time', () => {
    const alone = coolingForecast(until(600));
    const kin = coolingForecast(until(600), [log, log]);
    expect([alone.earlierFirings, kin.earlierFirings]).toEqual([0, 2]);
    for (const celsius of [200, 50]) {
      const [told, truth] = [kin.timeAt(celsius)!, minuteAt(celsius)];
      expect(Math.abs(told.minutes - truth) / (truth - minuteAt(600))).toBeLessThan(0.06);
      expect([told.low <= truth, told.high >= truth]).toEqual([true, true]);
      const byItself = alone.timeAt(celsius)!;
      expect(Math.abs(byItself.minutes - truth) / (truth - minuteAt(600))).toBeLessThan(0.3);
    }
    const inside = kin.at(minuteAt(200))!;
    expect(Math.abs(inside.celsius - 200)).toBeLessThan(10);
    expect([inside.low < inside.celsius, inside.high > inside.celsius]).toEqual([true, true]);
  });

  test('says when it was reached, nothing before it has cooled, and something from half the drop with one reading', () => {
    const cold = coolingForecast(log).timeAt(200)!;
    expect(Math.abs(cold.minutes - minuteAt(200))).toBeLessThanOrEqual(5);
    expect(cold.low).toBe(cold.high);
    expect(coolingForecast([]).timeAt(50)).toBeNull();
    expect(coolingForecast(log.slice(0, 3)).timeAt(50)).toBeNull();
    expect(coolingForecast([{ minutes: 0, celsius: 900 }]).at(10)).toBeNull();
    const seldom = coolingForecast([log[0]!, until(600).at(-1)!]).timeAt(50)!;
    expect(seldom.high).toBeGreaterThan(seldom.minutes);
  });

  test('notices a pace that changed, and counts only what came after', () => {
    const turn = minuteAt(800);
    const opened = log.map((point) => ({
      ...point,
      minutes: point.minutes < turn ? point.minutes : turn + (point.minutes - turn) / 2.5,
    }));
    const known = opened.slice(
      0,
      opened.findIndex(({ celsius }) => celsius < 400),
    );
    const forecast = coolingForecast(known);
    expect(forecast.isPaceChanged).toBe(true);
    const truth = turn + (minuteAt(50) - turn) / 2.5;
    expect(Math.abs(forecast.timeAt(50)!.minutes - truth) / (truth - known.at(-1)!.minutes)).toBeLessThan(
      0.3,
    );
    expect(coolingForecast(until(400)).isPaceChanged).toBe(false);
  });
});

test('drift finds a step of 9 °C at new elements, and a step nobody noted', () => {
  const noise = [0.4, -1.2, 0.9, 1.6, -0.7, -1.5, 0.2, 1.1, -0.4, 0.6];
  const firings = noise.map((off, i) => ({
    day: i * 7,
    logged: 6 + (off + (i < 5 ? 9 : 0)) / 19,
    shown: 6,
  }));
  const noted = driftOf(firings, [{ day: 33, part: 'elements' }]);
  const [step] = noted.steps;
  expect(step!.part).toBe('elements');
  expect(step!.step.low).toBeLessThan(-8);
  expect(step!.step.high).toBeGreaterThan(-10);
  expect(step!.step.high).toBeLessThan(0);
  expect(Math.abs(noted.offset!.value)).toBeLessThan(1.5);
  expect(driftOf(firings, []).steps).toMatchObject([{ day: 35, part: null }]);
  expect(driftOf(firings.slice(5), []).steps).toEqual([]);
  expect(offsetOf(6, 5.5)).toBe(19);
  expect(offsetDifference([1], [2, 3])).toBeNull();
});

test('a series is thinned without losing a peak', () => {
  const points = Array.from({ length: 100_000 }, (_, at) => ({ at, value: at === 54_321 ? 999 : at % 7 }));
  const thinned = thin(points, 200);
  expect(thinned.length).toBeLessThanOrEqual(800);
  expect(thinned.map(({ value }) => value)).toContain(999);
  expect([thinned[0], thinned.at(-1)]).toEqual([points[0], points.at(-1)]);
  expect(thin(points.slice(0, 5), 200)).toHaveLength(5);
});

test('an empty log is refused', () => {
  expect(() => heatWork([])).toThrow(RangeError);
});

const SHELF = { widthMm: 400, depthMm: 300, round: false };

test('pieces find room on a shelf until it is full, and never overlap', () => {
  for (const shelf of [SHELF, { ...SHELF, depthMm: 400, round: true }]) {
    const standing: Standing[] = [];
    for (let i = 0; i < 70; i++) {
      const piece = footprintOf(i % 3 ? 'tile' : 'cup', i % 3 ? 60 : 80);
      const spot = freeSpot(piece, standing, shelf);
      if (!spot) continue;
      standing.push({ ...piece, ...spot });
    }
    expect(standing.length).toBeGreaterThan(12);
    for (const [i, a] of standing.entries()) {
      expect(isOnShelf(a, shelf)).toBe(true);
      for (const b of standing.slice(i + 1)) expect(roomBetween(a, b)).toBeGreaterThanOrEqual(6);
    }
    expect(freeSpot(footprintOf('plate', 260), standing, shelf)).toBeNull();
  }
  expect(freeSpot(footprintOf('cup', 80), [], SHELF, { x: 200, y: 150 })).toEqual({ x: 200, y: 150 });
});

test('a load says what is doubtful in it', () => {
  const piece = (id: string, x: number, more: Partial<LoadPiece> = {}): LoadPiece => ({
    ...footprintOf('cup', 80),
    ...{ id, label: id, shelf: 1, heightMm: 90, cookie: false, runsFrom: null, chrome: false, tin: false },
    ...{ x, y: 100 },
    ...more,
  });
  const posts = new Map([[1, 120]]);
  const said = (...pieces: LoadPiece[]) =>
    warningsOf(pieces, SHELF, posts).map(({ words }) => sayMessage(words, METRIC));
  expect(said(piece('a', 60), piece('b', 160))).toEqual([]);
  expect(said(piece('a', 60), piece('b', 130))[0]).toBe('a and b touch.');
  expect(said(piece('a', 60, { chrome: true }), piece('b', 160, { tin: true }))[0]).toMatch(
    /^Chrome beside tin/,
  );
  expect(said(piece('a', 60, { chrome: true }), piece('b', 160, { tin: true, shelf: 2 }))).toEqual([]);
  expect(said(piece('a', 60, { runsFrom: 4 }))[0]).toMatch(/cookie/);
  expect(said(piece('a', 60, { runsFrom: 4, cookie: true }))).toEqual([]);
  // What is said of many is said once.
  const many = Array.from({ length: 3 }, (_, i) => piece(`p${i}`, 60 + i * 100, { runsFrom: 9 - i }));
  expect(said(...many)).toEqual([
    '3 carry a runny glaze to 7 mm from the foot, or little more: put cookies under p0, p1, p2.',
  ]);
  expect(said(piece('a', 60), piece('b', 120), piece('c', 180))).toEqual(['a and b; b and c touch.']);
  expect(said(piece('a', 60, { heightMm: 130 }))[0]).toMatch(/130 mm high, its posts 120 mm/);
  expect(said(piece('a', 10))[0]).toMatch(/over the edge/);
});
