import { patternOf } from '@/core/coats';
import { lookUp } from '@/records/dictionary';
import { decideForMany, recordPiece } from '@/records/openings';
import {
  changeMany,
  correctMany,
  correctPiece,
  listPatterns,
  piecesById,
  savePattern,
  savePieces,
  setPatternEnded,
} from '@/records/pieces';
import { newId, Refusal } from '@/records/platform';
import { listGlazes } from '@/records/materials';
import { draftOf } from '@/features/pieces/model/fromPiece';
import {
  coatCorrections,
  commonPlaces,
  correctionsBack,
  makerChanges,
  noteChanges,
  planBack,
  planFor,
  reversed,
  setChanges,
  textureCorrections,
} from '@/features/pieces/model/several';
import type { Role } from '@/core/vocabulary';
import { said, studioOfRoles } from './roles';
import { dip, fired, tile, type Studio } from './studio';

let studio: Studio;
beforeAll(async () => {
  studio = await studioOfRoles('sheet');
});
afterAll(() => studio.base.destroy());

test('rows of a sheet are saved together or not at all, once however often they are sent, by whoever typed them', async () => {
  const memberOf = async (role: Role) => (await studio.base('member').where({ role }).first('id'))!.id;
  const memberId = await memberOf('student');
  const rowOf = (count: number, ownNumber: string) => ({
    ids: Array.from({ length: count }, newId),
    draft: { ...tile(studio), ownNumber },
    makerId: null,
  });
  const rows = [rowOf(1, '1'), rowOf(3, '2')];
  const asked = { memberId, rows, series: null };
  const [one, again] = await Promise.all([
    said('saveSheet', 'student', asked),
    said('saveSheet', 'student', asked),
  ]);
  expect(one).toMatchObject({ ok: true, value: [[{ id: rows[0]!.ids[0] }], [{}, {}, {}]] });
  expect(again).toEqual(one);
  const pieces = await piecesById(studio.base, rows[1]!.ids);
  expect(pieces.map((piece) => [piece.ownNumber, piece.memberId])).toEqual(
    Array.from({ length: 3 }, () => ['2', memberId]),
  );

  const before = await studio.base('piece').count({ n: '*' }).first();
  const bad = rowOf(1, '3');
  const missing = { ...bad, draft: { ...bad.draft, coats: [dip(newId(), 0, 1)] } };
  for (const refused of [
    { ...asked, rows: [rowOf(1, '4'), missing] },
    { ...asked, rows: [{ ...rowOf(1, '5'), makerId: await memberOf('teacher') }] },
    { ...asked, rows: [rowOf(1, '6')], memberId: await memberOf('teacher') },
  ])
    expect(await said('saveSheet', 'student', refused).catch(() => ({ ok: false }))).toMatchObject({
      ok: false,
    });
  expect(await studio.base('piece').count({ n: '*' }).first()).toEqual(before);
});

test('an own number finds its piece, the newest first; a pattern is kept once, by one name', async () => {
  const { base, member, glazes } = studio;
  const draft = {
    ...tile(studio, [dip(glazes.Sleeper, 0, 1), dip(glazes.Limewash, 0.5, 1)]),
    ownNumber: 'Q17',
  };
  const [old] = await savePieces(base, member, draft, [newId()], { madeAt: new Date('2026-01-02') });
  const [young] = await savePieces(base, member, draft, [newId()], { madeAt: new Date('2026-05-02') });
  const { answers } = await lookUp(base, 'Q17');
  expect(answers.filter(({ kind }) => kind === 'piece').map(({ text }) => text)).toEqual([
    young!.label,
    old!.label,
  ]);

  // A coat that was put on after the first firing is no part of it.
  const firingId = newId();
  const [piece] = (await piecesById(base, [old!.id])).map((one) => ({
    ...one,
    coats: [...one.coats, { ...one.coats[0]!, firingId }],
  }));
  const pattern = { id: newId(), ...patternOf('half way up', piece!) };
  await savePattern(base, member, pattern);
  await savePattern(base, member, pattern);
  expect(
    (await listPatterns(base)).map(({ name, coats }) => [
      name,
      coats.map(({ glaze, from }) => [glaze, from]),
    ]),
  ).toEqual([
    [
      'half way up',
      [
        [0, 0],
        [1, 0.5],
      ],
    ],
  ]);
  await expect(savePattern(base, member, { ...pattern, id: newId() })).rejects.toThrow(Refusal);
  await setPatternEnded(base, member, pattern.id, true);
  expect(await listPatterns(base)).toEqual([]);
});

