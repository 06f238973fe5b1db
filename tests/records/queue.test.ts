import { headwordsOf } from '@/records/dictionary';
import { advanceFiring, loadPieces, queueOf, shelfPieces } from '@/records/firings';
import { saveGlaze, saveRecipe, versionsOf } from '@/records/materials';
import { openingOf, recordPiece } from '@/records/openings';
import { newId } from '@/records/platform';
import { correctPiece, piecePage, savePieces } from '@/records/pieces';
import { todayIn } from '@/records/rounds';
import {
  dip,
  emptyFiring,
  fired,
  freshStudio,
  plainGlaze,
  reading,
  readAll,
  tile,
  type Studio,
} from './studio';

/** Which fire waits for a piece, and which firing takes it. */
let studio: Studio;
beforeAll(async () => (studio = await freshStudio('queue')));
afterAll(async () => studio.base.destroy());

const sleeper = () => tile(studio, [dip(studio.glazes.Sleeper, 0, 1)]);

/** What is proposed for a piece. */
async function proposed(id: string) {
  const { proposals } = await queueOf(studio.base, new Date('2026-11-25T10:00:00'));
  return proposals.find(({ pieces }) => pieces.some((piece) => piece.id === id));
}

/** Reads a load; every piece of it goes into a kiln again. */
async function sendBack(firingId: string): Promise<void> {
  for (const { id, zones } of (await openingOf(studio.base, firingId)).pieces)
    await recordPiece(studio.base, studio.member, {
      ...{ pieceId: id, firingId, state: 'read', fate: 'refire' },
      readings: zones.map((zone) => reading(zone.id)),
    });
}

test('a new piece wants the fire its top glaze is mostly fired in; one that goes back that of its last firing', async () => {
  const { base, member } = studio;
  const hot = { cone: '10', atmosphere: 'reduction' } as const;
  await readAll(studio, (await fired(studio, [sleeper(), sleeper()], hot)).firingId);
  await readAll(studio, (await fired(studio, [sleeper()])).firingId);
  const [fresh] = await savePieces(base, member, sleeper(), [newId()]);
  expect(await proposed(fresh!.id)).toMatchObject(hot);

  const back = await fired(studio, [sleeper()]);
  await sendBack(back.firingId);
  expect(await proposed(back.ids[0]!)).toMatchObject({ cone: '6', atmosphere: 'oxidation' });
  const again = await emptyFiring(studio, { cone: '6', kind: 'refire', atmosphere: 'neutral' });
  await loadPieces(base, member, again, [{ pieceId: back.ids[0]!, shelf: 1 }]);
  await advanceFiring(base, member, again, 'open');
  await sendBack(again);
  expect(await proposed(back.ids[0]!)).toMatchObject({ cone: '6', atmosphere: 'neutral' });
});

test('a firing that is being loaded takes what wants its cone and its atmosphere, nothing else', async () => {
  const { base, member } = studio;
  await readAll(studio, (await fired(studio, [sleeper(), sleeper(), sleeper()])).firingId);
  const [piece] = await savePieces(base, member, sleeper(), [newId()]);
  await emptyFiring(studio, { cone: '6', atmosphere: 'reduction' });
  await emptyFiring(studio, { cone: '10', atmosphere: 'oxidation' });
  expect(await proposed(piece!.id)).toMatchObject({ firingId: null, cone: '6', atmosphere: 'oxidation' });
  const open = await emptyFiring(studio);
  expect(await proposed(piece!.id)).toMatchObject({ firingId: open });
});

/** A glaze of a base with one addition. */
async function glazeWith(name: string, material: string): Promise<string> {
  const { base, member } = studio;
  const id = newId();
  await saveGlaze(base, member, plainGlaze(id, name), null);
  const [version] = await versionsOf(base, id);
  const lines = [
    { material: 'Nepheline syenite, typical', amount: 100 },
    { material, amount: 4, addition: true },
  ];
  const draft = { id: newId(), glazeId: id, follows: version!.id, wasWritten: false, lines, note: '' };
  await saveRecipe(base, member, draft);
  return id;
}

