import { fromJson, newId, Conflict, NotFound } from '@/records/platform';
import { setVersionInUse, versionsInUse } from '@/records/materials';
import { advanceFiring, loadPieces, unloadPiece, waitingIds } from '@/records/firings';
import { openingOf, recordPiece, type ReadingDraft } from '@/records/openings';
import {
  listPieces,
  piecePage,
  piecesById,
  correctPiece,
  savePhotoFirst,
  savePieces,
} from '@/records/pieces';
import { todayIn } from '@/records/rounds';
import { hadInHand, lookUp, wallEntries } from '@/records/dictionary';
import { dip, emptyFiring, fired, freshStudio, reading as soundReading, tile, type Studio } from './studio';

let studio: Studio;
beforeAll(async () => {
  studio = await freshStudio('pieces');
});
afterAll(() => studio.base.destroy());

const reading = (zoneId: string, more: Partial<ReadingDraft> = {}): ReadingDraft =>
  soundReading(zoneId, {
    surface: 'satin',
    defects: [{ defect: 'pinholing', severity: 2, place: 'overlap' }],
    ...more,
  });

test('numbers are never given twice, also with twenty people saving at once, and a repeated submit is the same piece', async () => {
  const { base, member } = studio;
  const ids = Array.from({ length: 20 }, () => newId());
  const saved = (await Promise.all(ids.map((id) => savePieces(base, member, tile(studio), [id])))).flat();
  expect(new Set(saved.map((piece) => piece.label)).size).toBe(20);
  expect(await savePieces(base, member, tile(studio), [ids[0]!])).toEqual([saved[0]]);
  const [first, again] = await Promise.all(
    [1, 2].map(() =>
      savePieces(base, member, tile(studio), ids.slice(0, 3).concat('01J00000000000000000000000')),
    ),
  );
  expect(first).toEqual(again);
});

test('a piece goes from bucket to wall', async () => {
  const { base, member, glazes } = studio;
  const { firingId, ids } = await fired(studio, [tile(studio)]);
  const { pieces } = await openingOf(base, firingId);
  expect(pieces[0]!.zones.map((zone) => zone.headword)).toEqual([
    'Sleeper',
    'Limewash over Sleeper',
    'Limewash',
  ]);
  await recordPiece(base, member, {
    pieceId: ids[0]!,
    firingId,
    state: 'read',
    fate: 'keep',
    readings: [reading(pieces[0]!.zones[1]!.id)],
  });
  const ground = await base('ground').first('id');
  expect(
    await wallEntries(base, { grounds: [ground!.id], cone: '6', atmosphere: 'oxidation' }),
  ).toMatchObject([
    {
      baseId: glazes.Sleeper,
      topId: glazes.Limewash,
      proofs: 1,
      agreeing: 1,
      worstDefect: 'pinholing',
      worstSeverity: 2,
      surface: 'satin',
      colour: '#cccccc',
    },
  ]);
  expect(await piecePage(base, ids[0]!)).toMatchObject({ stage: 'read', fate: 'keep' });
});

test('a reading sent twice is one; two people reading one zone are told, with the other reading', async () => {
  const { base, member } = studio;
  const { firingId, ids } = await fired(studio, [tile(studio)]);
  const zone = (await openingOf(base, firingId)).pieces[0]!.zones[0]!;
  const said = {
    pieceId: ids[0]!,
    firingId,
    state: 'read' as const,
    fate: null,
    readings: [reading(zone.id)],
  };
  await recordPiece(base, member, said);
  await recordPiece(base, member, said);
  expect(await base('reading').where({ zone_id: zone.id })).toHaveLength(1);
  const other = { ...said, readings: [reading(zone.id, { surface: 'gloss' })] };
  await expect(recordPiece(base, member, other)).rejects.toMatchObject({
    theirs: { readings: [{ surface: 'satin', defects: [{ defect: 'pinholing' }] }] },
  });
  const after = {
    ...said,
    readings: [reading(zone.id, { surface: 'gloss', follows: said.readings[0]!.id })],
  };
  await recordPiece(base, member, after);
  const { readings } = (await piecePage(base, ids[0]!)).firings[0]!.zones[0]!;
  expect(readings.map((one) => [one.surface, one.ended])).toEqual([
    ['gloss', false],
    ['satin', true],
  ]);
});

