import type { OpeningPiece, OpeningZone } from '@/records/openings';
import {
  asExpected,
  asTwin,
  sameAs,
  rebasedOn,
  gradeLast,
  blankAnswers,
  placeDefect,
  pressedAt,
  readingOf,
  reduceDraft,
  tapDefect,
  tapDefectOn,
  readingToSend,
  blankDraft,
  sayOutcome,
  type Answers,
  wholeOf,
  withReadings,
  type PieceDraft,
} from './draft';
import { AGAIN_OUTCOMES, type AgainOutcome } from '@/core/vocabulary';
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
  const answers = withReadings(blankAnswers(piece), [read], { surface: 'matte' });
  expect(readingOf(answers, read)).toMatchObject({
    surface: 'matte',
    movement: 'moves',
    note: 'seen',
    follows: live.id,
    defects: [{ defect: 'pitting' }],
  });
  expect(readingOf(answers, blank)).toMatchObject({ surface: null, follows: null, defects: [] });
});

test('taps keep one id, so that sending twice is one reading', () => {
  const once = withReadings(blankAnswers(piece), [blank], { surface: 'gloss' });
  const twice = withReadings(once, [blank], { movement: 'runs' });
  expect(twice.zones[blank.id]!.id).toBe(once.zones[blank.id]!.id);
});

test('a defect is plain, then spoils, then slight, then gone', () => {
  const severities: (number | undefined)[] = [];
  let reading = readingOf(blankAnswers(piece), blank);
  for (let taps = 0; taps < 4; taps++) {
    reading = { ...reading, defects: tapDefect(reading, 'crazing') };
    severities.push(reading.defects[0]?.severity);
  }
  expect(severities).toEqual([2, 3, 1, undefined]);
});

test('keys grade the defect tapped last; a place belongs to its defect', () => {
  let reading = readingOf(blankAnswers(piece), blank);
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
  const answers = {
    ...withReadings(blankAnswers(piece), [blank], { surface: 'satin' }),
    fate: 'keep' as const,
  };
  const sent = readingToSend(piece, id('F'), answers);
  expect(sent.readings.map((one) => one.zoneId)).toEqual([blank.id]);
  expect(pieceReadingSchema.safeParse(sent).success).toBe(true);
  expect(readingToSend(piece, id('F'), { ...answers, state: 'missing' }).readings).toEqual([]);
});

test('after a conflict mine follows theirs, and only where theirs is', () => {
  const answers = withReadings(blankAnswers(piece), [blank], { surface: 'satin' });
  const sent = readingToSend(piece, id('F'), answers);
  const theirs = (zoneId: string) => ({
    id: id('T'),
    zoneId,
    surface: 'gloss',
    movement: null,
    note: '',
    defects: [],
  });
  const mine = rebasedOn(sent, { readings: [theirs(blank.id)] });
  expect(mine.readings[0]).toMatchObject({ follows: id('T'), surface: 'satin' });
  expect(rebasedOn(sent, { readings: [theirs(id('Q'))] })).toEqual(sent);
  expect(rebasedOn(sent, { fate: 'grind' }).fateBefore).toBe('grind');
});

const undo = { type: 'undo' } as const;

test('every tap can be taken back, and a finished piece is taken up again under new ids', () => {
  const start: PieceDraft = { answers: blankAnswers(piece), sentAs: null, before: null, past: [] };
  const once = reduceDraft(start, {
    type: 'answer',
    change: (answers) => withReadings(answers, [blank], { surface: 'gloss' }),
  });
  const twice = reduceDraft(once, {
    type: 'answer',
    change: (answers) => tapDefectOn(answers, [blank], 'pitting'),
  });
  expect(reduceDraft(twice, undo).answers).toEqual(once.answers);
  expect(reduceDraft(reduceDraft(twice, undo), undo).answers).toEqual(start.answers);
  expect(reduceDraft(start, undo)).toBe(start);
  const sent = { ...twice, sentAs: id('W') };
  const again = reduceDraft(sent, {
    type: 'answer',
    change: (answers) => withReadings(answers, [blank], { surface: 'matte' }),
  });
  const [before, after] = [sent.answers.zones[blank.id]!, again.answers.zones[blank.id]!];
  expect(after).toMatchObject({ follows: before.id, surface: 'matte', defects: before.defects });
  expect(again.sentAs).toBeNull();
});

