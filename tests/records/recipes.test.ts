import { limitOf } from '@/core/fit';
import { understandMaterial } from '@/core/chemistry';
import { parseRecipe } from '@/core/recipe';
import {
  addBatch,
  addMeasure,
  batchesOf,
  bucketCard,
  fitEvidence,
  listMaterials,
  rememberAlias,
  saveMaterial,
  studioBook,
  recipesInUse,
  saveGlaze,
  saveRecipe,
  setVersionInUse,
  versionsOf,
  type RecipeDraft,
  type RecipeVersion,
} from '@/records/materials';
import { latestChanges } from '@/records/changes';
import { newId, Conflict, NotFound, Refusal } from '@/records/platform';
import { headwordPage, wallEntries } from '@/records/dictionary';
import { dip, fired, freshStudio, plainGlaze, readAll, tile, type Studio } from './studio';

let studio: Studio;
beforeAll(async () => (studio = await freshStudio('recipes')));
afterAll(async () => studio.base.destroy());

const LINES = [
  { material: 'Soda feldspar, typical', amount: 45 },
  { material: 'Silica', amount: 20 },
  { material: 'Whiting', amount: 20 },
  { material: 'Kaolin', amount: 15 },
  { material: 'Tin oxide', amount: 4, addition: true },
];

async function draft(glazeId: string, more: Partial<RecipeDraft> = {}): Promise<RecipeDraft> {
  const [{ id: follows }] = (await versionsOf(studio.base, glazeId)) as [RecipeVersion];
  return { id: newId(), glazeId, follows, wasWritten: false, lines: LINES, note: '', ...more };
}

test('a recipe is first written down for the version there is, then each change is a version of its own', async () => {
  const { base, member, glazes } = studio;
  const first = await draft(glazes.Limewash);
  expect(await saveRecipe(base, member, first)).toBe(1);
  const second = await draft(glazes.Limewash, {
    wasWritten: true,
    lines: LINES.map((line) => (line.material === 'Silica' ? { ...line, amount: 25 } : line)),
    note: 'more silica',
  });
  expect(await saveRecipe(base, member, second)).toBe(2);
  expect(await saveRecipe(base, member, second)).toBe(2);
  const versions = await versionsOf(base, glazes.Limewash);
  expect(versions.map(({ number, note, by, lines }) => [number, note, by, lines?.length])).toEqual([
    [2, 'more silica', 'Ines Varga', 5],
    [1, '', 'Ines Varga', 5],
  ]);
  const inUse = async () => (await recipesInUse(base)).map(({ name, lines }) => [name, lines[1]!.amount]);
  expect(await inUse()).toEqual([['Limewash', 20]]);
  await setVersionInUse(base, member, { glazeId: glazes.Limewash, versionId: second.id });
  expect(await inUse()).toEqual([['Limewash', 25]]);
  const changes = await base('change').where({ what: 'glaze_version', row_id: second.id });
  expect(changes).toHaveLength(1);
  // Saved again as it stands it is no other version.
  const same = { ...second, id: newId(), follows: second.id };
  expect(await saveRecipe(base, member, same)).toBe(2);
});

test('two people writing the same recipe are told, and neither recipe is lost', async () => {
  const { base, member, glazes } = studio;
  const mine = await draft(glazes.Whitestrip);
  const theirs = await draft(glazes.Whitestrip, { lines: LINES.slice(0, 3) });
  await saveRecipe(base, member, theirs);
  await expect(saveRecipe(base, member, mine)).rejects.toThrow(Conflict);
  const error = await saveRecipe(base, member, mine).catch((caught: Conflict) => caught);
  expect((error as Conflict).theirs).toMatchObject({ lines: LINES.slice(0, 3), by: 'Ines Varga' });
  // Both have the same version before them when they write.
  const drafts = [
    await draft(glazes.Whitestrip, { wasWritten: true, note: 'a' }),
    await draft(glazes.Whitestrip, { wasWritten: true, note: 'b', lines: LINES.slice(1) }),
  ];
  const [a, b] = await Promise.allSettled(drafts.map((one) => saveRecipe(base, member, one)));
  expect([a!.status, b!.status].sort()).toEqual(['fulfilled', 'rejected']);
});

