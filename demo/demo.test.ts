import { BODY_LOOKS, GLAZE_LOOKS, paint as paintAt, type PaintedPiece } from './paint';
import { measureZone, guessFrame, zoneBox, type Pixels } from '../src/core/photo';
import { deltaE00, labOf } from '../src/core/colour';
import { normal, random } from './random';
import { resultOf, type Circumstances } from './scenario/causes';
import { ageOf, CLASS_FIRINGS, REPAIRED } from './scenario/kilns';
import { FIRINGS, plannedPieces } from './scenario/plan';
import { BODIES, GLAZES, GRID, KILNS } from './scenario/studio';

/** Small pictures are as telling and nine times as fast. */
const paint = (piece: PaintedPiece) => paintAt(piece, 300);

const tile = (
  defects: PaintedPiece['zones'][number]['defects'] = [],
  glaze = 'Kettle Blue',
): PaintedPiece => ({
  seed: 'a test tile',
  form: 'tile',
  heightMm: 100,
  widthMm: 60,
  body: BODY_LOOKS['Buffer White']!,
  reduction: false,
  coats: [{ look: GLAZE_LOOKS[glaze]!, side: 'outside', from: 0.1, to: 1, dips: 1, slip: false }],
  zones: [
    { side: 'outside', from: 0, to: 0.5, surface: 'gloss', movement: 'stable', defects: [] },
    { side: 'outside', from: 0.5, to: 1, surface: 'gloss', movement: 'stable', defects },
  ],
});

function patch({ data, width, height, frame }: ReturnType<typeof paint>, from: number, to: number): Pixels {
  const box = zoneBox({ width, height }, frame, { side: 'outside', from, to });
  const rows = Array.from({ length: box.height }, (_, y) =>
    data.subarray(((box.top + y) * width + box.left) * 3, ((box.top + y) * width + box.left + box.width) * 3),
  );
  return { data: Buffer.concat(rows), width: box.width, height: box.height };
}

/** Share of pixels that differ plainly between two patches. */
function changed(a: Pixels, b: Pixels): number {
  let count = 0;
  for (let i = 0; i < a.data.length; i += 3) if (Math.abs(a.data[i + 1]! - b.data[i + 1]!) > 16) count++;
  return (count * 3) / a.data.length;
}

describe('the painter', () => {
  const sound = paint(tile());

  test('paints the same piece the same, and another seed differently', () => {
    expect(paint(tile()).data.equals(sound.data)).toBe(true);
    expect(paint({ ...tile(), seed: 'another' }).data.equals(sound.data)).toBe(false);
  });

  test('stands the piece on neutral grey where it says, so that the camera’s guess finds it', () => {
    const corner = [...sound.data.subarray(0, 3)];
    expect(Math.max(...corner) - Math.min(...corner)).toBeLessThan(6);
    expect(
      deltaE00(
        labOf(measureZone({ data: sound.data.subarray(0, 300), width: 100, height: 1 }).colour),
        labOf('#c9c9c9'),
      ),
    ).toBeLessThan(3);
    const guess = guessFrame(sound);
    expect(Math.abs(guess.left - sound.frame.left)).toBeLessThan(0.02);
    expect(Math.abs(guess.foot - sound.frame.foot)).toBeLessThan(0.02);
  });

  test('gives a glaze its colour, darker when it lies twice', () => {
    const once = labOf(measureZone(patch(sound, 0.2, 0.6)).colour);
    expect(deltaE00(once, labOf(GLAZE_LOOKS['Kettle Blue']!.normal))).toBeLessThan(12);
    const base = tile();
    const twice = paint({ ...base, coats: [...base.coats, ...base.coats] });
    expect(labOf(measureZone(patch(twice, 0.2, 0.6)).colour).l).toBeLessThan(once.l);
  });

  test.each([
    'crazing',
    'pinholing',
    'pitting',
    'blistering',
    'crawling',
    'clouding',
    'underfired',
    'patchy',
    'colour-loss',
  ])('draws %s in its zone and leaves the other as it was', (defect) => {
    const marked = paint(tile([{ defect, severity: 3, place: 'everywhere' }]));
    expect(changed(patch(sound, 0.55, 1), patch(marked, 0.55, 1))).toBeGreaterThan(0.004);
    expect(changed(patch(sound, 0.12, 0.45), patch(marked, 0.12, 0.45))).toBeLessThan(0.002);
  });

  test('turns copper red green where the reduction failed', () => {
    const red = labOf(measureZone(patch(paint(tile([], 'Plum Siding')), 0.6, 0.9)).colour);
    const green = labOf(
      measureZone(
        patch(
          paint(tile([{ defect: 'colour-shift', severity: 2, place: 'everywhere' }], 'Plum Siding')),
          0.6,
          0.9,
        ),
      ).colour,
    );
    expect(red.a).toBeGreaterThan(15);
    expect(green.a).toBeLessThan(0);
  });
});