test('correcting the coats carries the readings along and keeps what was there', async () => {
  const { base, member } = studio;
  const { firingId, ids } = await fired(studio, [tile(studio)]);
  const zone = (await openingOf(base, firingId)).pieces[0]!.zones[1]!;
  await recordPiece(base, member, {
    pieceId: ids[0]!,
    firingId,
    state: 'read',
    fate: null,
    readings: [reading(zone.id)],
  });
  const page = await piecePage(base, ids[0]!);
  await correctPiece(base, member, page.id, page.version, {
    ...tile(studio),
    coats: page.coats.map((coat) => ({ ...coat, times: 2 })),
  });
  const overlap = (await piecePage(base, ids[0]!)).firings[0]!.zones[1]!;
  expect(overlap.stack.map((layer) => layer.times)).toEqual([2, 2]);
  expect(overlap.readings.filter((one) => !one.ended)).toMatchObject([
    { surface: 'satin', defects: [{ defect: 'pinholing' }] },
  ]);
  expect(await base('coat').where({ piece_id: page.id }).whereNotNull('ended_at')).toHaveLength(2);
  expect(await base('change').where({ what: 'coats', row_id: page.id })).toHaveLength(1);
  await expect(correctPiece(base, member, page.id, page.version, tile(studio))).rejects.toThrow(Conflict);
});

test.each([
  ['the state of the clay', { clay: 'leather-hard' as const }],
  ['dry or not', { dryBefore: false }],
  ['seconds', { seconds: 4 }],
  ['wiped', { wiped: true }],
  ['an edge', { to: 0.61 }],
  ['the way', { method: 'brush' as const }],
])('a correction of %s alone is kept', async (_, change) => {
  const { base, member, glazes } = studio;
  const [saved] = await savePieces(base, member, tile(studio, [dip(glazes.Sleeper, 0, 0.6)]), [newId()]);
  const page = await piecePage(base, saved!.id);
  const coats = page.coats.map((coat) => ({ ...coat, ...change }));
  await correctPiece(base, member, page.id, page.version, tile(studio, coats));
  expect((await piecePage(base, saved!.id)).coats).toMatchObject([change]);
});

test('a correction of the firing that a coat went into is kept', async () => {
  const { base, member, glazes } = studio;
  const draft = tile(studio, [dip(glazes.Sleeper, 0, 0.6), dip(glazes.Limewash, 0.5, 1)]);
  const { firingId, ids } = await fired(studio, [draft]);
  const page = await piecePage(base, ids[0]!);
  expect(page.coats.map((coat) => coat.firingId)).toEqual([firingId, firingId]);
  // The second coat was put on after that firing.
  const coats = page.coats.map((coat, i) => (i === 1 ? { ...coat, firingId: null } : coat));
  await correctPiece(base, member, page.id, page.version, tile(studio, coats));
  const after = await piecePage(base, ids[0]!);
  expect([after.stage, ...after.coats.map((coat) => coat.firingId)]).toEqual(['glazed', firingId, null]);
});

test('a corrected piece keeps the recipe version it was glazed with; what is new on it is of the one in use', async () => {
  const { base, member, glazes } = studio;
  const [saved] = await savePieces(base, member, tile(studio, [dip(glazes.Sleeper, 0, 0.6)]), [newId()]);
  const first = (await versionsInUse(base)).get(glazes.Sleeper);
  const second = newId();
  for (const [id, glaze_id] of [
    [newId(), glazes.Sleeper],
    [second, glazes.Limewash],
    [newId(), glazes.Limewash],
  ] as const) {
    const known = await base('glaze_version').where({ glaze_id });
    await base('glaze_version').insert({
      id,
      glaze_id,
      number: known.length + 1,
      note: '',
      created_at: new Date(),
    });
  }
  await setVersionInUse(base, member, { glazeId: glazes.Limewash, versionId: second });
  const page = await piecePage(base, saved!.id);
  const coats = [...page.coats.map((coat) => ({ ...coat, times: 3 })), dip(glazes.Limewash, 0.4, 1)];
  await correctPiece(base, member, page.id, page.version, tile(studio, coats));
  const versions = (await piecePage(base, saved!.id)).coats.map((coat) => coat.versionId);
  expect(versions).toEqual([first, second]);
});