test('choosing a version sets the proofs of others apart in every entry at once, and back again', async () => {
  const { base, member, glazes, bodyId } = studio;
  await saveRecipe(base, member, await draft(glazes.Sleeper));
  const { firingId } = await fired(studio, [tile(studio, [dip(glazes.Sleeper, 0, 1)])]);
  await readAll(studio, firingId, () => ({ defects: [{ defect: 'running', severity: 2, place: 'foot' }] }));
  const proofs = async () =>
    (await base('entry as e')
      .join('headword as h', 'h.id', 'e.headword_id')
      .where('h.text', 'Sleeper')
      .first('e.*'))!;
  expect(await proofs()).toMatchObject({ proofs: 1, worst_defect: 'running' });
  const worse = await draft(glazes.Sleeper, { wasWritten: true, lines: LINES.slice(0, 4) });
  await saveRecipe(base, member, worse);
  expect(await proofs()).toMatchObject({ proofs: 1, worst_defect: 'running' });
  const choose = (versionId: string) => setVersionInUse(base, member, { glazeId: glazes.Sleeper, versionId });
  await choose(worse.id);
  expect(await proofs()).toMatchObject({ proofs: 0, worst_defect: null });
  const { headword_id } = await proofs();
  const [sense] = (await headwordPage(base, headword_id)).senses;
  expect(sense!.versions).toMatchObject([
    { made: 'Sleeper version 1', isInUse: false, summary: { proofs: 1, defects: [{ defect: 'running' }] } },
  ]);
  await choose(sense!.versions[0]!.choice!.versionId);
  expect(await proofs()).toMatchObject({ proofs: 1 });
  expect((await headwordPage(base, headword_id)).senses[0]!.versions).toEqual([]);
  await choose(worse.id);
  await expect(choose(newId())).rejects.toThrow(NotFound);
  expect(await latestChanges(base, { what: 'glaze', rowId: glazes.Sleeper }, 100)).toHaveLength(4);
  const [ground] = await base('ground').where({ body_id: bodyId });
  const wall = await wallEntries(base, { grounds: [ground!.id], cone: '6', atmosphere: 'oxidation' });
  expect(wall.find((entry) => entry.topId === glazes.Sleeper)).toMatchObject({ proofs: 0 });
  const [, older] = await versionsOf(base, glazes.Sleeper);
  expect(older).toMatchObject({ number: 1, pieces: 1, defects: [{ defect: 'running', count: 1 }] });
});

test('a version says its plain defects, the most frequent first; not what is slight, nor what is the piece’s own', async () => {
  const { base, member } = studio;
  const green = newId();
  await saveGlaze(base, member, plainGlaze(green, 'Guard Green'), null);
  const load = Array.from({ length: 4 }, () => tile(studio, [dip(green, 0, 1)]));
  const { firingId } = await fired(studio, load);
  await readAll(studio, firingId, (n) => ({
    defects: [
      { defect: 'crazing', severity: n === 0 ? 2 : 1, place: 'everywhere' },
      { defect: 'pitting', severity: 3, place: n < 2 ? 'everywhere' : 'the piece itself' },
      { defect: 'running', severity: n < 3 ? 2 : 1, place: 'foot' },
    ],
  }));
  const [version] = await versionsOf(base, green);
  expect(version).toMatchObject({
    pieces: 4,
    defects: [
      { defect: 'running', count: 3 },
      { defect: 'pitting', count: 2 },
      { defect: 'crazing', count: 1 },
    ],
  });
});

test('crazed and sound tiles of known recipes are counted as evidence of a body’s limit; boil tests as age', async () => {
  const { base, member, glazes, bodyId } = studio;
  const recipes = {
    Limewash: (await recipesInUse(base)).find((recipe) => recipe.name === 'Limewash')!.lines,
    Sleeper: [
      { material: 'Nepheline syenite, typical', amount: 80 },
      { material: 'Whiting', amount: 20 },
    ],
  };
  await saveRecipe(base, member, await draft(glazes.Sleeper, { wasWritten: true, lines: recipes.Sleeper }));
  const load = [glazes.Limewash, glazes.Sleeper].flatMap((glaze) =>
    [1, 2, 3, 4].map(() => tile(studio, [dip(glaze, 0, 1)])),
  );
  const cup = {
    ...tile(studio, [dip(glazes.Limewash, 0, 1), dip(glazes.Limewash, 0, 1, { side: 'inside' })]),
    form: 'cup' as const,
  };
  const { firingId } = await fired(studio, [...load, cup]);
  await readAll(studio, firingId, (n) =>
    n < 4 || n === 8
      ? { boilTest: n === 0 ? 'passed' : null }
      : { defects: [{ defect: 'crazing', severity: 2, place: 'everywhere' }] },
  );
  const evidence = await fitEvidence(base);
  const tiles = evidence.tiles.filter((one) => one.bodyId === bodyId);
  const counts = tiles.map(({ glaze, crazed, shockK, count }) => [
    glaze === glazes.Sleeper ? 'Sleeper' : 'Limewash',
    crazed,
    shockK ? 'boiled' : 'seen',
    count,
  ]);
  expect(counts).toEqual(
    expect.arrayContaining([
      ['Limewash', false, 'boiled', 1],
      ['Limewash', false, 'seen', 5],
      ['Sleeper', true, 'seen', 4],
    ]),
  );
  // The cup has two zones and is one tile.
  expect(tiles.find(({ glaze }) => glaze === glazes.Limewash)!.piecesOfGlaze).toBe(5);
  expect(evidence.learned.get(bodyId)!).toMatchObject({
    enough: false,
    why: expect.stringMatching(/1[01] more tiles.*3 more glazes/),
  });
  const between = tiles.map((one) => one.glazeExpansion);
  const { value } = limitOf(tiles);
  expect(value).toBeGreaterThan(Math.min(...between) - 1.5);
  expect(value).toBeLessThan(Math.max(...between));
});

