import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { folderStore, newId, type Store } from '@/records/platform';
import { listGlazes, addBatch } from '@/records/materials';
import { addReminder, remindersOf, setReminderDone } from '@/records/reminders';
import {
  changeMany,
  orderById,
  piecePage,
  saveExpectation,
  saveOrder,
  savePieces,
  setOrderEnded,
} from '@/records/pieces';
import { openingOf, summaryOf, writeOpening, type OpeningPiece, type PieceReading } from '@/records/openings';
import { firedAgain } from '@/records/clinic';
import { advanceFiring, firingById, loadPieces, savePastFiring } from '@/records/firings';
import { dip, emptyFiring, fired, freshStudio, tile } from './studio';

let studio: Awaited<ReturnType<typeof freshStudio>>;
let folder: string;
let store: Store;
beforeAll(async () => {
  studio = await freshStudio('again');
  folder = await mkdtemp(join(tmpdir(), 'jiten-again-'));
  store = folderStore(folder);
});
afterAll(async () => {
  await studio.base.destroy();
  await rm(folder, { recursive: true });
});

/** Reads a piece at an opening, its zones all alike. */
async function read(
  firingId: string,
  piece: OpeningPiece,
  said: Partial<PieceReading>,
  defects: PieceReading['readings'][number]['defects'] = [],
) {
  const readings = piece.zones.map((zone) => ({
    ...{ id: newId(), zoneId: zone.id, follows: null, stage: 'after' as const, note: '', defects },
    ...{ surface: 'gloss' as const, movement: 'stable' as const, colour: null, boilTest: null },
  }));
  const reading: PieceReading = { pieceId: piece.id, firingId, state: 'read', fate: null, readings, ...said };
  const write = { kind: 'piece', reading } as const;
  await writeOpening(studio.base, store, studio.member, { id: newId(), firingId, write });
  return reading;
}

async function fireAgain(ids: readonly string[]): Promise<string> {
  const { base, member } = studio;
  const firingId = await emptyFiring(studio, { kind: 'refire' });
  await loadPieces(
    base,
    member,
    firingId,
    ids.map((pieceId) => ({ pieceId, shelf: 1 })),
  );
  await advanceFiring(base, member, firingId, 'open');
  return firingId;
}

const piecesOf = async (firingId: string) => (await openingOf(studio.base, firingId)).pieces;
const PITTED = [{ defect: 'pitting', severity: 2, place: 'everywhere' }] as const;

