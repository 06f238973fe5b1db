import {
  pieceCase,
  piecesWith,
  firedZones,
  studioRecord,
  addTry,
  caseById,
  changeCase,
  listCases,
  openCase,
  stacksOfOpenCases,
  findCaseSubject,
  watchAll,
} from '@/records/clinic';
import { naturalExperiments } from '@/core/evidence';
import { rank } from '@/core/clinic';
import { newId, Conflict, NotFound, Refusal } from '@/records/platform';
import { openingOf, recordPiece } from '@/records/openings';
import { piecePage, type PieceDraft } from '@/records/pieces';
import { random } from '../../demo/random';
import { dip, fired, freshStudio, reading, tile, type Studio } from './studio';

let studio: Studio;
beforeAll(async () => {
  studio = await freshStudio('clinic');
});
afterAll(() => studio.base.destroy());

const pits = [{ defect: 'pitting' as const, severity: 2 as const, place: 'thick' as const }];

test('a glaze that pits only where thick is found with its numbers, and its piece tells what is known', async () => {
  const { base, member, glazes } = studio;
  const drafts = Array.from({ length: 6 }, () =>
    tile(studio, [dip(glazes.Sleeper, 0.1, 1), dip(glazes.Sleeper, 0.5, 1)]),
  );
  const { firingId } = await fired(studio, drafts);
  const { pieces } = await openingOf(base, firingId);
  for (const piece of pieces) {
    const readings = piece.zones.map((zone) =>
      reading(zone.id, { defects: zone.stack[0]?.times === 2 ? pits : [] }),
    );
    await recordPiece(base, member, { pieceId: piece.id, firingId, state: 'read', fate: 'keep', readings });
  }
  const record = await studioRecord(base, 'pitting');
  const [first] = record.experiments;
  expect(record.experiments).toEqual(naturalExperiments(await firedZones(base, 'pitting')));
  expect(await studioRecord(base, 'pitting')).toBe(record);
  expect(first).toMatchObject({
    factor: 'coats',
    about: 'Sleeper',
    levels: ['twice', 'once'],
    table: [
      [6, 0],
      [0, 6],
    ],
  });
  const { label } = pieces[0]!;
  const found = await pieceCase(base, label, 'pitting');
  expect(found.headwords).toEqual(['Sleeper']);
  expect(found.evidence).toMatchObject({
    coats: 2,
    onlyWhereThick: true,
    location: 'thick',
    pattern: 'twins-agree',
    targetCone: '6',
    bodyIron: 'high',
    bodyCoarse: true,
    bodyMaxCone: '6',
    appearsLate: false,
  });
  expect(rank('pitting', found.evidence).causes[0]!.cause.id).toBe('glaze-too-thick');
  expect((await piecesWith(base, 'pitting')).map((piece) => piece.headword)).toEqual(
    Array.from({ length: 6 }, () => 'Sleeper'),
  );
  const [proof] = await piecesWith(base, 'pitting');
  const shown = (await piecePage(base, proof!.label)).firings[0]!.zones.filter((zone) =>
    zone.readings.some(({ defects }) => defects.some((one) => one.defect === 'pitting')),
  );
  expect(proof!.zones).toEqual(shown.map(({ area, side, from, to }) => ({ area, side, from, to })));
  // Nobody has marked crazing on it: firing, clay and twins speak all the same.
  const unmarked = await pieceCase(base, label, 'crazing');
  expect(unmarked).toMatchObject({ isMarked: false, evidence: { targetCone: '6', bodyCoarse: true } });
  expect(unmarked.evidence.location).toBeUndefined();
  await expect(pieceCase(base, 'SW-9999', 'crazing')).rejects.toThrow(NotFound);
});

