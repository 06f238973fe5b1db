import {
  addRequest,
  listRequests,
  withdrawRequest,
  entriesLike,
  headwordPage,
  provedHeadwords,
  refreshEntries,
  addCorrection,
  correctionsOf,
  saveTeacherNote,
  settleCorrection,
  endWall,
  keepWall,
  listWalls,
  addShare,
  endShare,
  isOnWall,
  listShares,
  newestOnWall,
  shareBy,
  wallChoices,
  wallEntries,
  wallNow,
  listFailedLookups,
  type RequestDraft,
} from '@/records/dictionary';
import { newId, Conflict, NotFound, cachedUntilWrite, currentRevision } from '@/records/platform';
import { openingOf, recordPiece } from '@/records/openings';
import { piecePage, correctPiece, savePieces } from '@/records/pieces';
import { deltaE00, labOf } from '@/core/colour';
import { unpacked } from '@/core/rows';
import { random } from '../../demo/random';
import { draftLike } from '@/features/pieces/model/fromPiece';
import { onlyWall } from '@/features/wall/model/choose';
import { wallOf, wallWords } from '@/features/wall/server/wallOf';
import { dip, wishFor, fired, freshStudio, readAll, reading, tile, type Studio } from './studio';

let studio: Studio;
beforeAll(async () => {
  studio = await freshStudio('reference');
});
afterAll(() => studio.base.destroy());

const TOKEN = 'A'.repeat(42) + 'x';
const draft = (more = {}) => ({
  id: newId(),
  name: 'Open day',
  search: 'cone=6&atmosphere=oxidation',
  recipes: false,
  names: false,
  ...more,
});

test('what is summed up step by step is what a full rebuild gives, after any edits', async () => {
  const { base, member, glazes } = studio;
  const next = random('upkeep');
  const some = <T>(list: readonly T[]) => list[Math.floor(next() * list.length)]!;
  const stack = () => [
    dip(some([glazes.Sleeper, glazes.Limewash]), 0, 0.5 + 0.4 * next()),
    dip(some([glazes.Sleeper, glazes.Limewash]), 0.3, 1, { times: some([1, 2]) }),
  ];
  const { firingId, ids } = await fired(
    studio,
    Array.from({ length: 14 }, () => tile(studio, stack())),
  );
  await readAll(studio, firingId, (n) => ({ colour: n % 3 ? '#553322' : '#aa9988' }));
  for (let edit = 0; edit < 30; edit++) {
    const id = some(ids);
    const piece = await piecePage(base, id);
    if (next() < 0.4) {
      const { coats, ...rest } = draftLike(piece);
      const moved = coats.map((coat) => ({ ...coat, firingId, to: Math.min(1, coat.to + 0.05 * next()) }));
      await correctPiece(base, member, id, piece.version, {
        ...rest,
        coats: next() < 0.3 ? moved.slice(0, 1) : moved,
      });
      continue;
    }
    const { pieces } = await openingOf(base, firingId);
    const zones = pieces.find((one) => one.id === id)!.zones;
    const readings = zones.map((zone) =>
      reading(zone.id, {
        follows: zone.readings.at(-1)?.id ?? null,
        surface: some(['gloss', 'satin', null]),
        colour: some(['#553322', '#aa9988', '#223344']),
        defects: next() < 0.4 ? [{ defect: 'pitting', severity: some([1, 2, 3]), place: 'spot' }] : [],
      }),
    );
    await recordPiece(base, member, { pieceId: id, firingId, state: 'read', fate: 'keep', readings });
  }
  const kept = await base('entry').orderBy('id');
  await refreshEntries(
    base,
    kept.map(({ id }) => id),
  );
  expect(await base('entry').orderBy('id')).toEqual(kept);

  // And a naive recount by hand agrees with what is kept.
  for (const { id, proofs } of kept) {
    const rows: { piece_id: string; surface: string | null; colour: string | null; pits: number }[] =
      await base('zone as z')
        .join('reading as r', 'r.zone_id', 'z.id')
        .where({ 'z.entry_id': id, 'z.ended_at': null, 'r.ended_at': null, 'r.stage': 'after' })
        .select(
          'z.piece_id',
          'r.surface',
          'r.colour',
          base.raw(
            'exists (select 1 from reading_defect d where d.reading_id = r.id and d.severity > 1) as pits',
          ),
        );
    // The colours above are far from each other: two of them on one piece divide it.
    const kinds = (list: readonly unknown[]) => new Set(list.filter((one) => one !== null)).size;
    const whole = [...new Set(rows.map((row) => row.piece_id))].filter((piece) => {
      const own = rows.filter((row) => row.piece_id === piece);
      return [own.map((one) => one.surface), own.map((one) => one.colour), own.map((one) => one.pits)].every(
        (list) => kinds(list) <= 1,
      );
    });
    expect(proofs).toBe(whole.length);
  }
});

