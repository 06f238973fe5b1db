import { FORMS, formShape } from '@/core/vocabulary';
import { bandPath, drawnWidth, halfOf, hitAt } from '.';

/** The points of a straight-lined path. */
function points(path: string): [number, number][] {
  return [...path.matchAll(/([-\d.]+) ([-\d.]+)/g)].map(([, x, y]) => [Number(x), Number(y)]);
}

test('a band of a tile is a box to scale, the foot at the bottom', () => {
  const band = points(bandPath(formShape('tile'), 60, 'whole', 0.25, 0.75));
  expect(Math.min(...band.map(([, y]) => y))).toBe(25);
  expect(Math.max(...band.map(([, y]) => y))).toBe(75);
  expect(new Set(band.map(([x]) => x))).toEqual(new Set([0, 60]));
});

test('the halves of a form share its middle and stay within it', () => {
  for (const form of FORMS.filter((one) => !formShape(one).plan)) {
    const width = 80;
    for (const [half, least, most] of [
      ['left', 0, 40],
      ['right', 40, 80],
    ] as const) {
      const xs = points(bandPath(formShape(form), width, half, 0, 1)).map(([x]) => x);
      expect(Math.min(...xs)).toBeGreaterThanOrEqual(least);
      expect(Math.max(...xs)).toBeLessThanOrEqual(most);
    }
  }
});

test('an outline has few points, and lies within a fifth of a unit of its form', () => {
  expect(points(bandPath(formShape('tile'), 60, 'whole', 0, 1))).toHaveLength(4);
  for (const form of FORMS.map((one) => formShape(one)).filter(({ plan }) => !plan)) {
    const edge = points(bandPath(form, 100, 'right', 0, 1)).slice(0, -2);
    expect(edge.length).toBeLessThan(45);
    for (let t = 0.005; t < 1; t += 0.01) {
      const y = 100 * (1 - t);
      const i = edge.findIndex((point) => point[1] <= y);
      const [[x0, y0], [x1, y1]] = [edge[i - 1]!, edge[i]!];
      const x = y0 === y1 ? x1 : x0 + ((x1 - x0) * (y0 - y)) / (y0 - y1);
      // Where a wall lies nearly flat, the same distance is more across than along.
      const across = Math.hypot(1, (x1 - x0) / (y1 - y0 || 1e-9));
      expect(Math.abs(x - 50 - 50 * form.halfWidth(t)) / across).toBeLessThan(0.2);
    }
  }
});

test('inside is drawn to the left and outside to the right when a piece has both', () => {
  expect(halfOf('outside', ['outside'])).toBe('whole');
  expect([halfOf('inside', ['outside', 'inside']), halfOf('outside', ['outside', 'inside'])]).toEqual([
    'left',
    'right',
  ]);
  expect([halfOf('left', ['left', 'right']), halfOf('right', ['left', 'right'])]).toEqual(['left', 'right']);
  expect(drawnWidth({ form: 'tile', heightMm: 100, widthMm: 60 })).toBe(60);
  expect(drawnWidth({ form: 'plate', heightMm: 220, widthMm: 220 })).toBe(100);
});

describe('a press on a drawing', () => {
  const mug = { form: 'mug', heightMm: 95, widthMm: 82 } as const;
  const at = (x: number, y: number) =>
    hitAt(
      mug,
      ['outside', 'inside'],
      [
        { name: 'handle', side: null, from: 0, to: 1 },
        { name: 'logo', side: 'outside', from: 0.4, to: 0.6 },
      ],
      { x, y },
    );

  test('means the half and the height of the body, its handle beside it, or an area on it', () => {
    expect(at(0.1, 0.1)).toMatchObject({ area: null, half: 'left' });
    expect(at(0.98, 0.5)).toEqual({ area: 'handle' });
    expect(at(0.53, 0.5)).toEqual({ area: 'logo' });
    expect(at(0.53, 0.8)).toMatchObject({ area: null, half: 'right' });
  });

  test('on a plate means the ring', () => {
    const plate = { form: 'plate', heightMm: 220, widthMm: 220 } as const;
    const ring = (x: number, y: number) => hitAt(plate, ['inside'], [], { x, y });
    expect(ring(0.5, 0.5)).toMatchObject({ height: 0 });
    // Its 100 units lie within an edge of 2 on each side.
    expect(ring(0.5, (2 + 25) / 104)).toMatchObject({ height: expect.closeTo(0.5, 9) as number });
    expect(ring(0.01, 0.5)).toMatchObject({ half: 'left', height: 0.999 });
  });
});