test('a piece comes back for the defect that it showed or the words that were said, and the outcome is kept', async () => {
  const { base, member, glazes } = studio;
  const four = Array.from({ length: 4 }, () => tile(studio, [dip(glazes.Sleeper, 0, 1)]));
  const { firingId, ids } = await fired(studio, four);
  const [pitted, thin, sound, other] = ids.map((id) => (piece: OpeningPiece) => piece.id === id) as ((
    piece: OpeningPiece,
  ) => boolean)[];
  const first = await piecesOf(firingId);
  await saveExpectation(base, member, { id: newId(), pieceId: ids[3]!, words: 'runs' });
  await read(firingId, first.find(pitted!)!, { fate: 'refire' }, PITTED);
  await read(firingId, first.find(thin!)!, { fate: 'reglaze', reasons: ['thin'] });
  await read(firingId, first.find(sound!)!, { fate: 'keep' });
  await read(firingId, first.find(other!)!, { fate: 'refire', reasons: ['dull'] }, PITTED);
  const summary = await summaryOf(base, firingId);
  expect(new Map(summary.again.map(({ id, why }) => [id, why]))).toEqual(
    new Map([
      [ids[0], ['pitting']],
      [ids[1], ['thin']],
      [ids[3], ['pitting', 'dull']],
    ]),
  );
  // Said once the kiln was open, it is about the firing after.
  expect((await piecePage(base, ids[3]!)).expectation).toBe('runs');

  const again = await fireAgain([ids[0]!, ids[1]!, ids[3]!]);
  const back = await piecesOf(again);
  expect(back.find(other!)!.expectation).toBe('runs');
  expect(back.find(thin!)!.reasons).toEqual([{ reason: 'thin', outcome: null, was: [] }]);
  expect(back.find(pitted!)!.reasons).toMatchObject([{ reason: 'pitting', was: [{ severity: 2 }] }]);
  await read(again, back.find(pitted!)!, { fate: 'keep', outcomes: { pitting: 'gone' } });
  // Still plain, and said to be better: what was said holds.
  await read(
    again,
    back.find(other!)!,
    { fate: 'keep', outcomes: { pitting: 'better', dull: 'gone' } },
    PITTED,
  );
  const taken = await read(again, back.find(thin!)!, {
    fate: 'refire',
    reasons: ['thin'],
    outcomes: { thin: 'same' },
  });
  expect((await summaryOf(base, again)).outcomes).toEqual(
    expect.arrayContaining([
      { reason: 'pitting', pieces: 2, counts: { gone: 1, better: 1 } },
      { reason: 'dull', pieces: 1, counts: { gone: 1 } },
      { reason: 'thin', pieces: 1, counts: { same: 1 } },
    ]),
  );
  const told = (await firedAgain(base, 'pitting')).map(({ pieceId, said }) => [ids.indexOf(pieceId), said]);
  expect(new Map(told as [number, string][])).toEqual(
    new Map([
      [0, 'gone'],
      [3, 'better'],
    ]),
  );
  expect((await piecePage(base, ids[3]!)).firings.at(-1)).toMatchObject({ expected: 'runs' });

  // Taken back: neither outcome nor reason stays.
  const readingIds = taken.readings.map(({ id }) => id);
  const undone = {
    pieceId: taken.pieceId,
    firingId: again,
    readingIds,
    state: 'loaded',
    fate: null,
  } as const;
  const write = { kind: 'undo', undone } as const;
  await writeOpening(base, store, member, { id: newId(), firingId: again, write });
  const thinNow = (await piecesOf(again)).find(thin!)!;
  expect(thinNow.reasons).toEqual([{ reason: 'thin', outcome: null, was: [] }]);
  expect(await base('fate').where({ piece_id: thinNow.id, firing_id: again })).toEqual([]);
});

test('an order of eight counts what came out of the kiln, and pieces are given to it in one act that can be undone', async () => {
  const { base, member, glazes } = studio;
  const order = {
    ...{ id: newId(), name: 'Canteen', wanted: 'cups', count: 8, dueOn: '2026-12-20', price: '', note: '' },
  };
  await saveOrder(base, member, order, null);
  await saveOrder(base, member, order, null);
  await expect(saveOrder(base, member, { ...order, id: newId() }, null)).rejects.toThrow(/already/);
  const cup = tile(studio, [dip(glazes.Limewash, 0, 1)]);
  const { firingId, ids } = await fired(
    studio,
    Array.from({ length: 8 }, () => cup),
  );
  const given = ids.map((id) => ({ id, order: { from: null, to: order.id } }));
  expect(await changeMany(base, member, given)).toEqual([]);
  // Somebody who still saw them in no order changes nothing.
  expect(await changeMany(base, member, given.slice(0, 1))).toHaveLength(1);
  expect((await orderById(base, order.id)).stand).toMatchObject({ good: 0, undecided: 8, toMake: 0 });
  const fates = ['keep', 'first', 'keep', 'first', 'give', 'keep', 'refire', 'discard'] as const;
  const there = await piecesOf(firingId);
  for (const [i, fate] of fates.entries())
    await read(
      firingId,
      there.find(({ id }) => id === ids[i])!,
      { fate },
    );
  expect((await orderById(base, order.id)).stand).toEqual({
    ...{ good: 6, coming: 1, undecided: 0, lost: 1, toMake: 1 },
  });
  // The kiln says so where the piece is read again; one made for it on a sheet is on its way.
  const again = await fireAgain([ids[6]!]);
  expect((await piecesOf(again))[0]!.order).toMatchObject({ name: 'Canteen', count: 8, stand: { good: 6 } });
  await savePieces(base, member, cup, [newId()], { orderId: order.id });
  expect((await orderById(base, order.id)).stand).toMatchObject({ coming: 1, undecided: 1, toMake: 0 });
  await changeMany(base, member, [{ id: ids[0]!, order: { from: order.id, to: null } }]);
  expect((await orderById(base, order.id)).stand.good).toBe(5);
  await setOrderEnded(base, member, order.id, true);
  expect((await orderById(base, order.id)).endedAt).not.toBeNull();
});