test('entries by colour are those of a search through everything, and each wish narrows them', async () => {
  const { base, glazes } = studio;
  const asked = labOf('#554433');
  const found = await entriesLike(base, {}, asked, { within: 40 });
  const rows: { entry_id: string; colour: string }[] = await base('zone as z')
    .join('reading as r', 'r.zone_id', 'z.id')
    .join('entry as e', 'e.id', 'z.entry_id')
    .join('headword as h', 'h.id', 'e.headword_id')
    .where({ 'z.ended_at': null, 'r.ended_at': null })
    .where('h.depth', '>', 0)
    .select('z.entry_id', 'r.colour');
  const brute = new Map<string, number>();
  for (const { entry_id, colour } of rows)
    brute.set(entry_id, Math.min(brute.get(entry_id) ?? Infinity, deltaE00(asked, labOf(colour))));
  const near = [...brute.values()].filter((one) => one <= 40).sort((a, b) => a - b);
  expect(found.length).toBeGreaterThan(2);
  expect(found.map(({ difference }) => difference!.toFixed(4))).toEqual(near.map((one) => one.toFixed(4)));
  expect(await entriesLike(base, { cone: '10' }, asked, { within: 40 })).toEqual([]);
  const sound = await entriesLike(base, { sound: true }, asked, { within: 40 });
  expect(sound.every(({ worstSeverity }) => worstSeverity < 2)).toBe(true);
  expect(sound.length).toBeLessThan(found.length);
  await base('glaze').where({ id: glazes.Sleeper }).update({ decorative: true });
  await base('change').insert({ id: newId(), at: new Date(), what: 'glaze', row_id: glazes.Sleeper });
  const food = await entriesLike(base, { notDecorative: true }, null);
  expect(food.every(({ glazeIds }) => !glazeIds.includes(glazes.Sleeper))).toBe(true);
  expect(await entriesLike(base, { inStudio: true }, null)).toEqual([]);
});

describe('links for visitors', () => {
  test('the token is not in the database, and the same submit twice is one link', async () => {
    const { base, member } = studio;
    const link = draft();
    await addShare(base, member, link, TOKEN, 7);
    await addShare(base, member, link, TOKEN, 7);
    const rows = await base('share_link');
    expect(rows).toHaveLength(1);
    expect(JSON.stringify([rows, await base('change').where({ what: 'share_link' })])).not.toContain(TOKEN);
    expect(await shareBy(base, TOKEN)).toMatchObject({ id: link.id, name: 'Open day', names: false });
    expect(await shareBy(base, TOKEN.replace('x', 'y'))).toBeNull();
  });

  test('a link ends on its day, when it is ended, and can be given back', async () => {
    const { base, member } = studio;
    const { id } = (await listShares(base))[0]!;
    const inAWeek = new Date(Date.now() + 7 * 86_400_000 + 1000);
    expect(await shareBy(base, TOKEN, inAWeek)).toBeNull();
    await endShare(base, member, id, true);
    expect(await shareBy(base, TOKEN)).toBeNull();
    await endShare(base, member, id, false);
    expect(await shareBy(base, TOKEN)).not.toBeNull();
    await expect(endShare(base, member, newId(), true)).rejects.toThrow(NotFound);
  });

  test('only pictures of the wall are on the wall', async () => {
    const { base } = studio;
    const [first] = await wallChoices(base);
    const choice = { grounds: [first!.groundId], cone: '6', atmosphere: 'oxidation' as const };
    const [entry] = await wallEntries(base, choice);
    const [swatch, other] = ['s'.repeat(43), 'o'.repeat(43)];
    await base('zone')
      .where({ entry_id: entry!.id, ended_at: null })
      .limit(1)
      .update({ swatch_hash: swatch });
    expect(await isOnWall(base, choice, swatch)).toBe(true);
    expect(await isOnWall(base, choice, other)).toBe(false);
    expect(await isOnWall(base, { ...choice, cone: '10' }, swatch)).toBe(false);
    const fresh = await newestOnWall(base, choice, 3);
    expect(fresh.length).toBeGreaterThan(0);
    expect(new Set(fresh.map(({ headwordId }) => headwordId)).size).toBe(fresh.length);
  });
});

