import type { DefectId, Place } from '@/core/vocabulary';
import { auditDictionary, saveTeacherNote, headwordPage, type Sense } from '@/records/dictionary';
import {
  advanceFiring,
  fileFiring,
  firingById,
  importLog,
  loadPieces,
  outcomeOf,
  rereadCones,
  saveCones,
  setAtmosphereReached,
  setFullness,
} from '@/records/firings';
import { saveGlaze, setVersionInUse } from '@/records/materials';
import { firedAgain } from '@/records/clinic';
import { openingOf, writeOpening } from '@/records/openings';
import { folderStore, fromJson, newId, reserveNumbers } from '@/records/platform';
import { correctPiece, piecePage, relayStalePieces, savePieces, type CoatDraft } from '@/records/pieces';
import { dip, emptyFiring, fired, freshStudio, plainGlaze, readAll, tile, type Studio } from './studio';

/** What the dictionary says of what was seen, see docs/evidence.md. */
let studio: Studio;
beforeAll(async () => (studio = await freshStudio('evidence')));
afterAll(async () => studio.base.destroy());

/** The senses of a headword with what each counts, in no order. */
async function sensesOf(text: string): Promise<readonly Sense[]> {
  const row = await studio.base('headword').where({ text }).first('id');
  return row ? (await headwordPage(studio.base, row.id)).senses : [];
}

/** Puts a piece into another firing, with more coats on it, and opens the kiln. */
async function refire(
  id: string,
  more: Parameters<typeof emptyFiring>[1],
  coats: readonly CoatDraft[] = [],
): Promise<string> {
  const { base, member } = studio;
  if (coats.length) {
    const page = await piecePage(base, id);
    await correctPiece(base, member, id, page.version, { ...page, coats: [...page.coats, ...coats] });
  }
  const firingId = await emptyFiring(studio, more);
  await loadPieces(base, member, firingId, [{ pieceId: id, shelf: 1 }]);
  await advanceFiring(base, member, firingId, 'open');
  return firingId;
}

test('a vase with a lustre rim: only the rim and what touches it know of the lustre firing', async () => {
  const { base, member, glazes } = studio;
  const lustre = newId();
  await saveGlaze(base, member, plainGlaze(lustre, 'Signal Gold', 'lustre'), null);
  const vase = tile(studio, [dip(glazes.Sleeper, 0, 0.8), dip(glazes.Limewash, 0, 0.3)]);
  const { firingId, ids } = await fired(studio, [vase]);
  await readAll(studio, firingId);
  const second = await refire(ids[0]!, { cone: '018', kind: 'lustre' }, [dip(lustre, 0.8, 1)]);
  await readAll(studio, second, () => ({ surface: 'satin' }));
  // Looked at again after a firing that did nothing to it: one piece, as it was seen last.
  const [band] = await sensesOf('Limewash over Sleeper');
  expect(band).toMatchObject({
    cone: '6',
    history: [{ cone: '6', atmosphere: 'oxidation' }],
    summary: { proofs: 1, firings: 1, surface: 'satin' },
  });
  expect((await sensesOf('Signal Gold'))[0]).toMatchObject({
    cone: '6',
    history: [{ cone: '6' }, { cone: '018' }],
  });
  const beside = (await sensesOf('Sleeper')).map(({ cone, history }) => [cone, history.length]);
  expect(beside.sort()).toEqual([
    ['6', 1],
    ['6', 2],
  ]);
});

test('what firing again did to a defect is told where it had been, and the opening says why a piece came back', async () => {
  const { glazes } = studio;
  const three = [1, 2, 3].map(() =>
    tile(studio, [dip(glazes.Limewash, 0, 0.4), dip(glazes.Sleeper, 0.5, 1)]),
  );
  const { firingId, ids } = await fired(studio, three);
  const bad = (severity: 2 | 3) => ({
    defects: [{ defect: 'dunting', severity, place: 'everywhere' }] as const,
  });
  // On its upper zone; the third shows it only when looked for.
  await readAll(studio, firingId, (n, zone) =>
    zone.from < 0.5
      ? {}
      : n < 2
        ? bad(3)
        : { defects: [{ defect: 'dunting', severity: 1, place: 'everywhere' }] },
  );
  const again = await refire(ids[0]!, { kind: 'refire' });
  expect((await openingOf(studio.base, again)).pieces[0]!.reasons).toMatchObject([
    { reason: 'dunting', outcome: null, was: [{ severity: 3, to: 1 }] },
  ]);
  // Elsewhere it is another matter: gone where it was.
  await readAll(studio, again, (_, zone) => (zone.from < 0.5 && zone.to <= 0.5 ? bad(2) : {}));
  const glazed = await refire(ids[1]!, { kind: 'refire' }, [dip(glazes.Limewash, 0.5, 1)]);
  await readAll(studio, glazed, () => bad(2));
  const third = await refire(ids[2]!, { kind: 'refire' });
  expect((await openingOf(studio.base, third)).pieces[0]!.reasons).toEqual([]);
  await readAll(studio, third);
  const found = (await firedAgain(studio.base, 'dunting')).filter(({ pieceId }) => ids.includes(pieceId));
  const told = found.map(({ pieceId, firingId: by, isGlazed, before, after }) => [
    ...[ids.indexOf(pieceId), by === again ? 'again' : 'glazed', isGlazed, before, after],
  ]);
  expect(told).toEqual(
    expect.arrayContaining([
      [0, 'again', false, 3, 0],
      [1, 'glazed', true, 3, 2],
    ]),
  );
  expect(told).toHaveLength(2);
  // What its maker wanted is no fault.
  await studio.base('piece').where({ id: ids[0]! }).update({ wanted: '["dunting"]' });
  expect((await firedAgain(studio.base, 'dunting')).map(({ pieceId }) => pieceId)).not.toContain(ids[0]);
});