test('several pieces are written on in one act and put back in one, but not over what somebody wrote since', async () => {
  const { base, member } = studio;
  const ids = [newId(), newId(), newId()];
  await savePieces(base, member, { ...tile(studio), note: 'thin at the rim' }, ids);
  const listed = () => piecesById(base, ids);
  const notes = async () => (await listed()).map(({ note }) => note);
  const changes = noteChanges(await listed(), ' for the open day ');
  expect(await changeMany(base, member, changes)).toEqual([]);
  expect(await notes()).toEqual(ids.map(() => 'thin at the rim\nfor the open day'));
  // The same act again finds them otherwise, and leaves them.
  expect(await changeMany(base, member, changes)).toEqual((await listed()).map(({ label }) => label));

  await base('piece').where({ id: ids[1]! }).update({ note: 'sold' });
  expect(await changeMany(base, member, reversed(changes))).toEqual([(await listed())[1]!.label]);
  expect(await notes()).toEqual(['thin at the rim', 'sold', 'thin at the rim']);

  const other = (await base('member').whereNot({ id: member }).first('id'))!.id;
  const given = makerChanges(await listed(), other);
  expect([given.length, makerChanges(await listed(), member)]).toEqual([3, []]);
  await changeMany(base, member, given);
  expect((await listed()).map(({ memberId }) => memberId)).toEqual(ids.map(() => other));
  // One that is not there: none is changed.
  const missing = [...reversed(given), { id: newId(), note: { from: '', to: 'x' } }];
  await expect(changeMany(base, member, missing)).rejects.toThrow();
  expect((await listed()).map(({ memberId }) => memberId)).toEqual(ids.map(() => other));
  expect(await said('saveMany', 'student', { changes: reversed(given) })).toMatchObject({ ok: false });
});

test('several pieces get one coat, one texture, one set and one plan, each taken back in one act', async () => {
  const { base, member, glazes } = studio;
  const listed = () => piecesById(base, ids);
  const ids = [newId(), newId(), newId()];
  await savePieces(base, member, tile(studio), ids);
  const before = await listed();
  const [glazeCard] = (await listGlazes(base)).filter(({ id }) => id === glazes.Sleeper);
  const coat = {
    glazeId: glazes.Sleeper,
    method: 'spray',
    place: commonPlaces(before)[0]!,
    times: 2,
  } as const;
  const coated = coatCorrections(before, coat, [glazeCard!]);
  // Somebody else corrects one of them meanwhile: it is left, the others get their coat.
  await correctPiece(base, member, ids[1]!, before[1]!.version, { ...draftOf(before[1]!), note: 'chipped' });
  expect(await correctMany(base, member, coated)).toEqual([before[1]!.label]);
  expect((await listed()).map(({ coats }) => coats.length)).toEqual([3, 2, 3]);
  expect((await listed())[0]!.coats.at(-1)).toMatchObject({ method: 'spray', times: 2, firingId: null });
  const done = coated.filter(({ id }) => id !== ids[1]);
  expect(await correctMany(base, member, correctionsBack(before, done))).toEqual([]);
  expect((await listed()).map(draftOf)).toEqual(
    before.map(draftOf).map((draft, i) => (i === 1 ? { ...draft, note: 'chipped' } : draft)),
  );

  // A piece that nobody has described yet stays so.
  await base('piece').where({ id: ids[2]! }).update({ described: 0 });
  const now = await listed();
  const textured = textureCorrections(now, ['combed'], null);
  expect(await correctMany(base, member, textured)).toEqual([now[2]!.label]);
  const combed = (await listed()).map(({ texture }) => Object.values(texture).flat().includes('combed'));
  expect(combed).toEqual([true, true, false]);
  expect(textureCorrections((await listed()).slice(0, 2), ['combed'], null)).toEqual([]);

  const set = setChanges(await listed(), newId());
  await changeMany(base, member, set);
  expect(new Set((await listed()).map(({ setId }) => setId))).toEqual(new Set([set[0]!.set!.to]));
  await changeMany(base, member, reversed(set));
  expect((await listed()).map(({ setId }) => setId)).toEqual([null, null, null]);
});

test('pieces that turned out wrong get one plan; what was not read, or was decided otherwise, is left', async () => {
  const { base, member } = studio;
  const { firingId, ids } = await fired(
    studio,
    Array.from({ length: 3 }, () => tile(studio)),
  );
  const labels = (await piecesById(base, ids)).map(({ label }) => label);
  for (const id of ids.slice(0, 2))
    await recordPiece(base, member, {
      ...{ pieceId: id, firingId, state: 'read', fate: id === ids[0] ? 'second' : null, readings: [] },
    });
  const listed = () => piecesById(base, ids);
  const plan = planFor(await listed(), 'reglaze', 'thin');
  expect(plan.pieces).toEqual([
    { id: ids[0], from: 'second', to: 'reglaze' },
    { id: ids[1], from: null, to: 'reglaze' },
  ]);
  // The one that was not read is not in the plan, and the server leaves it as well.
  const all = { ...plan, pieces: [...plan.pieces, { id: ids[2]!, from: null, to: 'reglaze' as const }] };
  expect(await decideForMany(base, member, all)).toEqual([labels[2]]);
  expect((await listed()).map(({ fate }) => fate)).toEqual(['reglaze', 'reglaze', null]);
  const said = await base('fate').whereIn('piece_id', ids).where({ fate: 'reglaze' }).select('*');
  expect(said.map((one) => [one.firing_id, one.reasons])).toEqual(
    Array.from({ length: 2 }, () => [firingId, ['thin']]),
  );

  // The same again without a reason decides nothing, and so takes nothing back.
  expect(planFor(await listed(), 'reglaze', null).pieces).toEqual([]);
  await base('piece').where({ id: ids[1]! }).update({ fate: 'keep' });
  expect(await decideForMany(base, member, planBack(plan))).toEqual([labels[1]]);
  expect((await listed()).map(({ fate }) => fate)).toEqual(['second', 'keep', null]);
});
