import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { deltaE00, labOf } from '@/core/colour';
import {
  newId,
  Conflict,
  NotFound,
  Refusal,
  reserveNumbers,
  folderStore,
  type Store,
} from '@/records/platform';
import { loadPieces } from '@/records/firings';
import {
  openingOf,
  phrasesOf,
  type OpeningPiece,
  writeOpening,
  type OpeningWrite,
  type ReadingDraft,
  summaryOf,
} from '@/records/openings';
import { addPhoto, piecePage, correctPiece, savePieces } from '@/records/pieces';
import { lateReadings } from '@/features/pieces/model/late';
import { dip, emptyFiring, fired, freshStudio, readAll, reading, tile, type Studio } from './studio';

let studio: Studio;
let store: Store;
let folder: string;
beforeAll(async () => {
  studio = await freshStudio('opening');
  folder = await mkdtemp(join(tmpdir(), 'jiten-opening-'));
  store = folderStore(folder);
});
afterAll(async () => {
  await studio.base.destroy();
  await rm(folder, { recursive: true });
});

const opened = async (n = 1) => {
  const { firingId } = await fired(
    studio,
    Array.from({ length: n }, () => tile(studio)),
  );
  const { pieces } = await openingOf(studio.base, firingId);
  return { firingId, pieces, piece: pieces[0]! };
};
const write = (firingId: string, what: OpeningWrite, id = newId()) =>
  writeOpening(studio.base, store, studio.member, { id, firingId, write: what });
const said = (
  firingId: string,
  piece: OpeningPiece,
  more: Partial<ReadingDraft> = {},
  fate: 'keep' | 'second' = 'keep',
): Extract<OpeningWrite, { kind: 'piece' }> => ({
  kind: 'piece',
  reading: {
    pieceId: piece.id,
    firingId,
    state: 'read',
    fate,
    fateBefore: piece.fate,
    readings: piece.zones.map((zone) => reading(zone.id, more)),
  },
});

test('a write that is sent again, or twice at once, is done exactly once', async () => {
  const { base } = studio;
  const { firingId, piece } = await opened();
  const id = newId();
  const what = said(firingId, piece);
  const answers = await Promise.all([write(firingId, what, id), write(firingId, what, id)]);
  await write(firingId, what, id);
  expect(answers.map((answer) => answer?.state)).toEqual(['read', 'read']);
  expect(await base('reading').where({ piece_id: piece.id })).toHaveLength(piece.zones.length);
  expect(await base('fate').where({ piece_id: piece.id })).toHaveLength(1);
});

test('a write that is refused leaves nothing behind and may be sent again', async () => {
  const { base } = studio;
  const { firingId, piece } = await opened();
  const what = said(firingId, piece);
  const wrong = {
    ...what,
    reading: { ...what.reading, readings: [...what.reading.readings, reading(newId())] },
  };
  const id = newId();
  await expect(write(firingId, wrong, id)).rejects.toThrow(NotFound);
  expect(await base('reading').where({ piece_id: piece.id })).toEqual([]);
  expect((await write(firingId, what, id))?.state).toBe('read');
});

test('two devices that read one piece are told with both values; theirs may be followed', async () => {
  const { firingId, piece } = await opened();
  await write(firingId, said(firingId, piece, { surface: 'gloss' }));
  const mine = said(firingId, piece, { surface: 'matte' }, 'second');
  const conflict = await write(firingId, mine).catch((error: unknown) => error);
  expect(conflict).toBeInstanceOf(Conflict);
  expect((conflict as Conflict).theirs).toMatchObject({
    fate: 'keep',
    readings: piece.zones.map(() => ({ surface: 'gloss' })),
  });
  const { pieces } = await openingOf(studio.base, firingId);
  const live = new Map(pieces[0]!.zones.map((zone) => [zone.id, zone.readings[0]!.id]));
  const followed = {
    ...mine.reading,
    fateBefore: 'keep' as const,
    readings: mine.reading.readings.map((one) => ({ ...one, follows: live.get(one.zoneId)! })),
  };
  const after = await write(firingId, { kind: 'piece', reading: followed });
  expect(after).toMatchObject({ fate: 'second' });
  expect(after!.zones.every((zone) => zone.readings[0]!.surface === 'matte')).toBe(true);
  const history = (await piecePage(studio.base, piece.id)).firings[0]!.zones[0]!.readings;
  expect(history.map((one) => [one.surface, one.ended])).toEqual([
    ['matte', false],
    ['gloss', true],
  ]);
});

