import * as vocabulary from '.';
import {
  DEFECTS,
  defectOf,
  FIRING_EVENTS,
  FORMS,
  formShape,
  lookAlikesOf,
  reachMm,
  standingMm,
  type FiringEvent,
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
