import { connect, newId } from '@/records/db';
import { migrate, unmigrate } from '@/records/migrate';
import { addMember } from '@/records/members';
import { saveBody } from '@/records/bodies';
import { listGlazes, saveGlaze } from '@/records/glazes';
import { addKiln, advanceFiring, loadPieces, saveFiring } from '@/records/firings';
import { openingOf } from '@/records/openings';
import { piecePage } from '@/records/piecePages';
import { correctPiece, savePieces, type PieceDraft } from '@/records/pieces';
import { recordPiece } from '@/records/readings';
import { wallEntries } from '@/records/wall';
import { Conflict } from '@/records/faults';

const base = connect(process.env.DATABASE_URL!);
let member = '';
const [bodyId, sleeper, limewash, kilnId] = [newId(), newId(), newId(), newId()];

beforeAll(async () => {
  await migrate(base);
  await unmigrate(base);
  await migrate(base);
  member = await addMember(base, {
    name: 'A Technician',
    signIn: 'tech',
    password: 'a long password',
    role: 'technician',
  });
  await saveBody(
    base,
    member,
    {
      id: bodyId,
      name: 'White',
      colourOxidation: '#ffffff',
      colourReduction: '#eeeeee',
      iron: 'none',
      coarse: false,
      coneFrom: '5',
      coneTo: '7',
      shrinkage: null,
      absorption: null,
      expansion: null,
      note: '',
    },
    null,
  );
  for (const [id, name] of [
    [sleeper, 'Sleeper'],
    [limewash, 'Limewash'],
  ] as const) {
    await saveGlaze(
      base,
      member,
      {
        id,
        name,
        kind: 'glaze',
        colour: '#333333',
        surface: null,
        movement: null,
        opaque: true,
        advice: '',
        caution: '',
      },
      null,
    );
  }
  await addKiln(base, member, { id: kilnId, name: 'Two', heat: 'electric', litres: 100, shelves: 3 });
});
afterAll(() => base.destroy());

const coat = (glazeId: string, from: number, to: number): PieceDraft['coats'][number] => ({
  glazeId,
  batchId: null,
  method: 'dip',
  times: 1,
  seconds: 3,
  side: 'outside',
  from,
  to,
  dryBefore: null,
  wiped: false,
  firingId: null,
});
const draft = (): PieceDraft => ({
  form: 'tile',
  heightMm: 100,
  widthMm: 60,
  bodyId,
  split: false,
  note: '',
  coats: [coat(sleeper, 0, 0.66), coat(limewash, 0.34, 1)],
});

test('numbers are never given twice, also with twenty people saving at once, and a repeated submit is the same piece', async () => {
  const ids = Array.from({ length: 20 }, () => newId());
  const saved = (await Promise.all(ids.map((id) => savePieces(base, member, draft(), [id])))).flat();
  expect(new Set(saved.map((piece) => piece.label)).size).toBe(20);
  expect(await savePieces(base, member, draft(), [ids[0]!])).toEqual([saved[0]]);
});

test('a piece goes from bucket to wall, and two people reading one zone are told', async () => {
  const [{ id, label }] = (await savePieces(base, member, draft(), [newId()])) as [
    { id: string; label: string },
  ];
  const firingId = newId();
  await saveFiring(
    base,
    member,
    {
      id: firingId,
      kilnId,
      kind: 'glaze',
      cone: '6',
      atmosphere: 'oxidation',
      plannedOn: '2026-01-05',
      programme: '',
      remarks: '',
    },
    null,
  );
  await loadPieces(base, member, firingId, [{ pieceId: id, shelf: 2 }]);
  await advanceFiring(base, member, firingId, 'open');
  const { pieces } = await openingOf(base, firingId);
  const zones = pieces[0]!.zones;
  expect(zones.map((zone) => zone.headword)).toEqual(['Sleeper', 'Limewash over Sleeper', 'Limewash']);
  const reading = (zoneId: string) => ({
    id: newId(),
    zoneId,
    follows: null,
    stage: 'after' as const,
    surface: 'satin' as const,
    movement: 'stable' as const,
    colour: '#cccccc',
    note: '',
    defects: [{ defect: 'pinholing' as const, severity: 2 as const, place: 'overlap' as const }],
  });
  const said = {
    pieceId: id,
    firingId,
    state: 'read' as const,
    fate: 'keep' as const,
    readings: [reading(zones[1]!.id)],
  };
  await recordPiece(base, member, said);
  await recordPiece(base, member, said);
  await expect(recordPiece(base, member, { ...said, readings: [reading(zones[1]!.id)] })).rejects.toThrow(
    Conflict,
  );
  const ground = await base('ground').first('id');
  const choice = { grounds: [ground.id], cone: '6', atmosphere: 'oxidation' as const };
  expect(await wallEntries(base, choice)).toMatchObject([
    { baseId: sleeper, topId: limewash, proofs: 1, agreeing: 1, worstDefect: 'pinholing', worstSeverity: 2 },
  ]);
  const page = await piecePage(base, label);
  await correctPiece(base, member, id, page.version, {
    ...draft(),
    coats: page.coats.map((one) => ({ ...one, times: 2 })),
  });
  const after = await piecePage(base, label);
  expect(after.firings[0]!.zones[1]!.readings.filter((one) => !one.ended)).toHaveLength(1);
  expect(after.firings[0]!.zones[1]!.stack.map((layer) => layer.times)).toEqual([2, 2]);
  expect(await wallEntries(base, choice)).toMatchObject([{ baseTimes: 2, proofs: 1 }]);
  await expect(correctPiece(base, member, id, page.version, draft())).rejects.toThrow(Conflict);
});

test('glazes are listed with their newest version', async () => {
  expect((await listGlazes(base)).map((glaze) => [glaze.name, glaze.versionNumber])).toEqual([
    ['Sleeper', 1],
    ['Limewash', 1],
  ]);
});