test('what was finished by mistake is taken back: the piece waits again, what was before lives again', async () => {
  const { base } = studio;
  const { firingId, piece } = await opened();
  const first = said(firingId, piece, { defects: [{ defect: 'pitting', severity: 3, place: 'thick' }] });
  const entryOf = (id: string) =>
    base('zone as z').join('entry as e', 'e.id', 'z.entry_id').where('z.id', id).first('e.proofs');
  const before = await entryOf(piece.zones[0]!.id);
  await write(firingId, first);
  expect((await entryOf(piece.zones[0]!.id)).proofs).toBe(before.proofs + 1);
  const taken = {
    pieceId: piece.id,
    firingId,
    readingIds: first.reading.readings.map((one) => one.id),
    state: 'loaded' as const,
    fate: null,
  };
  const back = await write(firingId, { kind: 'undo', undone: taken });
  expect(back).toMatchObject({ state: 'loaded', fate: null });
  expect(back!.zones.flatMap((zone) => zone.readings)).toEqual([]);
  expect(await entryOf(piece.zones[0]!.id)).toEqual(before);
});

test('a reading that was taken back before it came is not done when it comes, and conflicts with no later one', async () => {
  const { firingId, piece } = await opened();
  const [late, next] = [newId(), newId()];
  const first = said(firingId, piece, {}, 'second');
  const undone = {
    pieceId: piece.id,
    firingId,
    readingIds: first.reading.readings.map((one) => one.id),
    ...{ state: 'loaded' as const, fate: null, writeId: late },
  };
  await write(firingId, { kind: 'undo', undone });
  expect(await write(firingId, first, late)).toMatchObject({ state: 'loaded', fate: null });
  const again = said(firingId, piece, { surface: 'matte' });
  expect(await write(firingId, again, next)).toMatchObject({ state: 'read', fate: 'keep' });
});

test('devices hold numbers that nobody else is given; a stray is numbered once and told its coats later', async () => {
  const { base, member, glazes } = studio;
  const { firingId } = await opened();
  const [mine, theirs] = await Promise.all(
    ['a phone', 'another'].map((device) => reserveNumbers(base, member, { id: newId(), device })),
  );
  expect(await reserveNumbers(base, member, { id: mine!.id, device: 'a phone' })).toEqual(mine);
  const [saved] = await savePieces(base, member, tile(studio), [newId()]);
  const number = Number(saved!.label.replace(/\D/g, ''));
  expect(number).toBeGreaterThan(Math.max(mine!.last, theirs!.last));
  const stray = { id: newId(), firingId, blockId: mine!.id, number: mine!.first, shelf: 2, note: 'a bowl' };
  const piece = (await write(firingId, { kind: 'unlogged', piece: stray }))!;
  expect(piece).toMatchObject({ number: mine!.first, shelf: 2, state: 'loaded', note: 'a bowl' });
  expect(piece.zones.map((zone) => zone.stack)).toEqual([[]]);
  await expect(write(firingId, { kind: 'unlogged', piece: { ...stray, id: newId() } })).rejects.toThrow(
    Refusal,
  );
  const foreign = { ...stray, id: newId(), number: theirs!.first };
  await expect(write(firingId, { kind: 'unlogged', piece: foreign })).rejects.toThrow(Refusal);
  const draft = tile(studio, [dip(glazes.Sleeper, 0.1, 1)]);
  await correctPiece(base, member, stray.id, (await piecePage(base, stray.id)).version, draft);
  const page = await piecePage(base, stray.id);
  expect(page.stage).toBe('fired');
  expect(page.firings[0]!.zones.map((zone) => zone.headword)).toEqual(['Bare clay', 'Sleeper']);
});

