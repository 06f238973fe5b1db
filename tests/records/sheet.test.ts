import { patternOf } from '@/core/coats';
import { lookUp } from '@/records/dictionary';
import {
  changeMany,
  listPatterns,
  piecesById,
  savePattern,
  savePieces,
  setPatternEnded,
} from '@/records/pieces';
import { newId, Refusal } from '@/records/platform';
import { makerChanges, noteChanges, reversed } from '@/features/pieces/model/several';
import type { Role } from '@/core/vocabulary';
import { said, studioOfRoles } from './roles';
import { dip, tile, type Studio } from './studio';

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
