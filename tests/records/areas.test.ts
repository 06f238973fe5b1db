import { PLAIN_AREA } from '@/core/coats';
import { auditDictionary, headwordPage } from '@/records/dictionary';
import { correctPiece, piecePage, savePieces } from '@/records/pieces';
import { listBodies, saveBody } from '@/records/materials';
import { newId } from '@/records/platform';
import { draftOf } from '@/features/pieces/model/fromPiece';
import type { PieceDraft } from '@/records/pieces';
import { dip, fired, freshStudio, readAll, tile, type Studio } from './studio';

let studio: Studio;
beforeAll(async () => {
  studio = await freshStudio('areas');
});
afterAll(() => studio.base.destroy());

/** A mug in Sleeper all over but for its logo, which Limewash lies on; its handle has nothing. */
function mug(): PieceDraft {
  const { glazes } = studio;
  return {
    ...tile(studio),
    form: 'cup',
    areas: [
      { ...PLAIN_AREA, name: 'logo', side: 'outside', from: 0.4, to: 0.7 },
      { ...PLAIN_AREA, name: 'handle', side: null, from: 0, to: 1 },
    ],
    coats: [
      dip(glazes.Sleeper, 0, 1, { not: ['logo'] }),
      dip(glazes.Limewash, 0, 1, { area: 'logo' }),
      dip(glazes.Limewash, 0.5, 1),
    ],
  };
}

const zonesOfPiece = async (id: string) =>
  (await piecePage(studio.base, id)).firings
    .at(-1)!
    .zones.map(({ area, side, from, to, headword }) => [area ?? side, from, to, headword]);

test('an area has zones, readings and entries of its own, and the sides take no notice of it', async () => {
  const { base, glazes } = studio;
  const { firingId, ids } = await fired(studio, [mug()]);
  expect(await zonesOfPiece(ids[0]!)).toEqual([
    ['outside', 0, 0.5, 'Sleeper'],
    ['outside', 0.5, 1, 'Limewash over Sleeper'],
    ['handle', 0, 1, 'Bare clay'],
    ['logo', 0.4, 0.5, 'Limewash'],
    ['logo', 0.5, 0.7, 'Limewash'],
  ]);
  await readAll(studio, firingId, () => ({ surface: 'gloss', movement: 'stable', colour: null }));
  const alone = await base('headword').where({ text: 'Limewash' }).first('id');
  const [sense] = (await headwordPage(base, alone!.id)).senses;
  // Twice, above the middle, is another sense.
  expect([sense!.summary!.proofs, sense!.proofs.map(({ area }) => area)]).toEqual([1, ['logo']]);
  expect((await auditDictionary(base)).differences).toEqual([]);
  const versions = await base('zone').where({ area: 'logo' }).pluck('versions');
  const limewash = await base('glaze').where({ id: glazes.Limewash }).first('in_use_id');
  expect(versions.map((one) => JSON.parse(JSON.stringify(one)))).toEqual([
    [limewash!.in_use_id],
    [limewash!.in_use_id],
  ]);
});

test('a corrected area takes its readings along; what was read on it stays with it when it moves', async () => {
  const { base, member } = studio;
  const { firingId, ids } = await fired(studio, [mug()]);
  const id = ids[0]!;
  await readAll(studio, firingId, (_, zone) => ({
    surface: zone.area === 'logo' ? 'matte' : 'gloss',
    movement: null,
    colour: null,
  }));
  const correct = async (change: Partial<PieceDraft>) => {
    const piece = await piecePage(base, id);
    await correctPiece(base, member, id, piece.version, { ...draftOf(piece), ...change });
  };
  await correct({
    areas: [{ ...PLAIN_AREA, name: 'logo', side: 'outside', from: 0.1, to: 0.3 }, ...mug().areas.slice(1)],
  });
  const zones = (await piecePage(base, id)).firings[0]!.zones.filter(({ area }) => area === 'logo');
  expect(zones.map(({ from, to, readings }) => [from, to, readings[0]?.surface])).toEqual([[0, 1, 'matte']]);
  expect((await auditDictionary(base)).differences).toEqual([]);
});