describe('the story', () => {
  const facts = (more: Partial<Circumstances>): Circumstances => ({
    stack: [],
    ground: 'Buffer White',
    body: 'Buffer White',
    reduction: false,
    cone: '6',
    underReduced: false,
    slipOnDryClay: false,
    ...more,
  });
  const rate = (defect: string, more: Partial<Circumstances>) => {
    const next = random(defect);
    return (
      Array.from({ length: 400 }, () => resultOf(facts(more), next)).filter((result) =>
        result.defects.some((one) => one.defect === defect),
      ).length / 400
    );
  };
  const stack = (...layers: [string, number][]) => layers.map(([glaze, dips]) => ({ glaze, dips }));

  test.each([
    [
      'carbide pits where thick',
      'pitting',
      { stack: stack(['Plum Siding', 2]) },
      { stack: stack(['Plum Siding', 1]) },
    ],
    [
      'magnesia crawls where thick',
      'crawling',
      { stack: stack(['Chalk Cut', 2]) },
      { stack: stack(['Chalk Cut', 1]) },
    ],
    [
      'the clear crazes on porcelain',
      'crazing',
      { stack: stack(['Lamp Clear', 1]), body: 'Viaduct Porcelain' },
      { stack: stack(['Lamp Clear', 1]) },
    ],
    [
      'the early-sealing glaze blisters on top, not below',
      'blistering',
      { stack: stack(['Slate Bank', 1], ['Fogman', 1]) },
      { stack: stack(['Fogman', 1], ['Slate Bank', 1]) },
    ],
    [
      'slip lifts from dry clay',
      'slip-lifting',
      { ground: 'Sootline over Buffer White', slipOnDryClay: true },
      { ground: 'Sootline over Buffer White' },
    ],
    [
      'celadon goes pea green when under-reduced',
      'colour-shift',
      { stack: stack(['Guard Green', 1]), reduction: true, underReduced: true },
      { stack: stack(['Guard Green', 1]), reduction: true },
    ],
  ])('%s', (_, defect, guilty, innocent) => {
    expect(rate(defect, guilty)).toBeGreaterThan(0.5);
    expect(rate(defect, innocent)).toBeLessThan(0.12);
  });

  test('uses only what the studio has, and holds what the demo promises', () => {
    const glazes = new Set(GLAZES.map((one) => one.name));
    const bodies = new Set(BODIES.map((one) => one.name));
    const pieces = plannedPieces();
    expect(pieces.length).toBeGreaterThanOrEqual(600);
    expect(FIRINGS.length + CLASS_FIRINGS.length).toBeGreaterThanOrEqual(40);
    expect(Math.max(...FIRINGS.map(({ daysAgo }) => daysAgo))).toBeGreaterThan(530);
    expect(pieces.filter((piece) => piece.firing === 'two5')).toHaveLength(24);
    expect(GRID).toHaveLength(10);
    expect(KILNS.map((kiln) => kiln.name)).toEqual(['Number Two', 'The Stoker']);
    for (const piece of pieces) {
      expect(bodies).toContain(piece.body);
      for (const coat of piece.coats) expect(glazes).toContain(coat.glaze);
      if (!piece.firing) continue;
      const firing = FIRINGS.find(({ key }) => key === piece.firing)!;
      expect(piece.madeDaysAgo).toBeGreaterThan(firing.daysAgo);
    }
    for (const name of glazes) if (name !== 'Foot wax') expect(GLAZE_LOOKS).toHaveProperty([name]);
  });

  test('chance is seeded, even and normal', () => {
    const [a, b] = [random('x'), random('x')];
    expect(Array.from({ length: 9 }, a)).toEqual(Array.from({ length: 9 }, b));
    const next = random(7);
    const values = Array.from({ length: 20_000 }, () => normal(next));
    const mean = values.reduce((sum, value) => sum + value, 0) / values.length;
    const deviation = Math.sqrt(values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / values.length);
    expect(Math.abs(mean)).toBeLessThan(0.03);
    expect(Math.abs(deviation - 1)).toBeLessThan(0.03);
  });

  test('Number Two’s thermocouple creeps up until it is corrected, and its elements wear', () => {
    const before = CLASS_FIRINGS.filter(({ kiln }) => kiln === 'two').map(({ daysAgo }) =>
      ageOf('two', daysAgo),
    );
    expect(before.map(({ offset }) => offset)).toEqual(
      [...before].map(({ offset }) => offset).sort((a, b) => a - b),
    );
    expect(ageOf('two', REPAIRED).offset).toBeGreaterThan(ageOf('two', REPAIRED - 1).offset + 9);
    expect(ageOf('two', REPAIRED).wear).toBeGreaterThan(ageOf('two', REPAIRED - 1).wear + 0.5);
  });
});