test('a visitor’s photo is of a piece that proves an entry of the wall, and only while both stand', async () => {
  const { base, member } = studio;
  const [first] = await wallChoices(base);
  const choice = { grounds: [first!.groundId], cone: '6', atmosphere: 'oxidation' as const };
  const [entry] = await wallEntries(base, choice);
  const onWall = (await base('zone').where({ entry_id: entry!.id, ended_at: null }).first('piece_id', 'id'))!;
  const [alone] = await savePieces(base, member, tile(studio), [newId()]);
  const photo = (piece_id: string, letter: string) => ({
    ...{ id: newId(), piece_id, hash: letter.repeat(43), width: 1, height: 1, frame: '{}' },
    ...{ member_id: member, at: new Date() },
  });
  const [shown, unfired] = [photo(onWall.piece_id, 'p'), photo(alone!.id, 'u')];
  await base('photo').insert([shown, unfired]);
  const isSeen = () => isOnWall(base, choice, shown.hash);
  expect(await isSeen()).toBe(true);
  // A piece that was never fired proves nothing, whatever glazes it has.
  expect(await isOnWall(base, choice, unfired.hash)).toBe(false);
  // The same piece is not on another atmosphere's wall, nor on another ground's.
  expect(await isOnWall(base, { ...choice, atmosphere: 'reduction' }, shown.hash)).toBe(false);
  expect(await isOnWall(base, { ...choice, grounds: [newId()] }, shown.hash)).toBe(false);
  await base('photo').where({ id: shown.id }).update({ ended_at: new Date() });
  expect(await isSeen()).toBe(false);
  await base('photo').where({ id: shown.id }).update({ ended_at: null });
  const zones = base('zone').where({ piece_id: onWall.piece_id }).whereNull('ended_at');
  const ids = await zones.clone().select('id');
  await zones.clone().update({ ended_at: new Date() });
  expect(await isSeen()).toBe(false);
  await base('zone')
    .whereIn(
      'id',
      ids.map(({ id }) => id),
    )
    .update({ ended_at: null });
  expect(await isSeen()).toBe(true);
});

test('walls are kept by name; a name kept again is the newer wall', async () => {
  const { base, member } = studio;
  const first = { id: newId(), name: 'Cone 6 electric', search: 'cone=6' };
  await keepWall(base, member, first);
  await keepWall(base, member, first);
  const second = { ...first, id: newId(), search: 'cone=6&order=colour' };
  await keepWall(base, member, second);
  expect(await listWalls(base)).toEqual([second]);
  await endWall(base, member, second.id, true);
  expect(await listWalls(base)).toEqual([]);
});

