import { PLAIN_AREA } from '@/core/coats';
import { deltaE00, labOf } from '@/core/colour';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import {
  folderStore,
  fromJson,
  listSeries,
  migrate,
  newId,
  giveNumbersBack,
  reserveNumbers,
  tablesSource,
  unmigrate,
  unmigrateTo,
} from '@/records/platform';
import { addEvent, loadPieces } from '@/records/firings';
import { openingOf } from '@/records/openings';
import { saveGroup } from '@/records/people';
import { addReminder, remindersOf } from '@/records/reminders';
import {
  addRequest,
  judgedGlaze,
  judgeGlaze,
  listRequests,
  recordFailedLookup,
  refreshStaleEntries,
} from '@/records/dictionary';
import { listCases, openCase } from '@/records/clinic';
import {
  addPhoto,
  listPatterns,
  piecePage,
  relayStalePieces,
  remeasureNext,
  savePieces,
} from '@/records/pieces';
import { takeForgotten } from './watchWrites';
import { dip, emptyFiring, fired, freshBase, freshStudio, readAll, tile, wishFor } from './studio';

test('the schema goes up and down without a rest', async () => {
  const base = await freshBase('migrations');
  await unmigrate(base);
  const [left] = await base.raw('show tables');
  expect(
    left.map((row: object) => Object.values(row)[0]).filter((name: string) => !name.startsWith('knex')),
  ).toEqual([]);
  expect((await migrate(base)).at(-1)).toBe('028_measured_again');
  expect(await migrate(base)).toEqual([]);
  await base.destroy();
});

test('the row types are those of the migrated schema', async () => {
  const base = await freshBase('tables');
  // Run npm run tables after a migration.
  expect(readFileSync('src/records/platform/tables.ts', 'utf8')).toBe(await tablesSource(base));
  await base.destroy();
});

test('a studio of the release before keeps its coats, events, requests and cases under the new names', async () => {
  const studio = await freshStudio('before');
  const { base, member, glazes } = studio;
  const { firingId, ids } = await fired(studio, [tile(studio, [dip(glazes.Sleeper, 0.1, 0.7)])]);
  await readAll(studio, firingId, () => ({ surface: 'gloss', movement: null, colour: null }));
  await addEvent(base, member, {
    id: newId(),
    firingId,
    kind: 'lid closed',
    minutes: 5,
    value: null,
    note: '',
  });
  const wish = wishFor(glazes.Sleeper, glazes.Limewash, { note: 'for bowls' });
  await addRequest(base, member, wish);
  await recordFailedLookup(base, 'Limewash over Sleeper');
  const caseId = newId();
  await openCase(base, member, {
    id: caseId,
    defect: 'pitting',
    pieceId: ids[0]!,
    subject: `firing.${firingId}`,
    answers: 'needle.1',
  });
  const look = async () => ({
    piece: await piecePage(base, ids[0]!),
    requests: await listRequests(base),
    cases: await listCases(base),
    events: await base('firing_event').select('kind'),
    lookups: await base('failed_lookup').select('times'),
    changes: await base('change').whereNot({ what: 'zone rules' }).orderBy('id').select('what'),
  });
  const now = await look();
  await unmigrateTo(base, '012_wall_layers');
  const [before] = await base.raw('select low, high from coat');
  expect(before).toEqual([{ low: 0.1, high: 0.7 }]);
  const [told] = await base.raw(
    'select c.about, c.told, e.kind, a.note, w.times from clinic_case c, firing_event e, asked a, wanted w',
  );
  expect(told).toEqual([
    { about: `firing.${firingId}`, told: 'needle.1', kind: 'lid down', note: 'for bowls', times: 2 },
  ]);
  await migrate(base);
  expect(await relayStalePieces(base)).toBe(1);
  expect(await refreshStaleEntries(base)).toBe(0);
  expect(await look()).toEqual(now);
  await base.destroy();
});

