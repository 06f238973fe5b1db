/**
 * npm run bench: what a save costs from submit to committed, and the wall on 200 000 generated pieces
 * against the bare SQL behind it. Ratios hold within one run; absolute times are this machine's.
 */
import { performance } from 'node:perf_hooks';
import { random } from '../../demo/random';
import { newId, type Db } from '../../src/records/db';
import { listGlazes, saveGlaze } from '../../src/records/glazes';
import { openingOf } from '../../src/records/openings';
import { savePieces } from '../../src/records/pieces';
import { recordPiece } from '../../src/records/readings';
import { wallChoices, wallEntries, wallQuery } from '../../src/records/wall';
import { dip, fired, freshStudio, reading, tile } from '../records/studio';
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

/** The small studio of the records tests with thirty glazes more. */
async function studio() {
  const facts = await freshStudio('bench');
  for (let i = 0; i < 30; i++) {
    await saveGlaze(
      facts.base,
      facts.member,
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
  const glazes = (await listGlazes(facts.base))
    .filter((glaze) => glaze.kind === 'glaze')
    .map((glaze) => glaze.id);
  return { ...facts, mixed: glazes };
}

async function saves(facts: Awaited<ReturnType<typeof studio>>): Promise<void> {
  const { base, member, mixed } = facts;
  const next = random('bench');
  const any = () => mixed[Math.floor(next() * mixed.length)]!;
  const draft = () => tile(facts, [dip(any(), 0, 0.66), dip(any(), 0.34, 1)]);
  show(
    'save a piece with two coats, submit to committed',
    await timed(200, () => savePieces(base, member, draft(), [newId()])),
  );
  const { firingId } = await fired(facts, Array.from({ length: 200 }, draft));
  const { pieces } = await openingOf(base, firingId);
  const read = (i: number) => {
    const readings = pieces[i]!.zones.map((zone) => reading(zone.id));
    return recordPiece(base, member, {
      pieceId: pieces[i]!.id,
      firingId,
      state: 'read',
      fate: 'keep',
      readings,
    });
  };
  show('read three zones of a piece, submit to committed', await timed(pieces.length, read));
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
  const facts = await studio();
  await saves(facts);
  const start = performance.now();
  await fillStudio(facts, facts.mixed, 200_000);
  console.log(`200 000 pieces generated in ${((performance.now() - start) / 1000).toFixed(0)} s`);
  await wall(facts.base);
  await saves(facts);
  await facts.base.destroy();
}

await main();