test('a material of the studio’s own stands before the built-in one, has one name, and changes under its lock', async () => {
  const { base, member } = studio;
  const whiting = {
    id: newId(),
    name: 'Whiting',
    analysis: { CaO: 54, MgO: 1 },
    loi: 43,
    density: 2.7,
    source: 'bag',
  };
  await saveMaterial(base, member, whiting, null);
  await saveMaterial(base, member, whiting, null);
  expect(await listMaterials(base)).toHaveLength(1);
  expect((await studioBook(base)).find('whiting')?.analysis).toEqual({ CaO: 54, MgO: 1 });
  await expect(saveMaterial(base, member, { ...whiting, id: newId() }, null)).rejects.toThrow(Refusal);
  await saveMaterial(base, member, { ...whiting, loi: 42 }, 1);
  await expect(saveMaterial(base, member, { ...whiting, loi: 41 }, 1)).rejects.toThrow(Conflict);
  await base('material').delete();
});

test('what the studio calls a material is remembered, and means what was said last', async () => {
  const { base, member } = studio;
  const meant = async (name: string) => understandMaterial(await studioBook(base), name)?.name;
  expect(await meant('Yard spar')).toBeUndefined();
  await rememberAlias(base, member, { name: 'Yard spar', material: 'Soda feldspar' });
  expect(await meant('YARD  SPAR')).toBe('Soda feldspar');
  await rememberAlias(base, member, { name: 'yard spar', material: 'Potash feldspar' });
  expect(await meant('Yard spar')).toBe('Potash feldspar');
  expect(parseRecipe('Yard spar 40', await studioBook(base)).lines[0]).toMatchObject({
    material: 'Potash feldspar',
    known: true,
  });
  // A slip of the finger is taken back, and stands in the history.
  await rememberAlias(base, member, { name: 'Yard spar', material: null });
  expect(await meant('Yard spar')).toBeUndefined();
  await rememberAlias(base, member, { name: 'Yard spar', material: null });
  // Its own name says more than any other.
  await rememberAlias(base, member, { name: 'Silica', material: 'Whiting' });
  expect(await meant('silica')).toBe('Silica');
});

test('a bucket keeps its measurements, each once, oldest the one it was mixed with', async () => {
  const { base, member, glazes } = studio;
  const batch = {
    id: newId(),
    glazeId: glazes.Limewash,
    versionId: null,
    code: 'L7',
    mixedOn: '2026-02-03',
    specificGravity: 1.5,
  };
  await addBatch(base, member, batch);
  const measure = {
    id: newId(),
    batchId: batch.id,
    specificGravity: 1.47,
    ml: 9000,
    done: '350 ml water in',
  };
  await addMeasure(base, member, measure);
  await addMeasure(base, member, measure);
  const [history] = await batchesOf(base, glazes.Limewash);
  expect(history).toMatchObject({ code: 'L7', versionNumber: 2 });
  expect(history!.measures.map(({ specificGravity, done }) => [specificGravity, done])).toEqual([
    [1.47, '350 ml water in'],
    [1.5, 'mixed'],
  ]);
  await expect(addMeasure(base, member, { ...measure, id: newId(), batchId: newId() })).rejects.toThrow(
    'not there',
  );
});

test('the bucket card knows how a glaze came out alone, and what lies in it', async () => {
  const { base, glazes } = studio;
  const card = (await bucketCard(base, glazes.Limewash))!;
  expect(card.materials).toContain('Tin oxide');
  expect(card.looks[0]).toMatchObject({ ground: 'Cutting Red', cone: '6', surface: 'gloss', proofs: 5 });
  expect(await bucketCard(base, newId())).toBeNull();
});