test('a change of mind is judged against what waits to be sent before it, not against the server', () => {
  const fate = (to: Answers['fate']) => ({
    type: 'answer' as const,
    change: (answers: Answers) => ({ ...answers, fate: to }),
  });
  const finish = (draft: PieceDraft) =>
    reduceDraft(draft, {
      type: 'finish',
      sentAs: id('W'),
      before: draft.before ?? { state: 'loaded', fate: null },
    });
  const first = finish(reduceDraft(blankDraft(piece), fate('first')));
  const changed = reduceDraft(reduceDraft(first, fate('keep')), fate('second'));
  expect(readingToSend(piece, id('F'), changed.answers, changed.before!)).toMatchObject({
    fate: 'second',
    fateBefore: 'first',
  });
  const takenBack = reduceDraft(reduceDraft(first, { type: 'unfinish' }), fate('second'));
  expect(takenBack.before).toEqual({ state: 'loaded', fate: null });
  expect(finish(takenBack).before).toEqual({ state: 'loaded', fate: null });
});

test('a tap on the whole piece is about its glazed zones, and cycles where the defect is', () => {
  const bare = zone('B');
  const glazed = { ...zone('G'), stack: [{ glaze: 's', times: 1 }] } as unknown as OpeningZone;
  const other = { ...zone('H'), stack: [{ glaze: 'l', times: 1 }] } as unknown as OpeningZone;
  const all = [bare as unknown as OpeningZone, glazed, other];
  expect(wholeOf(all)).toEqual([glazed, other]);
  let answers = tapDefectOn(blankAnswers(piece), wholeOf(all), 'crazing');
  answers = tapDefectOn(answers, [other], 'pitting');
  answers = tapDefectOn(answers, wholeOf(all), 'pitting');
  expect(readingOf(answers, glazed).defects.map((one) => one.defect)).toEqual(['crazing']);
  expect(readingOf(answers, other).defects).toContainEqual(
    expect.objectContaining({ defect: 'pitting', severity: 3 }),
  );
});

test('what may be the fault of the piece or of its glazes is the piece’s own until a zone of glaze is named', () => {
  const [bare, glazed] = [zone('B'), { ...zone('G'), stack: [{ glaze: 's', times: 1 }] }] as unknown as [
    OpeningZone,
    OpeningZone,
  ];
  const placeOf = (zones: readonly OpeningZone[], defect: 'stuck' | 'pitting', isWhole: boolean) =>
    readingOf(tapDefectOn(blankAnswers(piece), zones, defect, isWhole), zones[0]!).defects[0]!.place;
  expect(placeOf([glazed], 'stuck', true)).toBe('the piece itself');
  expect(placeOf([bare], 'stuck', false)).toBe('the piece itself');
  expect(placeOf([glazed], 'stuck', false)).toBe('everywhere');
  expect(placeOf([glazed], 'pitting', true)).toBe('everywhere');
});

test('as expected says what the proofs say; as its twin takes over zone by zone', () => {
  const known = { ...blank, expected: { proofs: 3, surface: 'satin', movement: 'moves', defects: [] } };
  const answers = asExpected(blankAnswers(piece), [known as unknown as OpeningZone, read]);
  expect(Object.keys(answers.zones)).toEqual([blank.id]);
  expect(answers.zones[blank.id]).toMatchObject({ surface: 'satin', movement: 'moves' });
  const low = { ...blank, id: id('L'), from: 0, to: 0.4 };
  const high = { ...blank, id: id('M'), from: 0.4, to: 1 };
  const twin = [
    { area: null, side: 'outside', from: 0, to: 0.42, surface: 'gloss', movement: null, defects: [] },
    { area: null, side: 'outside', from: 0.42, to: 1, surface: 'matte', movement: 'runs', defects: [] },
  ] as const;
  const like = asTwin(blankAnswers(piece), [low, high], twin);
  expect([like.zones[low.id]?.surface, like.zones[high.id]?.surface]).toEqual(['gloss', 'matte']);
});