test('a photo set again is measured again, and a count stands in place of the one before', async () => {
  const { base, member } = studio;
  const { firingId, piece } = await opened();
  const bytes = await sharp({ create: { width: 300, height: 400, channels: 3, background: '#c9c9c9' } })
    .composite([
      {
        input: await sharp({ create: { width: 60, height: 300, channels: 3, background: '#3060a0' } })
          .png()
          .toBuffer(),
        left: 120,
        top: 50,
      },
    ])
    .png()
    .toBuffer();
  const photoId = newId();
  const wide = { left: 0, right: 1, rim: 0, foot: 1 };
  await addPhoto(base, store, member, {
    id: photoId,
    pieceId: piece.id,
    firingId,
    bytes,
    settings: { frame: wide },
  });
  const frame = { left: 0.4, right: 0.6, rim: 0.13, foot: 0.87 };
  const strokes = [[{ x: 0.1, y: 0.2 }]];
  const set = await write(firingId, {
    kind: 'frame',
    photo: { id: photoId, frame, gains: null, strokes, labels: [], view: null, area: null, stage: null },
  });
  expect(set).toBeNull();
  const zoneId = piece.zones[0]!.id;
  for (const perCm2 of [1.5, 2.25])
    await write(firingId, {
      kind: 'count',
      count: { id: newId(), zoneId, photoId, kind: 'pits', perCm2, areaCm2: 4, marks: [] },
    });
  const [after] = (await openingOf(base, firingId)).pieces;
  expect(deltaE00(labOf(after!.zones[0]!.colour!), labOf('#3060a0'))).toBeLessThan(1);
  expect(after!.photos[0]).toMatchObject({ id: photoId, frame, strokes });
  expect(after!.zones[0]!.counts).toMatchObject([{ zoneId, perCm2: 2.25, kind: 'pits' }]);
  const page = await piecePage(base, piece.id);
  expect(page.firings[0]!.zones[0]!.counts).toMatchObject([{ perCm2: 2.25 }]);
});

test('shelves that need work are listed and corrected; phrases are the studio’s own, the commonest first', async () => {
  const { firingId, pieces } = await opened(3);
  const repair = { id: newId(), firingId, shelf: 3, what: 'drip' as const, note: '' };
  await write(firingId, { kind: 'repair', repair });
  await write(firingId, { kind: 'repaired', repairId: repair.id, done: true });
  expect((await openingOf(studio.base, firingId)).repairs).toMatchObject([
    { shelf: 3, what: 'drip', done: true },
  ]);
  for (const [i, piece] of pieces.entries())
    await write(firingId, said(firingId, piece, { note: i ? 'like orange skin' : 'only once' }));
  expect((await phrasesOf(studio.base))[0]).toBe('like orange skin');
  expect(await phrasesOf(studio.base)).not.toContain('only once');
});

test('a later look stays apart from the opening and leaves a piece where it went since', async () => {
  const { base, member } = studio;
  const { firingId, piece } = await opened();
  await write(firingId, said(firingId, piece));
  const next = await emptyFiring(studio, { kind: 'refire' });
  await loadPieces(base, member, next, [{ pieceId: piece.id, shelf: 1 }]);
  const zones = (await piecePage(base, piece.id)).firings.find((one) => one.firingId === firingId)!.zones;
  const look = { defect: 'crazing' as const, ageDays: 150, note: 'on the shelf' };
  const readings = lateReadings(zones.slice(0, 1), look, () => newId());
  await write(firingId, {
    kind: 'piece',
    reading: { pieceId: piece.id, firingId, state: 'read', fate: null, readings },
  });
  const page = await piecePage(base, piece.id);
  expect(page.stage).toBe('loaded');
  const [late, first] = page.firings.find((one) => one.firingId === firingId)!.zones[0]!.readings;
  expect(late).toMatchObject({ ageDays: 150, surface: 'gloss', defects: [{ defect: 'crazing' }] });
  expect(first).toMatchObject({ ended: true, ageDays: null, defects: [] });
});