test('a reduction pot refired in oxidation is a sense of its own, filed where its glaze was made', async () => {
  const { glazes } = studio;
  const { firingId, ids } = await fired(studio, [tile(studio, [dip(glazes.Sleeper, 0, 1, { times: 4 })])], {
    cone: '10',
    atmosphere: 'reduction',
  });
  await readAll(studio, firingId);
  await readAll(studio, await refire(ids[0]!, { cone: '7', kind: 'refire' }));
  const senses = (await sensesOf('Sleeper')).filter(({ stack }) => stack[0]!.times === 4);
  expect(senses.map(({ cone, atmosphere, history }) => [cone, atmosphere, history.length])).toEqual([
    ['10', 'reduction', 1],
    ['10', 'reduction', 2],
  ]);
});

test('two recipe versions on one piece belong each to its own zone', async () => {
  const { base, member, glazes } = studio;
  const [first] = await base('glaze_version').where({ glaze_id: glazes.Limewash });
  const second = newId();
  await base('glaze_version').insert({
    ...{ id: second, glaze_id: glazes.Limewash, number: 2, note: '', created_at: new Date() },
  });
  const both = tile(studio, [
    dip(glazes.Limewash, 0, 0.5, { times: 2, versionId: second }),
    dip(glazes.Limewash, 0.5, 1),
  ]);
  const { firingId, ids } = await fired(studio, [both]);
  await readAll(studio, firingId);
  const zones = await base('zone').where({ piece_id: ids[0]! }).orderBy('from').select('versions');
  expect(zones.map(({ versions }) => fromJson<string[]>(versions))).toEqual([[second], [first!.id]]);
  const apart = async () => {
    const senses = (await sensesOf('Limewash')).flatMap(({ proofs }) => proofs);
    return senses
      .filter(({ pieceId }) => pieceId === ids[0])
      .map(({ from, apart }) => [from, apart])
      .sort();
  };
  expect(await apart()).toEqual([
    [0, 'other version'],
    [0.5, null],
  ]);
  await setVersionInUse(base, member, { glazeId: glazes.Limewash, versionId: second });
  expect(await apart()).toEqual([
    [0, null],
    [0.5, 'other version'],
  ]);
  await expect(
    savePieces(base, member, tile(studio, [dip(glazes.Sleeper, 0, 1, { versionId: second })]), [newId()]),
  ).rejects.toMatchObject({ field: 'coats.0.versionId' });
});

test('what was laid by older rules is laid again, and what a teacher noted goes along', async () => {
  const { base, member, glazes } = studio;
  const slipped = tile(studio, [
    dip(glazes.Whitestrip, 0, 1, { clay: 'leather-hard' }),
    dip(glazes['Foot wax'], 0, 0.2),
    dip(glazes.Sleeper, 0, 0.6, { times: 3, method: 'pour' }),
  ]);
  const { firingId, ids } = await fired(studio, [slipped]);
  await readAll(studio, firingId);
  const now = (await piecePage(base, ids[0]!)).firings[0]!.zones;
  expect(now.map(({ headword, ground, stack }) => [headword, ground, stack[0]?.way])).toEqual([
    ['Whitestrip', 'Cutting Red', 'dipped'],
    ['Sleeper', 'Whitestrip over Cutting Red', 'poured'],
    ['Whitestrip', 'Cutting Red', 'dipped'],
  ]);
  // As the release before had it: slips are ground only, and all of it in one entry that a teacher wrote on.
  const wrong = newId();
  const [entry] = await base('entry').limit(1);
  await base('entry').insert({
    ...{ ...entry!, id: wrong, key_hash: wrong.padEnd(43, '-') },
    ...{ stack: '[]', history: '[]', summary: null },
  });
  await base('zone').where({ piece_id: ids[0]! }).update({ entry_id: wrong });
  await base('piece')
    .where({ id: ids[0]! })
    .update({ zone_rules: 0, twin_key: 'x'.repeat(43) });
  await saveTeacherNote(base, member, {
    entryId: wrong,
    text: 'Best on red clay.',
    version: entry!.note_version,
  });
  const before = await base('piece').where({ id: ids[0]! }).first('twin_key');
  expect(await relayStalePieces(base)).toBe(1);
  expect((await piecePage(base, ids[0]!)).firings[0]!.zones).toEqual(now);
  expect((await base('piece').where({ id: ids[0]! }).first('twin_key'))!.twin_key).not.toBe(before!.twin_key);
  const notes = [...(await sensesOf('Whitestrip')), ...(await sensesOf('Sleeper'))].map(
    (one) => one.teacherNote,
  );
  expect(notes.filter(Boolean)).toEqual(['Best on red clay.']);
  expect(await relayStalePieces(base)).toBe(0);
});

