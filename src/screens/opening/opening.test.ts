import type { OpeningPiece } from '@/records/openings';
import {
  followed,
  gradeLast,
  nothingSaid,
  placeDefect,
  readingOf,
  tapDefect,
  toSend,
  withReading,
} from './draft';
import { pieceReadingSchema } from './schema';

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
  const said = withReading(nothingSaid(piece), read, { surface: 'matte' });
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
  const once = withReading(nothingSaid(piece), blank, { surface: 'gloss' });
  const twice = withReading(once, blank, { movement: 'runs' });
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
  const said = { ...withReading(nothingSaid(piece), blank, { surface: 'satin' }), fate: 'keep' as const };
  const sent = toSend(piece, id('F'), said);
  expect(sent.readings.map((one) => one.zoneId)).toEqual([blank.id]);
  expect(pieceReadingSchema.safeParse(sent).success).toBe(true);
  expect(toSend(piece, id('F'), { ...said, state: 'missing' }).readings).toEqual([]);
});

test('after a conflict mine follows theirs', () => {
  const said = withReading(nothingSaid(piece), blank, { surface: 'satin' });
  const theirs = { id: id('T'), zone_id: blank.id };
  expect(followed(said, theirs).zones[blank.id]).toMatchObject({ follows: id('T'), surface: 'satin' });
  expect(followed(said, { id: id('T'), zone_id: id('Q') })).toBe(said);
});

test.each([
  [{ surface: 'shiny' }, 'readings.0.surface'],
  [{ colour: 'red' }, 'readings.0.colour'],
  [{ defects: [{ defect: 'melting', severity: 2, place: 'rim' }] }, 'readings.0.defects.0.defect'],
  [{ defects: [{ defect: 'pitting', severity: 4, place: 'rim' }] }, 'readings.0.defects.0.severity'],
  [{ note: 'x'.repeat(2001) }, 'readings.0.note'],
])('%j is refused at its field', (wrong, field) => {
  const sent = toSend(piece, id('F'), withReading(nothingSaid(piece), blank, {}));
  const faults = pieceReadingSchema.safeParse({ ...sent, readings: [{ ...sent.readings[0], ...wrong }] })
    .error?.issues;
  expect(faults?.map((issue) => issue.path.join('.'))).toEqual([field]);
});