test('the others like it get its readings and its fate, but not what was noted of it alone', () => {
  const tapped = withReadings(blankAnswers(piece), [blank], { surface: 'matte', note: 'leans' });
  const other = { ...piece, id: id('P'), zones: [{ ...blank, id: id('Q') }] };
  const same = sameAs(
    { ...piece, zones: [blank] },
    { ...tapped, fate: 'reglaze', reasons: ['thin'] },
    other,
  )(blankAnswers(other));
  expect(same).toMatchObject({ state: 'read', fate: 'reglaze', reasons: ['thin'] });
  expect(same.zones[id('Q')]).toMatchObject({ surface: 'matte', note: '' });
  expect(same.zones[blank.id]).toBeUndefined();
});

test.each([
  [0, 1, 'foot'],
  [0.05, 2, 'foot'],
  [0.5, 2, 'overlap'],
  [0.5, 1, 'spot'],
  [0.95, 1, 'rim'],
])('a press at %d of the height on %d glazes is at the %s', (height, glazes, place) => {
  const stack = Array.from({ length: glazes }, (_, i) => ({ glaze: `g${i}`, times: 1 }));
  expect(pressedAt(height, { stack })).toBe(place);
});

test.each([
  [{ surface: 'shiny' }, 'readings.0.surface'],
  [{ colour: 'red' }, 'readings.0.colour'],
  [{ defects: [{ defect: 'melting', severity: 2, place: 'rim' }] }, 'readings.0.defects.0.defect'],
  [{ defects: [{ defect: 'pitting', severity: 4, place: 'rim' }] }, 'readings.0.defects.0.severity'],
  [{ note: 'x'.repeat(2001) }, 'readings.0.note'],
])('%j is refused at its field', (wrong, field) => {
  const sent = readingToSend(piece, id('F'), withReadings(blankAnswers(piece), [blank], {}));
  const errors = pieceReadingSchema.safeParse({ ...sent, readings: [{ ...sent.readings[0], ...wrong }] })
    .error?.issues;
  expect(errors?.map((issue) => issue.path.join('.'))).toEqual([field]);
});

test('what firing again did is written where the defect had been, and no longer holds once the defect is tapped', () => {
  const was = [{ area: null, side: 'outside', from: 0, to: 0.5, severity: 2, place: 'thick' }] as const;
  const pitting = { reason: 'pitting', outcome: null, was };
  const severity = (answers: Answers) => readingOf(answers, blank).defects[0]?.severity;
  const said = (outcome: AgainOutcome) =>
    sayOutcome(blankAnswers(piece), { zones: [blank] }, pitting, outcome);
  expect(AGAIN_OUTCOMES.map((outcome) => severity(said(outcome)))).toEqual([undefined, 1, 2, 3]);
  expect(readingToSend(piece, id('F'), said('worse')).outcomes).toEqual({ pitting: 'worse' });
  expect(readingOf(said('same'), blank).defects).toEqual([
    { defect: 'pitting', severity: 2, place: 'thick' },
  ]);
  // Words have no place: nothing is read by them.
  const thin = { reason: 'thin', outcome: null, was: [] };
  const both = sayOutcome(said('gone'), { zones: [blank] }, thin, 'better');
  expect(both).toMatchObject({ outcomes: { pitting: 'gone', thin: 'better' } });
  expect(tapDefectOn(both, [blank], 'pitting').outcomes).toEqual({ thin: 'better' });
  expect(tapDefectOn(both, [blank], 'crazing').outcomes).toEqual(both.outcomes);
  // Said once more it is taken back, also what the server has from before.
  expect(sayOutcome(both, { zones: [blank] }, thin, 'better').outcomes).toEqual({ pitting: 'gone' });
  const known = { ...piece, reasons: [{ ...pitting, outcome: 'gone' }] } as OpeningPiece;
  expect(tapDefectOn(blankAnswers(known), [blank], 'pitting').outcomes).toEqual({});
});