test('a firing is summed up: yield, defects of pieces, surprises against earlier firings only, what is new', async () => {
  const own = await freshStudio('summary');
  const { base, glazes } = own;
  const plain = () => tile(own, [dip(glazes.Sleeper, 0, 1)]);
  const before = await fired(own, [plain(), plain(), plain(), plain(), plain()]);
  await readAll(own, before.firingId);
  const now = await fired(own, [plain(), plain(), tile(own)]);
  await readAll(own, now.firingId, (n) =>
    n === 0 ? { defects: [{ defect: 'pitting', severity: 3, place: 'thick' }] } : {},
  );
  const summary = await summaryOf(base, now.firingId);
  expect(summary).toMatchObject({
    pieces: 3,
    unread: 0,
    sound: { count: 2, of: 3 },
    fates: [{ fate: 'keep', count: 3 }],
    defects: [{ defect: 'pitting', pieces: { count: 1, of: 3 } }],
  });
  expect(summary.surprises.map((one) => [one.kind, one.pieces.length])).toEqual([
    ['new defect', 1],
    ['twins disagree', 2],
  ]);
  expect(summary.fresh.map((one) => one.text)).toEqual(['Limewash', 'Limewash over Sleeper']);
  expect((await summaryOf(base, before.firingId)).surprises).toEqual([]);
  await base.destroy();
});

test('a piece that was in the kiln and not in its load joins it by its number, once, with the coats it came with', async () => {
  const { base, member } = studio;
  const { firingId } = await opened();
  const ask = (number: string, id = newId()) =>
    write(firingId, { kind: 'join', join: { firingId, number, shelf: 2 } }, id);
  const [late] = await savePieces(base, member, { ...tile(studio), ownNumber: 'K7' }, [newId()]);
  const id = newId();
  const joined = (await ask(late!.label.toLowerCase(), id))!;
  expect(joined).toMatchObject({ id: late!.id, shelf: 2, state: 'loaded', stage: 'fired' });
  expect(joined.zones.map((zone) => zone.headword)).toEqual(['Sleeper', 'Limewash over Sleeper', 'Limewash']);
  expect(joined.coats.map((coat) => coat.firingId)).toEqual([firingId, firingId]);
  // The lost answer and the other phone find it where it is.
  expect((await ask(late!.label, id))!.id).toBe(late!.id);
  expect((await ask('K7'))!.id).toBe(late!.id);
  expect((await openingOf(base, firingId)).pieces.filter((piece) => piece.id === late!.id)).toHaveLength(1);

  // Of two with one number that which waits for a kiln is meant; two that wait are asked about.
  await savePieces(base, member, { ...tile(studio), ownNumber: 'K31' }, [newId()]);
  const elsewhere = await emptyFiring(studio);
  const [away] = await savePieces(base, member, { ...tile(studio), ownNumber: 'K31' }, [newId()]);
  await loadPieces(base, member, elsewhere, [{ pieceId: away!.id, shelf: 1 }]);
  expect((await ask('K31'))!.label).not.toBe(away!.label);
  await expect(ask(away!.label)).rejects.toThrow('is in another firing by the records');
  for (let i = 0; i < 2; i++)
    await savePieces(base, member, { ...tile(studio), ownNumber: 'K32' }, [newId()]);
  await expect(ask('K32')).rejects.toThrow('Several pieces are K32');
  await expect(ask('99999')).rejects.toThrow('There is no piece 99999');
  await expect(
    write(elsewhere, { kind: 'join', join: { firingId: elsewhere, number: late!.label, shelf: 1 } }),
  ).rejects.toThrow('This firing is loading');
});
