import { labOf } from '../colour';
import type { Seen } from './agreement';
import { surprisesOf, type CameOut } from './surprise';

const usual = { spread: 2, disagree: 0.1 };
const seen = (id: string, more: Partial<Seen> = {}): Seen => ({
  id,
  pieceId: id,
  firingId: 'f',
  surface: 'gloss',
  movement: 'stable',
  colour: labOf('#3060a0'),
  defects: [],
  counts: true,
  ...more,
});
const proofs = (n: number, more: Partial<Seen> = {}) =>
  Array.from({ length: n }, (_, i) => seen(`p${i}`, more));
const came = (
  zoneId: string,
  now: Partial<Seen>,
  before: readonly Seen[],
  more: Partial<CameOut> = {},
): CameOut => ({
  zoneId,
  pieceId: zoneId,
  twinKey: zoneId,
  entryId: 'e',
  seen: seen(zoneId, { pieceId: more.pieceId ?? zoneId, ...now }),
  before,
  ...more,
});
const pits = { defects: [{ defect: 'pitting' as const, severity: 2 }] };
const kinds = (zones: readonly CameOut[]) => surprisesOf(zones, usual).map((one) => one.kind);

test('what came out as promised surprises nobody, nor does what nobody had proved', () => {
  expect(kinds([came('a', {}, proofs(5)), came('b', pits, [])])).toEqual([]);
});

test('a new defect surprises the more, the more proofs were sound; a slight one not at all', () => {
  const bits = (n: number) => surprisesOf([came('a', pits, proofs(n))], usual)[0]?.bits ?? 0;
  expect(bits(1)).toBe(0);
  expect(bits(8)).toBeGreaterThan(bits(4));
  expect(bits(4)).toBeCloseTo(-Math.log2(0.5 / 5), 6);
  expect(kinds([came('a', { defects: [{ defect: 'pitting', severity: 1 }] }, proofs(8))])).toEqual([]);
});

test('so does a defect that was always there and is gone; one that comes and goes does not', () => {
  expect(kinds([came('a', {}, proofs(8, pits))])).toEqual(['defect gone']);
  const half = [...proofs(4, pits), ...proofs(4)];
  expect(kinds([came('a', {}, half), came('b', pits, half)])).toEqual([]);
});

test('it moved when it never moved; running where it ran is no news', () => {
  expect(kinds([came('a', { movement: 'runs' }, proofs(8))])).toEqual(['moved']);
  expect(kinds([came('a', { movement: 'runs' }, proofs(8, { movement: 'runs' }))])).toEqual([]);
});

test('a colour is judged against the spread: near is the same, and a wide spread forgives', () => {
  const other = { colour: labOf('#5a5aa8') };
  expect(kinds([came('a', other, proofs(6))])).toEqual(['colour']);
  expect(kinds([came('a', { colour: labOf('#3363a2') }, proofs(6))])).toEqual([]);
  expect(surprisesOf([came('a', other, proofs(6))], { ...usual, spread: 12 })).toEqual([]);
});

test('proofs of older recipes or missed cones do not count', () => {
  expect(kinds([came('a', pits, proofs(8, { counts: false }))])).toEqual([]);
});

test('twins of one firing that differ are said, whoever proved them before; the greatest surprise comes first', () => {
  const twin = { twinKey: 't' };
  const zones = [
    came('a', {}, [], twin),
    came('b', { surface: 'matte' }, [], twin),
    came('c', pits, proofs(30)),
  ];
  expect(surprisesOf(zones, usual)).toMatchObject([
    { kind: 'new defect', zoneIds: ['c'] },
    { kind: 'twins disagree', zoneIds: ['a', 'b'] },
  ]);
  expect(
    kinds([came('a', {}, [], twin), came('b', { surface: 'matte' }, [], { ...twin, pieceId: 'a' })]),
  ).toEqual(['divided']);
});

test('a mug with three stretches surprises once, and one that disagrees with itself says so', () => {
  const onMug = { pieceId: 'mug', twinKey: 'mug' };
  const three = ['in', 'rim', 'foot'].map((zone) => came(zone, pits, proofs(8), onMug));
  expect(surprisesOf(three, usual)).toMatchObject([{ kind: 'new defect', zoneIds: ['in', 'rim', 'foot'] }]);
  const mixed = [came('thin', {}, proofs(8), onMug), came('thick', pits, proofs(8), onMug)];
  expect(surprisesOf(mixed, usual)).toMatchObject([
    { kind: 'divided', words: 'disagrees with itself: gloss, sound; gloss, pitting' },
  ]);
});

test('twins are counted by pieces', () => {
  const pots = ['a', 'b', 'c'].flatMap((pot) =>
    ['in', 'out'].map((zone) =>
      came(`${pot} ${zone}`, pot === 'c' ? { surface: 'matte' } : {}, [], { pieceId: pot, twinKey: 't' }),
    ),
  );
  expect(surprisesOf(pots, usual)).toMatchObject([
    { kind: 'twins disagree', words: '1 of 3 twins of one firing differs' },
  ]);
});