test('a firing that came to another cone is filed there or left apart, and that can be taken back', async () => {
  const { base, member, glazes } = studio;
  const times = 5;
  const { firingId } = await fired(
    studio,
    [1, 2].map(() => tile(studio, [dip(glazes.Limewash, 0, 1, { times })])),
    {
      cone: '5',
    },
  );
  await readAll(studio, firingId);
  const counts = async () =>
    (await sensesOf('Limewash'))
      .filter(({ stack }) => stack[0]!.times === times)
      .map(({ cone, summary, proofs }) => [cone, summary!.proofs, proofs[0]!.apart]);
  const outcome = async () => outcomeOf(base, await firingById(base, firingId));
  expect((await outcome()).otherCone).toBeNull();
  await advanceFiring(base, member, firingId, 'open', { achievedCone: 5.9 });
  expect((await outcome()).otherCone).toEqual({ cone: '6', pieces: 2 });
  expect(await counts()).toEqual([['5', 0, 'missed cone']]);
  await fileFiring(base, member, { firingId, cone: '6' });
  expect(await counts()).toEqual([['6', 2, null]]);
  await fileFiring(base, member, { firingId, cone: null });
  expect(await counts()).toEqual([['5', 0, 'missed cone']]);
  await fileFiring(base, member, { firingId, cone: '5' });
  expect(await counts()).toEqual([['5', 0, 'missed cone']]);
});

test('pieces of a weak reduction stand apart once somebody has said so; what speaks for it is named', async () => {
  const { base, member, glazes } = studio;
  const shifted = {
    defects: [{ defect: 'colour-shift' as const, severity: 2 as const, place: 'everywhere' as const }],
  };
  const reds = [glazes.Sleeper, glazes.Sleeper, glazes.Limewash].map((glaze) =>
    tile(studio, [dip(glaze, 0, 1, { times: 6 })]),
  );
  const { firingId } = await fired(studio, reds, { cone: '10', atmosphere: 'reduction' });
  await readAll(studio, firingId, () => shifted);
  const { suggestion } = await outcomeOf(base, await firingById(base, firingId));
  expect(suggestion).toEqual({
    reached: 'weak',
    because: ['3 of 3 pieces, of 2 glazes, came out of another colour'],
  });
  const sense = async () => (await sensesOf('Sleeper')).find(({ stack }) => stack[0]!.times === 6)!;
  expect((await sense()).summary).toMatchObject({ proofs: 2 });
  await setAtmosphereReached(base, member, { firingId, reached: 'weak' });
  expect((await sense()).summary).toMatchObject({ proofs: 0, defects: [] });
  expect((await sense()).proofs.map(({ apart }) => apart)).toEqual(['other atmosphere', 'other atmosphere']);
  await setAtmosphereReached(base, member, { firingId, reached: null });
  expect((await sense()).summary).toMatchObject({ proofs: 2 });
  await setFullness(base, member, { firingId, fullness: 'half' });
  expect((await outcomeOf(base, await firingById(base, firingId))).suggestion!.because).toHaveLength(2);
  // A probe is asked up to the hottest moment only: on the way down it stands in air.
  const lines = Array.from({ length: 900 }, (_, i) => ({
    ...{ seq: i + 1, minutes: i, target: null },
    celsius: i <= 600 ? 60 + 2 * i : 1260 - 3 * (i - 600),
    oxygen: i <= 600 ? 720 : 40,
  }));
  await importLog(base, member, { id: newId(), firingId, name: 'probe.csv' }, [lines]);
  expect((await outcomeOf(base, await firingById(base, firingId))).suggestion).toEqual({
    reached: 'as meant',
    because: ['the probe stood at 720 mV'],
  });
});