test('a wish counts as wanted and is answered by the first proof read after it', async () => {
  const { base, member, glazes } = studio;
  const wish = wishFor(glazes.Limewash, glazes.Whitestrip);
  const done = wishFor(glazes.Sleeper, glazes.Limewash, { note: 'for mugs' });
  const elsewhere = (more: Partial<RequestDraft>) => wishFor(glazes.Sleeper, glazes.Limewash, more);
  const others = [elsewhere({ cone: '10', atmosphere: 'reduction' }), elsewhere({ topTimes: 3 })];
  await addRequest(base, member, wish);
  await addRequest(base, member, wish);
  for (const asked of [done, ...others]) await addRequest(base, member, asked);
  expect(await listFailedLookups(base)).toContainEqual({ baseId: wish.baseId, topId: wish.topId, times: 1 });
  expect((await listRequests(base)).every(({ headwordId }) => headwordId === null)).toBe(true);
  const { firingId } = await fired(studio, [tile(studio)]);
  await readAll(studio, firingId);
  const answered = (await listRequests(base, member)).find(({ id }) => id === done.id)!;
  expect((await headwordPage(base, answered.headwordId!)).text).toBe('Limewash over Sleeper');
  expect(answered.result).toMatch(/^Gloss, .+ Defects: .+\. .+ pieces agree, 2 firings\.$/);
  // Another cone and other coats were asked for: this does not answer those.
  const waiting = (await listRequests(base, member)).filter(({ headwordId }) => headwordId === null);
  expect(waiting.map(({ facts }) => facts).sort()).toEqual(['', '3× over it', 'cone 10 reduction']);
  for (const { id } of others) await withdrawRequest(base, member, id);
  await expect(withdrawRequest(base, newId(), wish.id)).rejects.toThrow(NotFound);
  await withdrawRequest(base, member, wish.id);
  expect((await listRequests(base)).map(({ id }) => id)).toEqual([done.id]);
});

test('a note that somebody else wrote meanwhile is not written over unseen; corrections are settled once', async () => {
  const { base, member } = studio;
  const { id } = (await provedHeadwords(base))[0]!;
  const entryId = (await headwordPage(base, id)).senses[0]!.id;
  await saveTeacherNote(base, member, { entryId, text: 'Best on thin walls.', version: 1 });
  const late = saveTeacherNote(base, member, { entryId, text: 'Mine.', version: 1 });
  await expect(late).rejects.toThrow(Conflict);
  expect((await headwordPage(base, id)).senses[0]).toMatchObject({
    teacherNote: 'Best on thin walls.',
    noteVersion: 2,
  });
  const wrong = { id: newId(), entryId, text: 'This was brushed.' };
  await addCorrection(base, member, wrong);
  await addCorrection(base, member, wrong);
  await settleCorrection(base, member, wrong.id);
  await settleCorrection(base, member, wrong.id);
  expect(await correctionsOf(base, [entryId])).toMatchObject([{ text: wrong.text, settledBy: 'Ines Varga' }]);
});

test('pieces made after a model know it, and the model knows them', async () => {
  const { base, member } = studio;
  const [model] = await savePieces(base, member, tile(studio), [newId()]);
  const [made] = await savePieces(base, member, tile(studio), [newId()], { modelId: model!.id });
  expect((await piecePage(base, made!.id)).modelId).toBe(model!.id);
  expect((await piecePage(base, model!.id)).followers).toEqual([made]);
});

test('where the records stand moves with every write, also with one that commits late', async () => {
  const { base } = studio;
  const row = (id = newId()) => ({ id, at: new Date(), what: 'test', row_id: newId() });
  const write = (id?: string) => base('change').insert(row(id));
  const early = newId();
  await base('change').insert(Array.from({ length: 1200 }, () => row()));
  const seen = new Set([await currentRevision(base)]);
  await write();
  seen.add(await currentRevision(base));
  expect(seen.size).toBe(2);
  // Beyond a thousand later writes nothing is that late; within them it is seen.
  const [{ id }] = (await base('change').orderBy('id', 'desc').offset(500).limit(1).select('id')) as [
    { id: string },
  ];
  const between = `${id.slice(0, -1)}${id.endsWith('Z') ? 'Y' : 'Z'}`;
  await write(between);
  seen.add(await currentRevision(base));
  expect(seen.size).toBe(3);
  await write(early);
  expect(seen.has(await currentRevision(base))).toBe(true);
});

