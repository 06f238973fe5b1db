import { saveTeacherNote, headwordPage, type Sense } from '@/records/dictionary';
import { advanceFiring, loadPieces } from '@/records/firings';
import { saveGlaze, setVersionInUse } from '@/records/materials';
import { fromJson, newId } from '@/records/platform';
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