test('what is loaded says which glaze holds chrome and which tin, for one blushes at the other', async () => {
  const { base, member } = studio;
  const [green, white] = [
    await glazeWith('Guard Green', 'Chrome oxide'),
    await glazeWith('Ballast', 'Tin oxide'),
  ];
  const pieces = [green, white, studio.glazes.Sleeper].map((glaze) => tile(studio, [dip(glaze, 0, 1)]));
  const ids: string[] = [];
  for (const piece of pieces) ids.push((await savePieces(base, member, piece, [newId()]))[0]!.id);
  expect((await shelfPieces(base, ids, null)).map(({ chrome, tin }) => [chrome, tin])).toEqual([
    [true, false],
    [false, true],
    [false, false],
  ]);
});

test('a glaze was fired as hot as it came out; not where it is only loaded, nor where it was taken back', async () => {
  const { base, member } = studio;
  const glaze = newId();
  await saveGlaze(base, member, plainGlaze(glaze, 'Ash Tip'), null);
  const piece = () => tile(studio, [dip(glaze, 0, 1)]);
  const hottest = async () => {
    const [one] = await shelfPieces(base, [ids[0]!], null);
    return one!.fired.map((of) => of.hottest);
  };
  const { ids } = await fired(studio, [piece()], { cone: '6' });
  const [waiting] = await savePieces(base, member, piece(), [newId()]);
  const hot = await emptyFiring(studio, { cone: '10' });
  await loadPieces(base, member, hot, [{ pieceId: waiting!.id, shelf: 1 }]);
  expect(await hottest()).toEqual(['6']);
  await advanceFiring(base, member, hot, 'open');
  expect(await hottest()).toEqual(['10']);
  const page = await piecePage(base, waiting!.id);
  const coats = [dip(studio.glazes.Sleeper, 0, 1)];
  await correctPiece(base, member, waiting!.id, page.version, { ...page, coats });
  expect(await hottest()).toEqual(['6']);
});

test('a glaze looks as most of its pieces do, or as in the fire that is asked for', async () => {
  const glaze = newId();
  await saveGlaze(studio.base, studio.member, plainGlaze(glaze, 'Kettle Blue'), null);
  const look = async (n: number, cone: '6' | '10', colour: string) => {
    const load = Array.from({ length: n }, () => tile(studio, [dip(glaze, 0, 1)]));
    await readAll(studio, (await fired(studio, load, { cone })).firingId, () => ({ colour }));
  };
  await look(3, '10', '#112233');
  await look(4, '6', '#2244aa');
  const colour = async (cone: '6' | '10' | null) =>
    (await headwordsOf(studio.base, glaze, cone && { cone, atmosphere: 'oxidation' }))[0];
  expect(await colour(null)).toMatchObject({ text: 'Kettle Blue', proofs: 7, colour: '#2244aa' });
  expect(await colour('10')).toMatchObject({ colour: '#112233' });
});

test('what went back waits on Today by its number until it is loaded again', async () => {
  const { base, member } = studio;
  const { firingId, ids } = await fired(studio, [sleeper(), sleeper(), sleeper()]);
  await sendBack(firingId);
  const waiting = async () => {
    const { refires } = await todayIn(base, new Date());
    return { count: refires.count, ids: refires.pieces.map(({ id }) => id).filter((id) => ids.includes(id)) };
  };
  const before = await waiting();
  expect(before.ids).toEqual(ids);
  const again = await emptyFiring(studio, { kind: 'refire' });
  await loadPieces(base, member, again, [{ pieceId: ids[1]!, shelf: 1 }]);
  expect(await waiting()).toEqual({ count: before.count - 1, ids: [ids[0], ids[2]] });
});

test('a single piece makes an entry doubtful by a plain defect, not by a slight one', async () => {
  const { base, member } = studio;
  const [slight, plain] = [newId(), newId()];
  await saveGlaze(base, member, plainGlaze(slight, 'Lamp Clear'), null);
  await saveGlaze(base, member, plainGlaze(plain, 'Rust Yard'), null);
  const { firingId } = await fired(
    studio,
    [slight, plain].map((glaze) => tile(studio, [dip(glaze, 0, 1)])),
  );
  await readAll(studio, firingId, (n) => ({
    defects: [{ defect: 'pitting', severity: n === 0 ? 1 : 2, place: 'everywhere' }],
  }));
  const weak = (await todayIn(base, new Date())).weak.map(({ text }) => text);
  expect(weak).toContain('Rust Yard');
  expect(weak).not.toContain('Lamp Clear');
});