test('entries that the release before counted by zones are summed up again by pieces', async () => {
  const studio = await freshStudio('zones');
  const { base, glazes } = studio;
  const mug = {
    ...tile(studio, [
      dip(glazes.Sleeper, 0, 1, { side: 'inside' }),
      dip(glazes.Sleeper, 0.7, 1),
      dip(glazes.Sleeper, 0.1, 0.4),
    ]),
    form: 'cup' as const,
  };
  const { firingId } = await fired(studio, [mug]);
  await readAll(studio, firingId, () => ({ surface: 'gloss', colour: null }));
  const ofSleeper = () =>
    base('entry as e')
      .join('headword as h', 'h.id', 'e.headword_id')
      .where('h.text', 'Sleeper')
      .first<{ id: string; proofs: number; summary: string | null }>('e.id', 'e.proofs', 'e.summary');
  expect((await ofSleeper()).proofs).toBe(1);
  await unmigrateTo(base, '013_names');
  await base('entry')
    .where({ id: (await ofSleeper()).id })
    .update({ proofs: 3 });
  await migrate(base);
  expect((await ofSleeper()).summary).toBeNull();
  await refreshStaleEntries(base);
  const { proofs, summary } = await ofSleeper();
  expect(proofs).toBe(1);
  expect(fromJson(summary)).toMatchObject({ proofs: 1, firings: 1, agreeing: 1, divided: [] });
  expect(await refreshStaleEntries(base)).toBe(0);
  await base.destroy();
});

test('a zone is told the photo that its swatch was cut from, one that none shows is told none', async () => {
  const studio = await freshStudio('swatches');
  const { base, member, glazes } = studio;
  const cup = {
    ...tile(studio, [dip(glazes.Sleeper, 0, 1), dip(glazes.Limewash, 0, 1, { side: 'inside' })]),
    form: 'cup' as const,
  };
  const { firingId, ids } = await fired(studio, [cup]);
  const photo = (id: string, day: number) => ({
    ...{ id, piece_id: ids[0]!, firing_id: firingId, hash: id, width: 300, height: 400 },
    ...{ frame: '{}', member_id: member, at: new Date(2026, 0, day), strokes: '[]' },
  });
  const [older, newest] = [newId(), newId()];
  await base.transaction((trx) => trx('photo').insert([photo(older, 1), photo(newest, 2)]));
  await base('zone').where({ piece_id: ids[0]!, side: 'outside' }).update({ swatch_hash: 'x' });
  await unmigrateTo(base, '015_seen_only');
  await migrate(base);
  const zones = await base('zone').where({ piece_id: ids[0]!, ended_at: null }).orderBy('side');
  expect(zones.map(({ side, photo_id }) => [side, photo_id])).toEqual(
    expect.arrayContaining([
      ['outside', newest],
      ['inside', null],
    ]),
  );
  takeForgotten();
  await base.destroy();
});

test('photos that the release before measured are measured again, one piece after the other, by nobody', async () => {
  const studio = await freshStudio('measured');
  const { base, member, glazes } = studio;
  const { firingId, ids } = await fired(studio, [tile(studio, [dip(glazes.Sleeper, 0, 1)])]);
  const folder = mkdtempSync(join(tmpdir(), 'jiten-measured-'));
  const photos = folderStore(folder);
  const half = {
    input: { create: { width: 300, height: 150, channels: 3, background: '#3d5c8c' } },
    left: 0,
  } as const;
  const bytes = await sharp({ create: { width: 300, height: 400, channels: 3, background: '#5a3a22' } })
    .composite([{ ...half, top: 0 }])
    .png()
    .toBuffer();
  await addPhoto(base, photos, member, {
    ...{ id: newId(), pieceId: ids[0]!, firingId, bytes },
    settings: { frame: { left: 0, right: 1, rim: 0, foot: 1 } },
  });
  const zone = () => base('zone').where({ piece_id: ids[0]!, ended_at: null }).first('colour', 'palette');
  const measured = await zone();
  expect(fromJson<unknown[]>(measured!.palette!)).toHaveLength(2);
  expect(await remeasureNext(base, photos)).toBe(false);
  await unmigrateTo(base, '027_group_of_piece');
  await base('zone').where({ piece_id: ids[0]! }).update({ colour: '#48495a', palette: '[]' });
  await migrate(base);
  expect(await remeasureNext(base, photos)).toBe(true);
  // The kept picture is a JPEG of what was sent.
  expect(deltaE00(labOf((await zone())!.colour!), labOf(measured!.colour!))).toBeLessThan(1.5);
  expect(fromJson<unknown[]>((await zone())!.palette!)).toHaveLength(2);
  expect(await remeasureNext(base, photos)).toBe(false);
  rmSync(folder, { recursive: true });
  await base.destroy();
});

