import { formShape } from '@/core/vocabulary';
import { texturesTried, entriesLike, headwordPage } from '@/records/dictionary';
import { ensureMixedBody, listBodies, saveBody } from '@/records/materials';
import {
  archivedForms,
  correctPiece,
  formsInUse,
  joinSet,
  leaveSet,
  listForms,
  piecePage,
  saveForm,
  savePieces,
  saveWare,
  setFormEnded,
  usualWays,
} from '@/records/pieces';
import { newId } from '@/records/platform';
import { draftOf } from '@/features/pieces/model/fromPiece';
import { dip, fired, freshStudio, readAll, tile, type Studio } from './studio';

let studio: Studio;
beforeAll(async () => {
  studio = await freshStudio('ware');
});
afterAll(() => studio.base.destroy());

const save = async (draft = tile(studio)) =>
  (await savePieces(studio.base, studio.member, draft, [newId()]))[0]!;

test('a clay of several is made once, a ground of its own of which nothing was measured', async () => {
  const { base, member, bodyId } = studio;
  const red = newId();
  const [white] = await listBodies(base);
  await saveBody(
    base,
    member,
    { ...white!, id: red, name: 'Viaduct Porcelain', colourOxidation: '#804020', iron: 'high', expansion: 6 },
    null,
  );
  const marbled = { how: 'marbled', bodyIds: [bodyId, red], stain: null, percent: null } as const;
  const id = await ensureMixedBody(base, member, marbled);
  // The same two the other way round are the same clay; one inlaid with the other is not.
  expect(await ensureMixedBody(base, member, { ...marbled, bodyIds: [red, bodyId] })).toBe(id);
  const inlaid = await ensureMixedBody(base, member, { ...marbled, how: 'inlaid' });
  expect(await ensureMixedBody(base, member, { ...marbled, how: 'inlaid', bodyIds: [red, bodyId] })).not.toBe(
    inlaid,
  );
  const stained = { how: 'stained', bodyIds: [bodyId], stain: 'Points Cobalt', percent: 5 } as const;
  await ensureMixedBody(base, member, stained);
  const bodies = await listBodies(base);
  const found = bodies.find((body) => body.id === id)!;
  expect([found.name, found.expansion, found.iron, found.madeOf?.how]).toEqual([
    `${white!.name} and Viaduct Porcelain, marbled`,
    null,
    white!.iron === null ? null : 'high',
    'marbled',
  ]);
  expect(bodies.map(({ name }) => name)).toContain(`${white!.name} with 5 % Points Cobalt`);
  await expect(ensureMixedBody(base, member, { ...marbled, bodyIds: [bodyId, newId()] })).rejects.toThrow(
    'This clay',
  );
});

test('lid and jar are a set; two sets that meet become one, and a piece may leave', async () => {
  const { base, member } = studio;
  const pieces = [await save(), await save(), await save(), await save()];
  const [jar, lid, lamp, saucer] = pieces as [(typeof pieces)[0], ...typeof pieces];
  const others = async (one: { id: string }) => (await piecePage(base, one.id)).set.map(({ label }) => label);
  await joinSet(base, member, { pieceId: lid!.id, label: jar.label });
  await joinSet(base, member, { pieceId: saucer!.id, label: lamp!.label.toLowerCase() });
  expect([await others(jar), await others(saucer!)]).toEqual([[lid!.label], [lamp!.label]]);
  await joinSet(base, member, { pieceId: jar.id, label: lamp!.label });
  expect(await others(lid!)).toEqual([jar.label, lamp!.label, saucer!.label]);
  await leaveSet(base, member, jar.id);
  expect([await others(jar), await others(lamp!)]).toEqual([[], [lid!.label, saucer!.label]]);
  await expect(joinSet(base, member, { pieceId: jar.id, label: jar.label })).rejects.toThrow('itself');
  await expect(joinSet(base, member, { pieceId: jar.id, label: 'SW-9999' })).rejects.toThrow('no piece');
});