test('who comes too late is shown what the other wrote, as a piece and not as columns', async () => {
  const { base, member, bodyId, glazes } = studio;
  const [saved] = await savePieces(base, member, tile(studio, [dip(glazes.Sleeper, 0, 0.6)]), [newId()]);
  const page = await piecePage(base, saved!.id);
  await correctPiece(base, member, page.id, page.version, { ...tile(studio, page.coats), note: 'theirs' });
  const late = correctPiece(base, member, page.id, page.version, { ...tile(studio), note: 'mine' });
  await expect(late).rejects.toMatchObject({
    theirVersion: page.version + 1,
    theirs: {
      note: 'theirs',
      bodyId,
      heightMm: page.heightMm,
      coats: [{ glazeId: glazes.Sleeper, to: 0.6 }],
    },
  });
});

test('what a refiring gives is an entry of its own, and what is reglazed lies on fired glaze', async () => {
  const { base, member, glazes } = studio;
  const { ids } = await fired(studio, [tile(studio, [dip(glazes.Sleeper, 0, 1)])]);
  await base('piece').where({ id: ids[0]! }).update({ stage: 'read', fate: 'reglaze' });
  expect(await waitingIds(base)).toContain(ids[0]);
  const page = await piecePage(base, ids[0]!);
  await correctPiece(
    base,
    member,
    page.id,
    page.version,
    tile(studio, [...page.coats, dip(glazes.Limewash, 0, 1)]),
  );
  const refire = await emptyFiring(studio, { kind: 'refire' });
  await loadPieces(base, member, refire, [{ pieceId: ids[0]!, shelf: 1 }]);
  const [first, second] = (await piecePage(base, ids[0]!)).firings;
  expect(first!.zones[0]!.headword).toBe('Sleeper');
  expect(second!.zones[0]!.headword).toBe('Limewash over Sleeper');
  const entries = await base('entry as e')
    .join('zone as z', 'z.entry_id', 'e.id')
    .where({ 'z.piece_id': ids[0]!, 'z.ended_at': null })
    .orderBy('e.firings')
    .select('e.firings', 'e.stack');
  expect(entries.map((entry) => entry.firings)).toEqual([1, 2]);
  expect(fromJson<object[]>(entries[1]!.stack)[1]).toMatchObject({ glaze: glazes.Limewash, firing: 1 });
});

test('slip is ground under a glaze and a result where it is bare; a split tile proves two grounds', async () => {
  const { base, glazes } = studio;
  const coats = [
    dip(glazes.Whitestrip, 0, 1, { side: 'left' }),
    dip(glazes['Foot wax'], 0, 0.1, { method: 'brush' }),
    dip(glazes.Sleeper, 0, 1),
  ];
  const { ids } = await fired(studio, [{ ...tile(studio, coats), split: true }]);
  const { zones } = (await piecePage(base, ids[0]!)).firings[0]!;
  expect(zones.map((zone) => [zone.side, zone.ground, zone.headword])).toEqual([
    ['left', 'Cutting Red', 'Whitestrip'],
    ['left', 'Whitestrip over Cutting Red', 'Sleeper'],
    ['right', 'Cutting Red', 'Bare clay'],
    ['right', 'Cutting Red', 'Sleeper'],
  ]);
});

test('a piece can be taken out of a load again, and is in one firing at a time', async () => {
  const { base, member } = studio;
  const [{ id, label }] = (await savePieces(base, member, tile(studio), [newId()])) as [
    { id: string; label: string },
  ];
  const [one, two] = [await emptyFiring(studio), await emptyFiring(studio)];
  await loadPieces(base, member, one, [{ pieceId: id, shelf: 2 }]);
  await loadPieces(base, member, one, [{ pieceId: id, shelf: 2 }]);
  await expect(loadPieces(base, member, two, [{ pieceId: id, shelf: 1 }])).rejects.toThrow(
    `${label} is already in another firing`,
  );
  await unloadPiece(base, member, one, id);
  expect(await piecePage(base, id)).toMatchObject({ stage: 'glazed', firings: [] });
  expect(await base('zone').where({ piece_id: id })).toEqual([]);
});

