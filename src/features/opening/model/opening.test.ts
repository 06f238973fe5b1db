import type { OpeningPiece, OpeningZone } from '@/records/openings';
import {
  asExpected,
  asTwin,
  followed,
  gradeLast,
  nothingSaid,
  placeDefect,
  pressedAt,
  readingOf,
  sayLess,
  sayMore,
  tapDefect,
  tapDefectOn,
  toSend,
  wholeOf,
  withReadings,
  type Draft,
} from './draft';
import { pieceReadingSchema } from '@/features/shared/readingSchema';

const id = (letter: string) => letter.repeat(26);
const live = {
  id: id('R'),
  zoneId: id('Z'),
  stage: 'after',
  surface: 'gloss',
  movement: 'moves',
  colour: null,
  note: 'seen',
  at: new Date(),
  by: 'Maren',
  ended: false,
  defects: [{ defect: 'pitting', severity: 2, place: 'thick' }],
};
const zone = (letter: string, readings: readonly object[] = []) => ({
  id: id(letter),
  readings,
  side: 'outside',
  from: 0,
  to: 1,
  stack: [],
});
const piece = {
  id: id('P'),
  state: 'loaded',
  fate: null,
  zones: [zone('Z', [live]), zone('Y')],
} as unknown as OpeningPiece;
const [read, blank] = piece.zones as [OpeningPiece['zones'][number], OpeningPiece['zones'][number]];

test('a zone starts from its live reading, and what is tapped follows it', () => {
  const said = withReadings(nothingSaid(piece), [read], { surface: 'matte' });
  expect(readingOf(said, read)).toMatchObject({
    surface: 'matte',
    movement: 'moves',
    note: 'seen',
    follows: live.id,
    defects: [{ defect: 'pitting' }],
  });
  expect(readingOf(said, blank)).toMatchObject({ surface: null, follows: null, defects: [] });
});

test('taps keep one id, so that sending twice is one reading', () => {
  const once = withReadings(nothingSaid(piece), [blank], { surface: 'gloss' });
  const twice = withReadings(once, [blank], { movement: 'runs' });
  expect(twice.zones[blank.id]!.id).toBe(once.zones[blank.id]!.id);
});

test('a defect is plain, then spoils, then slight, then gone', () => {
  const severities: (number | undefined)[] = [];
  let reading = readingOf(nothingSaid(piece), blank);
  for (let taps = 0; taps < 4; taps++) {
    reading = { ...reading, defects: tapDefect(reading, 'crazing') };
    severities.push(reading.defects[0]?.severity);
  }
  expect(severities).toEqual([2, 3, 1, undefined]);
});

test('keys grade the defect tapped last; a place belongs to its defect', () => {
  let reading = readingOf(nothingSaid(piece), blank);
  reading = { ...reading, defects: tapDefect(reading, 'crazing') };
  reading = { ...reading, defects: tapDefect(reading, 'pitting') };
  reading = { ...reading, defects: gradeLast(reading, 3) };
  reading = { ...reading, defects: placeDefect(reading, 'crazing', 'rim') };
  expect(reading.defects).toEqual([
    { defect: 'crazing', severity: 2, place: 'rim' },
    { defect: 'pitting', severity: 3, place: 'everywhere' },
  ]);
});

test('only zones that were touched are sent, nothing of a missing piece', () => {
  const said = { ...withReadings(nothingSaid(piece), [blank], { surface: 'satin' }), fate: 'keep' as const };
  const sent = toSend(piece, id('F'), said);
  expect(sent.readings.map((one) => one.zoneId)).toEqual([blank.id]);
  expect(pieceReadingSchema.safeParse(sent).success).toBe(true);
  expect(toSend(piece, id('F'), { ...said, state: 'missing' }).readings).toEqual([]);
});

test('after a conflict mine follows theirs, and only where theirs is', () => {
  const said = withReadings(nothingSaid(piece), [blank], { surface: 'satin' });
  const sent = toSend(piece, id('F'), said);
  const theirs = (zone_id: string) => ({
    id: id('T'),
    zone_id,
    surface: 'gloss',
    movement: null,
    note: '',
    defects: [],
  });
  const mine = followed(sent, { readings: [theirs(blank.id)] });
  expect(mine.readings[0]).toMatchObject({ follows: id('T'), surface: 'satin' });
  expect(followed(sent, { readings: [theirs(id('Q'))] })).toEqual(sent);
  expect(followed(sent, { fate: 'grind' }).fateBefore).toBe('grind');
});