test('how the firing came out and what the slip went onto is known of every zone, and answers the question', async () => {
  const { base, member, glazes } = studio;
  const slipped = (clay: 'dry' | 'leather-hard' | null) =>
    tile(studio, [
      dip(glazes.Whitestrip, 0, 1, { clay }),
      dip(glazes.Sleeper, 0, 1, { dryBefore: true }),
      dip(glazes.Limewash, 0.1, 0.9, { dryBefore: clay === null ? null : clay === 'leather-hard' }),
    ]);
  const { firingId } = await fired(studio, [slipped('dry'), slipped('leather-hard'), slipped(null)]);
  const segments = [
    { rate: 100, target: 1200, hold: 10 },
    { rate: 80, target: 1000, hold: 0 },
  ];
  await base('firing')
    .where({ id: firingId })
    .update({ achieved_cone: 5.2, segments: JSON.stringify(segments) });
  const { pieces } = await openingOf(base, firingId);
  const lifts = [{ defect: 'slip-lifting' as const, severity: 2 as const, place: 'everywhere' as const }];
  for (const [i, piece] of pieces.entries()) {
    const readings = piece.zones.map((zone) => reading(zone.id, { defects: i === 0 ? lifts : [] }));
    await recordPiece(base, member, { pieceId: piece.id, firingId, state: 'read', fate: 'keep', readings });
  }
  const zones = (await firedZones(base, 'slip-lifting')).filter(({ slips }) => slips === 'Whitestrip');
  const told = pieces.map(({ id }) => {
    const own = zones.filter(({ pieceId, layers }) => pieceId === id && layers.length === 2);
    return own.map(({ reached, cooling, dried, clay, hasDefect }) => [
      reached,
      cooling,
      dried,
      clay,
      hasDefect,
    ]);
  });
  expect(told).toEqual([
    [['under', 'slowed', false, 'dry', true]],
    [['under', 'slowed', true, 'leather-hard', false]],
    [['under', 'slowed', null, null, false]],
  ]);
  const { evidence } = await pieceCase(base, pieces[0]!.label, 'slip-lifting');
  expect(evidence).toMatchObject({ slipAppliedTo: 'dry' });
  expect(rank('slip-lifting', evidence).causes[0]!.cause.id).toBe('slip-on-dry-clay');
});

test('the other order and each glaze alone are looked up on the same ground', async () => {
  const { base, member, glazes } = studio;
  const over = (low: string, high: string) => tile(studio, [dip(low, 0, 0.6), dip(high, 0.4, 1)]);
  const read = async (drafts: readonly PieceDraft[], bad: string) => {
    const { firingId } = await fired(studio, drafts);
    const { pieces } = await openingOf(base, firingId);
    for (const piece of pieces) {
      const readings = piece.zones.map((zone) =>
        reading(zone.id, {
          defects: zone.headword === bad ? [{ defect: 'blistering', severity: 3, place: 'overlap' }] : [],
        }),
      );
      await recordPiece(base, member, { pieceId: piece.id, firingId, state: 'read', fate: 'keep', readings });
    }
    return pieces[0]!.label;
  };
  const label = await read(
    [
      over(glazes.Sleeper, glazes.Limewash),
      over(glazes.Limewash, glazes.Sleeper),
      over(glazes.Limewash, glazes.Sleeper),
    ],
    'Limewash over Sleeper',
  );
  const { evidence } = await pieceCase(base, label, 'blistering');
  expect(evidence).toMatchObject({ otherOrderClean: true, onlyInOverlap: true });
  expect(rank('blistering', evidence)).toMatchObject({
    enough: true,
    causes: [{ cause: { id: 'incompatible-layer' } }, {}, {}, {}, {}, {}, {}, {}],
  });
  // Where Limewash alone blisters too, it is not the pair; and a case about Sleeper does not look at Limewash.
  await read(
    [tile(studio, [dip(glazes.Limewash, 0, 1)]), tile(studio, [dip(glazes.Limewash, 0, 1)])],
    'Limewash',
  );
  const then = (await pieceCase(base, label, 'blistering')).evidence;
  expect(then).toMatchObject({ otherOrderClean: true, aloneToo: true });
  const against = rank('blistering', then).causes.find(
    ({ cause }) => cause.id === 'incompatible-layer',
  )!.against;
  expect(against.map(({ finding }) => finding)).toContain('alone-too');
  const about = { kind: 'headword' as const, id: 'none' };
  expect((await pieceCase(base, label, 'blistering', about)).isMarked).toBe(false);
});