test('cones of the release before that nobody touched are no reading; the others are read again', async () => {
  const { base, member } = studio;
  const [untouched, turned] = [await emptyFiring(studio), await emptyFiring(studio)];
  const cone = (shelf: number, name: '5' | '6' | '7', bend: number) => ({
    id: newId(),
    shelf,
    cone: name,
    bend,
  });
  await saveCones(base, member, untouched, [cone(2, '5', 90), cone(2, '6', 45), cone(2, '7', 0)]);
  await saveCones(base, member, turned, [
    ...[cone(2, '5', 90), cone(2, '6', 45), cone(2, '7', 0)],
    ...[cone(3, '5', 90), cone(3, '6', 90), cone(3, '7', 20)],
  ]);
  expect(await rereadCones(base)).toBe(0);
  await base('firing').whereIn('id', [untouched, turned]).update({ cone_rules: 0 });
  expect(await rereadCones(base)).toBe(2);
  expect(await firingById(base, untouched)).toMatchObject({ achievedCone: null, achievedLow: null });
  expect((await firingById(base, turned)).achievedCone).toBeGreaterThanOrEqual(6);
});

test('faults of a piece are not faults of its glazes; what may be either is what was said of it', async () => {
  const { glazes } = studio;
  const times = 7;
  const one = (defect: DefectId, place: Place) => ({ defects: [{ defect, place, severity: 3 as const }] });
  const seen = [
    one('body-crack', 'rim'),
    one('missed-patch', 'spot'),
    one('stuck', 'the piece itself'),
    one('stuck', 'foot'),
    {},
  ];
  const { firingId, ids } = await fired(
    studio,
    seen.map(() => tile(studio, [dip(glazes.Sleeper, 0, 1, { times })])),
  );
  await readAll(studio, firingId, (n) => seen[n]!);
  const sense = (await sensesOf('Sleeper')).find(({ stack }) => stack[0]!.times === times)!;
  expect(sense.summary).toMatchObject({
    proofs: 5,
    agreeing: 4,
    defects: [{ defect: 'stuck', count: 1 }],
  });
  const page = await piecePage(studio.base, ids[0]!);
  expect(page.firings[0]!.zones[0]!.readings[0]!.defects).toMatchObject([{ defect: 'body-crack' }]);
});

test('a piece found at an opening proves nothing until somebody has described it', async () => {
  const { base, member, glazes } = studio;
  const firingId = await emptyFiring(studio);
  await advanceFiring(base, member, firingId, 'open');
  const block = await reserveNumbers(base, member, { id: newId(), device: 'phone' });
  const found = {
    id: newId(),
    firingId,
    blockId: block.id,
    number: block.first,
    shelf: 1,
    note: 'by the spyhole',
  };
  const write = { kind: 'unlogged', piece: found } as const;
  const seen = (await writeOpening(base, folderStore('/nowhere'), member, { id: newId(), firingId, write }))!;
  expect(seen).toMatchObject({
    isDescribed: false,
    zones: [{ headword: 'Not described yet', headwordId: null }],
  });
  const bare = async () =>
    (await sensesOf('Bare clay')).flatMap(({ proofs }) => proofs).map(({ pieceId }) => pieceId);
  await readAll(studio, firingId);
  expect(await bare()).not.toContain(found.id);
  await correctPiece(
    base,
    member,
    found.id,
    seen.version,
    tile(studio, [dip(glazes.Sleeper, 0, 1, { times: 9 })]),
  );
  const [sense] = (await sensesOf('Sleeper')).filter(({ stack }) => stack[0]!.times === 9);
  expect(sense).toMatchObject({ cone: '6', summary: { proofs: 1, surface: 'gloss' } });
});

test('an audit that counts plainly finds no difference, and finds one that is made', async () => {
  const { base } = studio;
  expect((await auditDictionary(base)).differences).toEqual([]);
  const entry = (await base('entry').where('proofs', '>', 1).first())!;
  await base('entry')
    .where({ id: entry.id })
    .update({ proofs: entry.proofs + 1 });
  const zone = (await base('zone').where({ entry_id: entry.id, ended_at: null }).first())!;
  const other = (await base('entry').whereNot({ headword_id: entry.headword_id }).first('id'))!;
  await base('zone').where({ id: zone.id }).update({ entry_id: other.id });
  const { differences } = await auditDictionary(base);
  expect(differences.some((words) => words.includes('filed as'))).toBe(true);
  expect(differences.some((words) => words.includes(`pieces ${entry.proofs + 1}, should be`))).toBe(true);
  await base('zone').where({ id: zone.id }).update({ entry_id: entry.id });
  await base('entry').where({ id: entry.id }).update({ proofs: entry.proofs });
  expect((await auditDictionary(base)).differences).toEqual([]);
});