test('what an area showed never speaks for its side: cut it stays with the area, without the area it ends', async () => {
  const { base, member, glazes } = studio;
  const areas = [{ ...PLAIN_AREA, name: 'logo', side: 'outside', from: 0.1, to: 0.3 }] as const;
  const coats = [dip(glazes.Sleeper, 0, 1, { not: ['logo'] })];
  const { firingId, ids } = await fired(studio, [{ ...tile(studio, coats), areas }]);
  const id = ids[0]!;
  await readAll(studio, firingId, (_, zone) => ({
    surface: zone.area === 'logo' ? 'matte' : 'gloss',
    movement: null,
    colour: null,
  }));
  const correct = async (change: Partial<PieceDraft>) => {
    const piece = await piecePage(base, id);
    await correctPiece(base, member, id, piece.version, { ...draftOf(piece), ...change });
  };
  const shown = async () =>
    (await piecePage(base, id)).firings[0]!.zones.map(({ area, readings }) => [
      area,
      readings[0]?.surface ?? null,
    ]);
  await correct({ coats: [...coats, dip(glazes.Limewash, 0, 0.15)].map((one) => ({ ...one, firingId })) });
  expect((await shown()).filter(([area]) => area !== null)).toEqual([
    ['logo', null],
    ['logo', 'matte'],
  ]);
  await correct({ areas: [], coats: [{ ...dip(glazes.Sleeper, 0, 1), firingId }] });
  expect(await shown()).toEqual([[null, 'gloss']]);
  const live = await base('reading').where({ piece_id: id, ended_at: null }).pluck('surface');
  expect(live).toEqual(['gloss']);
  expect((await auditDictionary(base)).differences).toEqual([]);
});

test('a piece with the logo elsewhere, or without it, is no twin', async () => {
  const { base, member } = studio;
  const drafts = [mug(), mug(), { ...mug(), areas: mug().areas.map((area) => ({ ...area, from: 0 })) }];
  const saved = [];
  for (const draft of drafts) saved.push(...(await savePieces(base, member, draft, [newId()])));
  const { twins } = await piecePage(base, saved[0]!.id);
  const labels = twins.map(({ label }) => label);
  expect([labels.includes(saved[1]!.label), labels.includes(saved[2]!.label)]).toEqual([true, false]);
});

test('an area of another clay is filed on its own, a coat in places is no proof of a whole one', async () => {
  const { base, glazes, bodyId } = studio;
  const other = newId();
  const [white] = await listBodies(base);
  await saveBody(base, studio.member, { ...white!, id: other, name: 'Tunnel Black' }, null);
  const areas = [
    { ...PLAIN_AREA, name: 'inlay', side: 'outside', from: 0.2, to: 0.4, bodyId: other },
  ] as const;
  const dots = { kind: 'pattern', name: 'dots', percent: 20 } as const;
  const coats = [dip(glazes.Sleeper, 0, 1), dip(glazes.Limewash, 0.5, 1, { cover: dots })];
  const { ids } = await fired(studio, [{ ...tile(studio, coats), areas }]);
  const { firings, coats: kept } = await piecePage(base, ids[0]!);
  const clay = async (id: string) => (await base('body').where({ id }).first('name'))!.name;
  expect(firings[0]!.zones.map(({ area, headword, ground }) => [area, headword, ground])).toEqual([
    [null, 'Sleeper', await clay(bodyId)],
    [null, 'Limewash (partly) over Sleeper', await clay(bodyId)],
    ['inlay', 'Sleeper', await clay(other)],
  ]);
  expect(kept[1]!.cover).toEqual(dots);
  const [partly] = await base('entry as e')
    .join('headword as h', 'h.id', 'e.headword_id')
    .where('h.text', 'like', '%partly%')
    .select('h.base_glaze_id', 'e.wall_layers');
  expect(partly).toEqual({ base_glaze_id: null, wall_layers: null });
  expect((await auditDictionary(base)).differences).toEqual([]);
});

test('an effect that was wanted is no defect of its entry; wanted no longer, it is', async () => {
  const { base, glazes } = studio;
  const coats = [dip(glazes.Limewash, 0, 1, { times: 3 })];
  const { firingId, ids } = await fired(studio, [{ ...tile(studio, coats), wanted: ['crazing'] }]);
  await readAll(studio, firingId, () => ({
    ...({ surface: 'gloss', movement: 'stable', colour: null } as const),
    defects: [{ defect: 'crazing', place: 'everywhere', severity: 2 }],
  }));
  const worst = async () => {
    const zone = await base('zone').where({ piece_id: ids[0]!, ended_at: null }).first('entry_id');
    return (await base('entry').where({ id: zone!.entry_id! }).first('worst_defect'))!.worst_defect;
  };
  expect(await worst()).toBeNull();
  expect((await auditDictionary(base)).differences).toEqual([]);
  const piece = await piecePage(base, ids[0]!);
  await correctPiece(base, studio.member, piece.id, piece.version, { ...draftOf(piece), wanted: [] });
  expect(await worst()).toBe('crazing');
  expect((await auditDictionary(base)).differences).toEqual([]);
});
