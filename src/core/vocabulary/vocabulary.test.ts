import * as vocabulary from '.';
import {
  DEFECTS,
  defectOf,
  FIRING_EVENTS,
  FORMS,
  formShape,
  halfWidthOf,
  lookAlikesOf,
  reachMm,
  sideWord,
  standingMm,
  type FiringEvent,
  type Form,
  type Profile,
} from '.';

/** Every list of words by its name. */
const lists = Object.entries(vocabulary as Record<string, unknown>).flatMap(([name, words]) =>
  Array.isArray(words) && words.every((word) => typeof word === 'string') ? [[name, words] as const] : [],
);

test('no list says a word twice, and no word is longer than its column', () => {
  expect(lists.length).toBeGreaterThan(20);
  for (const [name, words] of lists) {
    expect([name, new Set(words).size]).toEqual([name, words.length]);
    for (const word of words) expect([word, word.length > 0 && word.length <= 40]).toEqual([word, true]);
  }
});

test('every firing event has a key of its own, and what only a flame has is marked', () => {
  const events: readonly FiringEvent[] = FIRING_EVENTS;
  expect(new Set(events.map(({ key }) => key)).size).toBe(events.length);
  for (const { key } of events) expect(key).toMatch(/^[\dr]$/);
  const gas = events.filter(({ isGasOnly }) => isGasOnly).map(({ kind }) => kind);
  expect(gas).toEqual(['damper', 'gas', 'reduction starts', 'reduction ends', 'draw ring']);
});

test('each defect names two others that it is taken for', () => {
  for (const defect of DEFECTS) {
    const likes = lookAlikesOf(defect);
    expect([defect.id, likes.length, likes.includes(defect)]).toEqual([defect.id, 2, false]);
  }
  for (const id of [...vocabulary.COMMON_DEFECTS, ...vocabulary.LATE_DEFECTS])
    expect(defectOf(id)).toBeDefined();
});

test('a plate lies on the shelf and its bands reach from its centre to its rim; all else stands as high as it is', () => {
  const plate = { form: 'plate', heightMm: 320, widthMm: 320 } as const;
  expect([standingMm(plate), reachMm(plate)]).toEqual([30, 160]);
  expect(standingMm({ form: 'cup', heightMm: 90 })).toBe(90);
});

test('a form has sides that can be glazed, and a flat one stands on the shelf by its depth', () => {
  for (const form of FORMS) {
    const { sides, isFlat, shelfDepthMm, heightMm, widthMm } = formShape(form);
    expect([form, sides.length > 0, heightMm > 0, widthMm > 0]).toEqual([form, true, true, true]);
    expect([form, shelfDepthMm !== null]).toEqual([form, isFlat]);
  }
});

test('a silhouette is as wide as it says at its widest, rises, and its words leave no gap', () => {
  for (const form of FORMS) {
    const { profile, landmarks, halfWidth } = formShape(form);
    const heights = profile.map(([height]) => height);
    expect([form, heights]).toEqual([form, [...new Set(heights)].sort((a, b) => a - b)]);
    expect([form, heights[0], heights.at(-1)]).toEqual([form, 0, 1]);
    const widths = Array.from({ length: 201 }, (_, i) => halfWidth(i / 200));
    expect([form, Math.max(...widths)]).toEqual([form, expect.closeTo(1, 2)]);
    expect([form, Math.min(...widths) > 0]).toEqual([form, true]);
    landmarks.forEach(({ from, to }, i) =>
      expect([form, from, to > from]).toEqual([form, landmarks[i - 1]?.to ?? 0, true]),
    );
    if (landmarks.length) expect([form, landmarks.at(-1)!.to]).toEqual([form, 1]);
  }
});

test('a curve goes through its points and never swings beyond the two it is between', () => {
  const neck: Profile = [
    [0, 0.8],
    [0.4, 1],
    [0.5, 0.3],
    [0.9, 0.3],
    [1, 0.5],
  ];
  const at = halfWidthOf(neck);
  for (const [height, width] of neck) expect(at(height)).toBeCloseTo(width, 12);
  for (let i = 0; i <= 500; i++) {
    const height = i / 500;
    const next = Math.max(
      1,
      neck.findIndex(([end]) => end >= height),
    );
    const [low, high] = [neck[next - 1]![1], neck[next]![1]].sort((a, b) => a - b);
    expect(at(height)).toBeGreaterThanOrEqual(low! - 1e-12);
    expect(at(height)).toBeLessThanOrEqual(high! + 1e-12);
  }
  expect([
    at(-1),
    at(2),
    halfWidthOf([
      [0, 1],
      [1, 0],
    ])(0.25),
  ]).toEqual([0.8, 0.5, 0.75]);
});

test('what a test that is glazed on both faces calls them', () => {
  const words = (form: Form) => (['outside', 'inside', 'left'] as const).map((side) => sideWord(form, side));
  expect(words('ring strip')).toEqual(['front', 'back', 'left']);
  expect([words('tile'), words('bowl')]).toEqual([
    ['outside', 'inside', 'left'],
    ['outside', 'inside', 'left'],
  ]);
});