test('a note for the next time comes up with what it is about until it is ticked off', async () => {
  const { base, member, glazes } = studio;
  const note = { id: newId(), about: 'glaze', aboutId: glazes.Sleeper, words: 'sieve it first' } as const;
  await addReminder(base, member, note);
  await addReminder(base, member, note);
  await addReminder(base, member, {
    id: newId(),
    about: 'form',
    aboutId: 'mug',
    words: 'thinner at the rim',
  });
  const about = [{ about: 'glaze', aboutId: glazes.Sleeper }] as const;
  expect(await remindersOf(base, about)).toMatchObject([{ words: 'sieve it first', thing: 'Sleeper' }]);
  expect(await remindersOf(base, 'all')).toHaveLength(2);
  // Of a bucket and of a firing it says which.
  const [sleeper] = (await listGlazes(base)).filter(({ id }) => id === glazes.Sleeper);
  const batch = {
    ...{ id: newId(), glazeId: glazes.Sleeper, versionId: sleeper!.versionId, code: 'S7' },
    ...{ mixedOn: '2026-01-03', specificGravity: null },
  };
  await addBatch(base, member, batch);
  const firingId = await emptyFiring(studio);
  for (const [kind, aboutId, thing] of [
    ['batch', batch.id, 'Sleeper S7'],
    ['firing', firingId, expect.stringMatching(/ \d+$/) as string],
  ] as const) {
    await addReminder(base, member, { id: newId(), about: kind, aboutId, words: 'lumps' });
    expect(await remindersOf(base, [{ about: kind, aboutId }])).toMatchObject([{ thing }]);
  }
  expect(await remindersOf(base, [{ about: 'form', aboutId: 'mug' }])).toMatchObject([{ thing: 'mug' }]);
  await setReminderDone(base, member, note.id, true);
  expect(await remindersOf(base, about)).toEqual([]);
  await setReminderDone(base, member, note.id, false);
  expect(await remindersOf(base, about)).toHaveLength(1);
});

test('a past firing is written down in one go: its pieces are fired, and no time of it is made up', async () => {
  const { base, member } = studio;
  const made = await savePieces(base, member, tile(studio), [newId(), newId()]);
  const pieceIds = made.map(({ id }) => id);
  const firing = {
    ...{ id: newId(), kilnId: studio.kilnId, kind: 'glaze' as const, cone: '6' as const },
    ...{
      atmosphere: 'oxidation' as const,
      plannedOn: '2026-03-02',
      startsAt: '00:00',
      programmeId: null,
      segments: null,
    },
    ...{ programme: '', remarks: 'fired by the evening class' },
  };
  const past = { firing, pieceIds, today: '2026-03-09' };
  await savePastFiring(base, member, past);
  await savePastFiring(base, member, past);
  expect(await firingById(base, firing.id)).toMatchObject({
    ...{ state: 'open', pieces: 2, waiting: 2, plannedOn: '2026-03-02' },
    ...{ startedAt: null, endedAt: null, openedAt: null },
  });
  expect(await base('piece').whereIn('id', pieceIds).pluck('stage')).toEqual(['fired', 'fired']);
  const before = { ...firing, id: newId(), plannedOn: '2026-03-01' };
  await base('piece').whereIn('id', pieceIds).update({ stage: 'read', fate: 'refire' });
  await expect(savePastFiring(base, member, { ...past, firing: before })).rejects.toThrow(
    /Fired after that day/,
  );
  expect(await base('firing').where({ id: before.id })).toEqual([]);
  const coming = { ...firing, id: newId(), plannedOn: '2026-04-01' };
  await expect(savePastFiring(base, member, { ...past, firing: coming })).rejects.toThrow(/not come yet/);
});