test('a case is numbered once, told, tried and closed with what helped; two people are told', async () => {
  const { base, member, glazes } = studio;
  const [piece] = await piecesWith(base, 'pitting');
  const { id: pieceId } = (await piecePage(base, piece!.label)) as { id: string };
  const id = newId();
  const draft = { id, defect: 'pitting' as const, pieceId, subject: null, answers: 'needle.1' };
  const numbers = await Promise.all([openCase(base, member, draft), openCase(base, member, draft)]);
  expect(numbers).toEqual([1, 1]);
  expect(await openCase(base, member, { ...draft, id: newId(), pieceId: null })).toBe(2);
  expect(await stacksOfOpenCases(base)).toEqual([[glazes.Sleeper]]);
  const tried = { id: newId(), caseId: id, act: 'one dip', worked: 'yes' as const, roundId: null };
  await addTry(base, member, tried);
  await addTry(base, member, tried);
  await changeCase(base, member, { id, version: 1, answers: 'needle.1,only-thick.0' });
  await expect(changeCase(base, member, { id, version: 1, answers: '' })).rejects.toThrow(Conflict);
  const closed = { cause: 'glaze-too-thick' as const, causeWords: null, helped: 'one dip only' };
  await changeCase(base, member, { id, version: 2, closed });
  expect(await caseById(base, id)).toMatchObject({ ...closed, version: 3, tries: [{ act: 'one dip' }] });
  expect((await listCases(base, { open: true })).map((one) => one.number)).toEqual([2]);
  expect(await stacksOfOpenCases(base)).toEqual([]);
  await expect(addTry(base, member, { ...tried, id: newId() })).rejects.toThrow(Refusal);
  await changeCase(base, member, { id, version: 3, reopened: true });
  expect((await caseById(base, id)).closedAt).toBeNull();
});

test('a defect that comes in with a firing is on the rise since then, and its firing can be asked about', async () => {
  const { base, member, glazes } = studio;
  let last = '';
  for (let n = 0; n < 8; n++) {
    const { firingId } = await fired(
      studio,
      Array.from({ length: 6 }, () => tile(studio, [dip(glazes.Limewash, 0, 1)])),
    );
    const { pieces } = await openingOf(base, firingId);
    for (const piece of pieces) {
      const readings = piece.zones.map((zone) =>
        reading(zone.id, {
          defects:
            n > 4 ? [{ defect: 'crawling' as const, severity: 2 as const, place: 'rim' as const }] : [],
        }),
      );
      await recordPiece(base, member, { pieceId: piece.id, firingId, state: 'read', fate: 'keep', readings });
    }
    last = firingId;
  }
  const rising = (await watchAll(base, random('watch'))).filter(({ watched }) => watched.rise);
  const glaze = rising.find(
    ({ subject: about, defect }) => about.id === glazes.Limewash && defect === 'crawling',
  )!;
  expect(glaze.watched.rise!.after).toMatchObject({ count: 18, of: 18 });
  expect(glaze.watched.rise!.before.count).toBe(0);
  const about = await findCaseSubject(base, `firing.${last}`);
  expect(about).toMatchObject({ kind: 'firing', href: `/firings/${last}/summary` });
  expect(await piecesWith(base, 'crawling', about)).toHaveLength(6);
  expect(await piecesWith(base, 'pitting', about)).toEqual([]);
  expect(await findCaseSubject(base, `nothing.${last}`)).toBeNull();
});