test('the watch over all records tests sees a write that leaves no row in change', async () => {
  const { base } = await freshStudio('watched');
  // What migrations did before is nobody's doing.
  takeForgotten();
  await base.transaction((trx) => trx('kiln').update({ litres: 1 }));
  await expect(base.transaction((trx) => trx('glaze').update({ sort: 'x' as never }))).rejects.toThrow();
  expect(takeForgotten()).toEqual(['kiln']);
  await base.destroy();
});

test('numbers of a block that were not used are given back while nobody has higher ones', async () => {
  const { base, member, ...studio } = await freshStudio('back');
  const next = async () => (await listSeries(base))[0]!.next;
  const start = await next();
  const block = await reserveNumbers(base, member, { id: newId(), device: 'phone' });
  expect(await next()).toBe(block.last + 1);
  await giveNumbersBack(base, member, { id: block.id, from: block.first + 2 });
  expect(await next()).toBe(start + 2);
  // Again, and of a block with higher numbers given out since: nothing happens.
  await giveNumbersBack(base, member, { id: block.id, from: block.first + 2 });
  expect(await next()).toBe(start + 2);
  const other = await reserveNumbers(base, member, { id: newId(), device: 'phone' });
  const draft = tile({ base, member, ...studio });
  const [piece] = await savePieces(base, member, draft, [newId()]);
  expect(piece!.label).toMatch(new RegExp(`${other.last + 1}$`));
  await giveNumbersBack(base, member, { id: other.id, from: other.first });
  expect(await next()).toBe(other.last + 2);
  await base.destroy();
});

test('blocks of numbers that the release before gave out know their letters; its one series is the usual one', async () => {
  const { base, member } = await freshStudio('series');
  const block = await reserveNumbers(base, member, { id: newId(), device: 'phone' });
  await unmigrateTo(base, '018_studio');
  const [before] = await base.raw('select * from series');
  expect(before).toEqual([{ prefix: block.prefix, next: block.last + 1 }]);
  await migrate(base);
  expect(await listSeries(base)).toEqual([{ prefix: block.prefix, next: block.last + 1, use: 'usual' }]);
  expect(await reserveNumbers(base, member, { id: block.id, device: 'phone' })).toEqual(block);
  await base.destroy();
});

test('a studio goes to the release before what was said of glazes, buckets and groups, and up again', async () => {
  const studio = await freshStudio('saidBefore');
  const { base, member, glazes, bodyId } = studio;
  const { firingId } = await fired(studio, [tile(studio)]);
  await readAll(studio, firingId);
  const [group, note] = [
    newId(),
    { id: newId(), about: 'clay', aboutId: bodyId, words: 'wedge it' } as const,
  ];
  const draft = { id: group, name: 'Monday', dueOn: null, teacherId: member, memberIds: [] };
  await saveGroup(base, member, draft, null);
  await base('piece').update({ group_id: group });
  await addReminder(base, member, note);
  await addReminder(base, member, { ...note, id: newId(), about: 'firing', aboutId: firingId });
  await judgeGlaze(base, member, { glazeId: glazes.Sleeper, criterion: 'moves', from: '', to: 'stays' });
  const proved = () => base('entry').whereNotNull('first_at').orderBy('id').select('id', 'proofs', 'cone');
  const before = await proved();
  await unmigrateTo(base, '023_again');
  expect(await base('reminder').pluck('about')).toEqual(['clay']);
  // Steps of the schema leave no row in the history.
  takeForgotten();
  await migrate(base);
  expect(await proved()).toEqual(before);
  expect(await remindersOf(base, 'all')).toMatchObject([{ words: 'wedge it' }]);
  expect((await judgedGlaze(base, glazes.Sleeper)).said).toEqual([]);
  expect(await base('piece').whereNotNull('group_id')).toEqual([]);
  await base.destroy();
});