test('what is said of ware leaves the rest as it was, and a correction of the bands leaves it alone', async () => {
  const { base, member } = studio;
  const { id } = await save();
  await saveWare(base, member, { pieceId: id, said: { owner: 'Priya', price: '40' } });
  await saveWare(base, member, { pieceId: id, said: { after: ['ground'] }, isLiked: true });
  const piece = await piecePage(base, id);
  await correctPiece(base, member, id, piece.version, { ...draftOf(piece), note: 'again' });
  const { ware, isLiked, note } = await piecePage(base, id);
  expect([ware.owner, ware.price, ware.after, ware.isSold, isLiked, note]).toEqual([
    ...['Priya', '40', ['ground'], false, true],
    'again',
  ]);
});

test('a form of the studio: pieces keep the silhouette they had when it is changed or archived', async () => {
  const { base, member } = studio;
  const none = { heightMm: null, widthMm: null };
  const form = {
    ...({ id: newId(), name: 'Platform mug', form: 'mug', heightMm: 90, widthMm: 80 } as const),
    ...{ profile: formShape('mug').profile, clayGrams: 420, sizes: { thrown: none, trimmed: none } },
    ...{ bands: [{ name: 'dip line', from: 0.2, to: 1 }], note: '' },
  };
  await saveForm(base, member, form, null);
  const { profile } = form;
  const { id } = await save({ ...tile(studio), form: 'mug', formId: form.id, profile });
  const wider = profile.map(([height]) => [height, 1] as const);
  await saveForm(base, member, { ...form, profile: wider }, 1);
  await expect(saveForm(base, member, form, 1)).rejects.toThrow();
  await expect(saveForm(base, member, { ...form, id: newId() }, null)).rejects.toThrow('already a form');
  await setFormEnded(base, member, form.id, true);
  const piece = await piecePage(base, id);
  expect([await listForms(base), piece.formName, piece.profile]).toEqual([[], 'Platform mug', profile]);
  expect(await archivedForms(base)).toEqual([{ id: form.id, name: 'Platform mug' }]);
  // A library mug is no twin of it.
  const plain = await piecePage(base, (await save({ ...tile(studio), form: 'mug' })).id);
  expect(plain.twins).toEqual([]);
  expect((await formsInUse(base))[0]).toBe('tile');
});

test('a glaze is put on as its maker mostly does, else as anybody did', async () => {
  const { base, member, glazes } = studio;
  const brushed = { method: 'brush', times: 3, seconds: null } as const;
  for (let i = 0; i < 2; i++) await save({ ...tile(studio), coats: [dip(glazes.Limewash, 0, 1, brushed)] });
  const ways = await usualWays(base, member);
  // Dips of Limewash on all tiles so far are more.
  expect([ways.get(glazes.Limewash), ways.get(glazes.Sleeper)?.method]).toEqual([
    { method: 'dip', times: 1 },
    'dip',
  ]);
  for (let i = 0; i < 20; i++) await save({ ...tile(studio), coats: [dip(glazes.Limewash, 0, 1, brushed)] });
  expect((await usualWays(base, member)).get(glazes.Limewash)).toEqual({ method: 'brush', times: 3 });
});

test('entries are found by texture, counted in pieces, and say whether they break over it', async () => {
  const { base, glazes } = studio;
  const coats = [dip(glazes.Sleeper, 0, 0.5, { times: 4 }), dip(glazes.Sleeper, 0.6, 1, { times: 4 })];
  const combed = { ...tile(studio, coats), texture: { outside: ['combed'] } } as const;
  const { firingId } = await fired(studio, [combed, combed, { ...combed, texture: { outside: ['smooth'] } }]);
  await readAll(studio, firingId, () => ({
    ...({ surface: 'gloss', movement: 'stable', colour: null } as const),
    breaks: true,
  }));
  expect(await texturesTried(base)).toEqual(expect.arrayContaining(['combed', 'breaks']));
  const [found] = await entriesLike(base, { texture: 'combed' }, null);
  const page = await headwordPage(base, found!.headwordId);
  const sense = page.senses.find(({ id }) => id === found!.id)!;
  // Two zones of a piece are one piece.
  expect(sense.textured.find(({ texture }) => texture === 'combed')).toMatchObject({ pieces: 2, breaks: 2 });
  expect((await entriesLike(base, { texture: 'carved' }, null)).length).toBe(0);
});