test('every tap can be taken back, and a finished piece is taken up again under new ids', () => {
  const start: Draft = { said: nothingSaid(piece), sentAs: null, before: null, past: [] };
  const once = sayMore(start, (said) => withReadings(said, [blank], { surface: 'gloss' }));
  const twice = sayMore(once, (said) => tapDefectOn(said, [blank], 'pitting'));
  expect(sayLess(twice).said).toEqual(once.said);
  expect(sayLess(sayLess(twice)).said).toEqual(start.said);
  expect(sayLess(start)).toBe(start);
  const sent = { ...twice, sentAs: id('W') };
  const again = sayMore(sent, (said) => withReadings(said, [blank], { surface: 'matte' }));
  const [before, after] = [sent.said.zones[blank.id]!, again.said.zones[blank.id]!];
  expect(after).toMatchObject({ follows: before.id, surface: 'matte', defects: before.defects });
  expect(again.sentAs).toBeNull();
});

test('a tap on the whole piece is about its glazed zones, and cycles where the defect is', () => {
  const bare = zone('B');
  const glazed = { ...zone('G'), stack: [{ glaze: 's', times: 1 }] } as unknown as OpeningZone;
  const other = { ...zone('H'), stack: [{ glaze: 'l', times: 1 }] } as unknown as OpeningZone;
  const all = [bare as unknown as OpeningZone, glazed, other];
  expect(wholeOf(all)).toEqual([glazed, other]);
  let said = tapDefectOn(nothingSaid(piece), wholeOf(all), 'crazing');
  said = tapDefectOn(said, [other], 'pitting');
  said = tapDefectOn(said, wholeOf(all), 'pitting');
  expect(readingOf(said, glazed).defects.map((one) => one.defect)).toEqual(['crazing']);
  expect(readingOf(said, other).defects).toContainEqual(
    expect.objectContaining({ defect: 'pitting', severity: 3 }),
  );
});

test('as expected says what the proofs say; as its twin takes over zone by zone', () => {
  const known = { ...blank, expected: { proofs: 3, surface: 'satin', movement: 'moves', defects: [] } };
  const said = asExpected(nothingSaid(piece), [known as unknown as OpeningZone, read]);
  expect(Object.keys(said.zones)).toEqual([blank.id]);
  expect(said.zones[blank.id]).toMatchObject({ surface: 'satin', movement: 'moves' });
  const low = { ...blank, id: id('L'), from: 0, to: 0.4 };
  const high = { ...blank, id: id('M'), from: 0.4, to: 1 };
  const twin = [
    { side: 'outside', from: 0, to: 0.42, surface: 'gloss', movement: null, defects: [] },
    { side: 'outside', from: 0.42, to: 1, surface: 'matte', movement: 'runs', defects: [] },
  ] as const;
  const like = asTwin(nothingSaid(piece), [low, high], twin);
  expect([like.zones[low.id]?.surface, like.zones[high.id]?.surface]).toEqual(['gloss', 'matte']);
});

test.each([
  [0, 1, 'foot'],
  [0.05, 2, 'foot'],
  [0.5, 2, 'overlap'],
  [0.5, 1, 'spot'],
  [0.95, 1, 'rim'],
])('a press at %d of the height on %d glazes is at the %s', (height, glazes, place) => {
  const stack = Array.from({ length: glazes }, (_, i) => ({ glaze: `g${i}`, times: 1 }));
  expect(pressedAt(height, { stack } as unknown as OpeningZone)).toBe(place);
});

test.each([
  [{ surface: 'shiny' }, 'readings.0.surface'],
  [{ colour: 'red' }, 'readings.0.colour'],
  [{ defects: [{ defect: 'melting', severity: 2, place: 'rim' }] }, 'readings.0.defects.0.defect'],
  [{ defects: [{ defect: 'pitting', severity: 4, place: 'rim' }] }, 'readings.0.defects.0.severity'],
  [{ note: 'x'.repeat(2001) }, 'readings.0.note'],
])('%j is refused at its field', (wrong, field) => {
  const sent = toSend(piece, id('F'), withReadings(nothingSaid(piece), [blank], {}));
  const faults = pieceReadingSchema.safeParse({ ...sent, readings: [{ ...sent.readings[0], ...wrong }] })
    .error?.issues;
  expect(faults?.map((issue) => issue.path.join('.'))).toEqual([field]);
});