test('the release before has a piece with areas as its sides have it; up again nothing is lost of the sides', async () => {
  const studio = await freshStudio('areasBefore');
  const { base, glazes } = studio;
  const areas = [{ ...PLAIN_AREA, name: 'logo', side: 'outside', from: 0.4, to: 0.6 }] as const;
  const coats = [dip(glazes.Sleeper, 0, 1, { not: ['logo'] }), dip(glazes.Limewash, 0, 1, { area: 'logo' })];
  const { firingId, ids } = await fired(studio, [{ ...tile(studio, coats), areas }]);
  await readAll(studio, firingId);
  await unmigrateTo(base, '019_series');
  const [zones] = await base.raw('select side, `from`, `to` from zone');
  expect(zones).toEqual([{ side: 'outside', from: 0, to: 1 }]);
  await migrate(base);
  const piece = await piecePage(base, ids[0]!);
  expect([piece.areas, piece.coats.map(({ glazeName, area, not }) => [glazeName, area, not])]).toEqual([
    [],
    [['Sleeper', null, []]],
  ]);
  await base.destroy();
});

test('areas of the release before know their clay and texture; going down, stuff is kept by its name', async () => {
  const studio = await freshStudio('wareBefore');
  const { base, glazes } = studio;
  const areas = [{ ...PLAIN_AREA, name: 'logo', side: 'outside', from: 0.4, to: 0.6 }] as const;
  await base('glaze').where({ id: glazes.Limewash }).update({ kind: 'glass' });
  const [piece] = await savePieces(base, studio.member, { ...tile(studio), areas }, [newId()]);
  await unmigrateTo(base, '020_areas');
  const [kinds] = await base.raw('select kind from glaze where id = ?', [glazes.Limewash]);
  expect(kinds).toEqual([{ kind: 'lustre' }]);
  await base.raw('update piece set areas = ?', ['[{"name":"logo","side":"outside","from":0.4,"to":0.6}]']);
  await migrate(base);
  expect((await piecePage(base, piece!.id)).areas).toEqual(areas);
  // What migrations do is nobody's doing.
  takeForgotten();
  await base.destroy();
});

test('a piece of the release before has no number of its own, and its patterns are none', async () => {
  const studio = await freshStudio('sheetBefore');
  const { base } = studio;
  const [piece] = await savePieces(base, studio.member, { ...tile(studio), ownNumber: '12', note: 'first' }, [
    newId(),
  ]);
  await unmigrateTo(base, '021_ware');
  await migrate(base);
  expect(await piecePage(base, piece!.id)).toMatchObject({
    label: piece!.label,
    ownNumber: '',
    note: 'first',
  });
  expect(await listPatterns(base)).toEqual([]);
  takeForgotten();
  await base.destroy();
});

test('a refired piece of the release before comes back for what it showed; it has no order', async () => {
  const studio = await freshStudio('againBefore');
  const { base, member } = studio;
  const { firingId, ids } = await fired(studio, [tile(studio, [dip(studio.glazes.Sleeper, 0, 1)])]);
  await readAll(studio, firingId, () => ({
    defects: [{ defect: 'pitting', severity: 2, place: 'everywhere' }],
  }));
  await base('fate').insert({
    ...{
      id: newId(),
      piece_id: ids[0]!,
      firing_id: firingId,
      fate: 'refire',
      member_id: member,
      at: new Date(),
    },
  });
  await unmigrateTo(base, '022_sheet');
  await migrate(base);
  const again = await emptyFiring(studio, { kind: 'refire' });
  await loadPieces(base, member, again, [{ pieceId: ids[0]!, shelf: 1 }]);
  expect((await openingOf(base, again)).pieces).toMatchObject([
    { orderId: null, expectation: null, order: null, reasons: [{ reason: 'pitting', outcome: null }] },
  ]);
  takeForgotten();
  await base.destroy();
});