test('a wall that is kept shows a reading at once', async () => {
  const { base, member } = studio;
  const { groundId, cone, atmosphere } = (await wallChoices(base))[0]!;
  const choice = { grounds: [groundId], cone, atmosphere };
  const before = await wallNow(base, choice);
  expect(await wallNow(base, choice)).toBe(before);
  expect(unpacked(before.text)).toEqual(before.entries);
  const { firingId } = await fired(studio, [tile(studio)]);
  const [piece] = (await openingOf(base, firingId)).pieces;
  const readings = piece!.zones.map((zone) => reading(zone.id));
  await recordPiece(base, member, { pieceId: piece!.id, firingId, state: 'read', fate: 'keep', readings });
  const after = await wallNow(base, choice);
  const proofs = ({ entries }: typeof after) => entries.reduce((sum, entry) => sum + entry.proofs, 0);
  expect(proofs(after)).toBe(proofs(before) + 3);
});

test('a wall holds what is proved there, in the order asked for; a link shows its own wall or nothing', async () => {
  const { base } = studio;
  const wall = await wallOf(base, { order: 'name' });
  const names = wall.glazes.map(({ name }) => name);
  expect(names).toEqual([...names].sort());
  expect(names).toEqual(expect.arrayContaining(['Limewash', 'Sleeper']));
  const on = new Set(wall.entries.flatMap(({ baseId, topId }) => [baseId, topId]));
  expect(new Set(wall.glazes.map(({ id }) => id))).toEqual(on);
  expect(unpacked(wall.text)).toEqual(wall.entries);
  expect(wallWords(wall)).toBe(`Cone 6 oxidation, ${wall.grounds[0]!.name}`);
  // Nothing is proved in reduction: a member is shown another wall, a visitor none.
  const elsewhere = { cone: '10', atmosphere: 'reduction' };
  expect((await wallOf(base, elsewhere)).entries).toEqual(wall.entries);
  const visited = await wallOf(base, elsewhere, onlyWall);
  expect([visited.entries, visited.glazes, visited.choice.cone]).toEqual([[], [], '10']);
  const third = wall.glazes[0]!;
  const over = await wallOf(base, { third: third.id });
  expect(wallWords(over)).toContain(`${third.name} over both`);
});

test('what is kept until a write is calculated once for two who ask, again after a write, and not kept when it failed', async () => {
  const { base } = studio;
  let calculated = 0;
  let fails = false;
  const calculate = async (_: unknown, key: string) => {
    if (fails) throw new Error('no');
    return `${key} ${++calculated}`;
  };
  const kept = cachedUntilWrite(calculate, 2);
  const lagging = cachedUntilWrite(calculate, 2, () => true);
  const write = () => base('change').insert({ id: newId(), at: new Date(), what: 'test', row_id: newId() });
  expect(await Promise.all([kept(base, 'a'), kept(base, 'a')])).toEqual(['a 1', 'a 1']);
  expect(await lagging(base, 'b')).toBe('b 2');
  await write();
  expect(await lagging(base, 'b')).toBe('b 2');
  expect(await lagging(base, 'b')).toBe('b 3');
  expect(await kept(base, 'a')).toBe('a 4');
  await write();
  fails = true;
  await expect(kept(base, 'a')).rejects.toThrow('no');
  fails = false;
  expect(await kept(base, 'a')).toBe('a 5');
  // Writes that come faster than they are calculated do not pile calculations up.
  let ends: () => void = () => undefined;
  let begun = 0;
  const slow = cachedUntilWrite(
    async () => {
      if (++begun === 1) return 'first';
      await new Promise<void>((done) => (ends = done));
      return `later ${begun}`;
    },
    1,
    () => true,
  );
  expect(await slow(base, 's')).toBe('first');
  for (let i = 0; i < 3; i++) {
    await write();
    expect(await slow(base, 's')).toBe('first');
  }
  expect(begun).toBe(2);
  ends();
  await write();
  expect([await slow(base, 's'), begun]).toEqual(['later 2', 3]);
  ends();
  expect(await slow(base, 's')).toBe('later 3');
  // Two keys at a time: the one asked for longest ago is calculated again.
  await kept(base, 'c');
  await kept(base, 'd');
  expect(await kept(base, 'a')).toBe('a 8');
});
