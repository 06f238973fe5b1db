/**
 * npm run bench: what a save costs from submit to committed, and the wall on 200 000 generated pieces
 * against the bare SQL behind it. Ratios hold within one run; absolute times are this machine's.
 */
import { performance } from 'node:perf_hooks';
import { random } from '../../demo/random';
import { saveBody } from '../../src/records/bodies';
import { connect, newId, type Db } from '../../src/records/db';
import { addKiln, advanceFiring, loadPieces, saveFiring } from '../../src/records/firings';
import { listGlazes, saveGlaze } from '../../src/records/glazes';
import { addMember } from '../../src/records/members';
import { migrate } from '../../src/records/migrate';
import { openingOf } from '../../src/records/openings';
import { savePieces } from '../../src/records/pieces';
import { recordPiece } from '../../src/records/readings';
import { wallChoices, wallEntries, wallQuery } from '../../src/records/wall';
import { fillStudio } from './fill';

async function timed(
  runs: number,
  work: (i: number) => Promise<unknown>,
): Promise<{ median: number; p95: number }> {
  const times: number[] = [];
  for (let i = 0; i < runs; i++) {
    const start = performance.now();
    await work(i);
    times.push(performance.now() - start);
  }
  times.sort((a, b) => a - b);
  return { median: times[runs >> 1]!, p95: times[Math.floor(runs * 0.95)]! };
}

function show(name: string, { median, p95 }: { median: number; p95: number }): void {
  console.log(
    `${name.padEnd(56)} median ${median.toFixed(1).padStart(8)} ms   95 % ${p95.toFixed(1).padStart(8)} ms`,
  );
}

async function studio(base: Db) {
  const member = await addMember(base, {
    name: 'Bench',
    signIn: 'bench',
    password: 'only for measuring',
    role: 'technician',
  });
  const [bodyId, kilnId] = [newId(), newId()];
  const plain = {
    colourOxidation: '#eeeeee',
    colourReduction: '#dddddd',
    iron: 'none' as const,
    coarse: false,
    coneFrom: '5',
    coneTo: '7',
    shrinkage: null,
    absorption: null,
    expansion: null,
    note: '',
  };
  await saveBody(base, member, { id: bodyId, name: 'Bench clay', ...plain }, null);
  await addKiln(base, member, { id: kilnId, name: 'Bench kiln', heat: 'electric', litres: 100, shelves: 4 });
  for (let i = 0; i < 30; i++) {
    await saveGlaze(
      base,
      member,
      {
        id: newId(),
        name: `Glaze ${i}`,
        kind: 'glaze',
        colour: '#777777',
        surface: null,
        movement: null,
        opaque: true,
        advice: '',
        caution: '',
      },
      null,
    );
  }
  return { member, bodyId, kilnId, glazes: (await listGlazes(base)).map((glaze) => glaze.id) };
}

async function saves(
  base: Db,
  { member, bodyId, kilnId, glazes }: Awaited<ReturnType<typeof studio>>,
): Promise<void> {
  const next = random('bench');
  const coat = (from: number, to: number) => ({
    glazeId: glazes[Math.floor(next() * glazes.length)]!,
    batchId: null,
    method: 'dip' as const,
    times: 1,
    seconds: 3,
    side: 'outside' as const,
    from,
    to,
    dryBefore: null,
    wiped: false,
    firingId: null,
  });
  const ids = Array.from({ length: 200 }, () => newId());
  const draft = () => ({
    form: 'tile' as const,
    heightMm: 100,
    widthMm: 60,
    bodyId,
    split: false,
    note: '',
    coats: [coat(0, 0.66), coat(0.34, 1)],
  });
  show(
    'save a piece with two coats, submit to committed',
    await timed(200, (i) => savePieces(base, member, draft(), [ids[i]!])),
  );
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
  await loadPieces(
    base,
    member,
    firingId,
    ids.map((pieceId) => ({ pieceId, shelf: 1 })),
  );
  await advanceFiring(base, member, firingId, 'open');
  const { pieces } = await openingOf(base, firingId);
  show(
    'read three zones of a piece, submit to committed',
    await timed(pieces.length, (i) => {
      const readings = pieces[i]!.zones.map((zone) => ({
        id: newId(),
        zoneId: zone.id,
        follows: null,
        stage: 'after' as const,
        surface: 'gloss' as const,
        movement: 'stable' as const,
        colour: '#808080',
        note: '',
        defects: [],
      }));
      return recordPiece(base, member, {
        pieceId: pieces[i]!.id,
        firingId,
        state: 'read',
        fate: 'keep',
        readings,
      });
    }),
  );
}

async function wall(base: Db): Promise<void> {
  const [choice] = await wallChoices(base);
  const ask = { grounds: [choice!.groundId], cone: choice!.cone, atmosphere: choice!.atmosphere };
  const sql = wallQuery(base, ask).toQuery();
  const bare = await timed(60, () => base.raw(sql));
  const full = await timed(60, () => wallEntries(base, ask));
  console.log(`${(await wallEntries(base, ask)).length} entries on the wall`);
  show('the wall through records', full);
  show('its bare SQL', bare);
  console.log(`ratio ${(full.median / bare.median).toFixed(2)}`);
}

async function main(): Promise<void> {
  const base = connect(process.env.DATABASE_URL!);
  await migrate(base);
  const facts = await studio(base);
  await saves(base, facts);
  const start = performance.now();
  await fillStudio(base, facts, 200_000);
  console.log(`200 000 pieces generated in ${((performance.now() - start) / 1000).toFixed(0)} s`);
  await wall(base);
  await saves(base, facts);
  await base.destroy();
}

await main();