test('the list filters by what is on a piece and counts all of them', async () => {
  const { base, member, glazes } = studio;
  const waxed = await listPieces(base, { glazeId: glazes['Foot wax'] });
  expect(waxed.total).toBe(1);
  // By what it was in, how its clay was treated, and the day it was made.
  const firingId = await emptyFiring(studio);
  const [combed] = await savePieces(
    base,
    member,
    { ...tile(studio), texture: { outside: ['combed'] } },
    [newId()],
    {
      madeAt: new Date('2026-03-04T12:00:00Z'),
    },
  );
  await loadPieces(base, member, firingId, [{ pieceId: combed!.id, shelf: 1 }]);
  const found = async (filter: Parameters<typeof listPieces>[1]) =>
    (await listPieces(base, filter)).rows.map(({ id }) => id);
  expect(await found({ firingId })).toEqual([combed!.id]);
  expect(await found({ texture: 'combed' })).toEqual([combed!.id]);
  expect(await found({ madeFrom: '2026-03-04', madeTo: '2026-03-04' })).toEqual([combed!.id]);
  expect(await found({ madeTo: '2026-03-03' })).toEqual([]);
  const page = await listPieces(base, { limit: 2, sort: 'number', order: 'asc' });
  expect(page.rows.map((piece) => piece.number)).toEqual([1, 2]);
  expect(page.total).toBeGreaterThan(20);
  expect((await listPieces(base, { text: '7' })).rows.map((piece) => piece.number)).toEqual([7]);
  await expect(piecePage(base, 'SW-9999')).rejects.toThrow(NotFound);
});

test('a piece that was only photographed has a number, proves nothing, and is written up later', async () => {
  const { base, member } = studio;
  const id = newId();
  const label = await savePhotoFirst(base, member, { id, ownNumber: '4' });
  expect(await savePhotoFirst(base, member, { id, ownNumber: '4' })).toBe(label);
  const waiting = async (of: string | null) => (await todayIn(base, new Date(), of)).toWriteUp.pieces;
  expect((await waiting(null)).map((piece) => piece.label)).toContain(label);
  expect((await waiting(member)).map((piece) => piece.label)).toContain(label);
  expect(await waiting(newId())).toEqual([]);
  // Nothing says what nobody saw: neither by its number nor among those in hand lately.
  const [found] = (await lookUp(base, label)).answers;
  expect(found).toMatchObject({ text: label, detail: 'own 4, not described yet, made' });
  expect((await hadInHand(base, member, new Date()))[0]!.detail).toBe('not described yet, own 4; today');
  const list = await listPieces(base, { isDescribed: false });
  expect(list.rows).toMatchObject([{ id, isDescribed: false, stage: 'made', ownNumber: '4' }]);

  // Fired before anybody said what it is: its zone is in no entry.
  const firingId = await emptyFiring(studio);
  await loadPieces(base, member, firingId, [{ pieceId: id, shelf: 1 }]);
  await advanceFiring(base, member, firingId, 'open');
  const entries = () => base('zone').where({ piece_id: id, ended_at: null }).pluck('entry_id');
  expect(await entries()).toEqual([null]);
  await correctPiece(base, member, id, (await piecesById(base, [id]))[0]!.version, tile(studio));
  expect((await entries()).every((entry) => entry !== null)).toBe(true);
  expect(await waiting(null)).toEqual([]);
});

test('pieces stand in the order of the colours that were measured of them, those without one last', async () => {
  const { base } = studio;
  const { ids } = await fired(
    studio,
    Array.from({ length: 4 }, () => tile(studio)),
  );
  const paint = (id: string, colour: string) => base('zone').where({ piece_id: id }).update({ colour });
  await paint(ids[0]!, '#2c4fa0');
  await paint(ids[1]!, '#c0392b');
  await paint(ids[3]!, '#eeeeee');
  const page = (offset: number, limit: number) => listPieces(base, { ids, sort: 'colour', offset, limit });
  const order = (await page(0, 10)).rows.map(({ id }) => ids.indexOf(id));
  expect(order).toEqual([3, 1, 0, 2]);
  const second = await page(1, 2);
  expect([second.rows.map(({ id }) => ids.indexOf(id)), second.total]).toEqual([[1, 0], 4]);
});
