/**
 * npm run bench: what a save costs from submit to committed beside 200 000 generated
 * pieces, and the core's heavy work. Ratios hold within one run; absolute times are this machine's.
 */
import { performance } from 'node:perf_hooks';
import { random } from '../../demo/random';
import { analyse } from '../../src/core/chemistry';
import { naturalExperiments, type FiredZoneFacts } from '../../src/core/evidence';
import { heatWork } from '../../src/core/firing';
import { solveUnity, triaxialCells } from '../../src/core/recipe';
import { layOut, PLAIN_PUT } from '../../src/core/rounds';
import { newId } from '@/records/platform';
import { firingById, kilnById, logOf, importLog } from '@/records/firings';
import { fitTiles } from '@/records/materials';
import { openingOf, recordPiece } from '@/records/openings';
import { savePieces } from '@/records/pieces';
import { dip, fired, reading, tile, type Studio } from '../records/studio';
import { fillStudio } from './fill';
import { show, timed } from './timing';
import { largeStudio } from './large';

async function saves(facts: Awaited<ReturnType<typeof largeStudio>>): Promise<void> {
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

/** Natural experiments in 200 000 pieces of two zones each. */
function experiments(): void {
  const next = random('experiments');
  const any = <T>(list: readonly T[]): T => list[Math.floor(next() * list.length)]!;
  const glazes = Array.from({ length: 60 }, (_, i) => `glaze ${i}`);
  const firings = Array.from({ length: 2000 }, (_, i) => ({
    firing: `firing ${i}`,
    reached: any(['under', 'at', 'over'] as const),
    cooling: any(['free', 'slowed', 'held', null] as const),
    atmosphere: any(['oxidation', 'reduction']),
  }));
  const stacks = new Map<string, FiredZoneFacts['layers']>();
  const stackOf = (below: string | null, top: string, times: number) => {
    const key = `${below} ${top} ${times}`;
    const known = stacks.get(key) ?? [
      ...(below === null ? [] : [{ glaze: below, times: 1 }]),
      { glaze: top, times },
    ];
    stacks.set(key, known);
    return known;
  };
  const zones = Array.from({ length: 200_000 }, (_, i) => {
    const piece = {
      pieceId: `p${i}`,
      ...any(firings),
      kiln: 'Number Two',
      cone: '6',
      shelf: `shelf ${1 + (i % 4)}`,
      body: any(['white', 'buff', 'red']),
      slips: '',
      batches: any(['one', 'two']),
      dried: any([true, false]),
      clay: null,
      ...{ place: any(['outside', 'inside']), form: 'cup', texture: any([null, 'combed', 'smooth']) },
    };
    return [1, 2].map((times) => ({
      ...piece,
      layers: stackOf(next() < 0.5 ? null : any(glazes), any(glazes), times),
      hasDefect: next() < 0.1,
    }));
  }).flat();
  const start = performance.now();
  const found = naturalExperiments(zones);
  console.log(
    `natural experiments in ${zones.length} zones: ${((performance.now() - start) / 1000).toFixed(1)} s, ${found.length} looked at`,
  );
}

/** The chemistry on one core: recipes of eight lines, the solver, and a triaxial of 1891 cells. */
function chemistry(): void {
  const lines = [
    ...['Potash feldspar, typical', 'Silica', 'Whiting', 'Kaolin', 'Talc'].map((material) => ({
      material,
      amount: 17,
    })),
    { material: 'Calcium borosilicate frit, typical', amount: 15 },
    { material: 'Red iron oxide', amount: 3, addition: true },
    { material: 'Tin oxide', amount: 4, addition: true },
  ];
  const each = (times: number, work: () => unknown) => {
    for (let i = 0; i < times / 10; i++) work();
    const start = performance.now();
    for (let i = 0; i < times; i++) work();
    return (performance.now() - start) / times;
  };
  const { unity } = analyse(lines.slice(0, 6));
  const materials = lines.slice(0, 6).map((line) => line.material);
  const corners = [lines, lines.slice(0, 6), lines.slice(1)];
  console.log(`analyses of eight lines: ${Math.round(1000 / each(200_000, () => analyse(lines)))} a second`);
  console.log(`a recipe for a unity formula: ${each(300, () => solveUnity(unity, materials)).toFixed(2)} ms`);
  console.log(`a triaxial of 1891 cells: ${each(10, () => triaxialCells(corners, 61)).toFixed(0)} ms`);
}

/** A year of readings, one a minute, taken in and drawn: what a firing's page asks for. */
async function yearOfReadings(facts: Studio): Promise<void> {
  const { base, member, kilnId } = facts;
  const { firingId } = await fired(facts, []);
  const lines = Array.from({ length: 500_000 }, (_, i) => {
    const minute = i % 2880;
    const celsius = minute < 600 ? 20 + minute * 2 : 20 + 1200 * Math.exp(-(minute - 600) / 500);
    return { seq: i + 1, minutes: i, celsius, target: null, oxygen: null };
  });
  show(
    'take in 500 000 readings',
    await timed(1, () => importLog(base, member, { id: newId(), firingId, name: 'year' }, [lines])),
  );
  const [firing, kiln] = await Promise.all([firingById(base, firingId), kilnById(base, kilnId)]);
  let drawn = 0;
  show(
    'the log of 500 000 readings as it is drawn',
    await timed(5, async () => {
      drawn = (await logOf(base, firing, kiln, new Date())).sensors[0]!.length;
    }),
  );
  console.log(`drawn with ${drawn} points`);
}

/** Heat work of ten hours, a reading a minute. */
function heat(): void {
  const climb = Array.from({ length: 600 }, (_, minutes) => ({ minutes, celsius: 20 + minutes * 2 }));
  heatWork(climb);
  const start = performance.now();
  for (let i = 0; i < 20; i++) heatWork(climb);
  console.log(`heat work of 600 readings: ${((performance.now() - start) / 20).toFixed(1)} ms`);
}

/** A round of nearly a thousand cells laid out, recipes and all. */
function rounds(): void {
  const glazes = ['A', 'B', 'C'].map((id) => ({
    ...{ id, name: id, kind: 'glaze' as const, colour: '#777777' },
    lines: [
      { material: 'Soda feldspar', amount: 40 },
      { material: `Kaolin ${id}`, amount: 30 },
      { material: 'Silica', amount: 30 },
    ],
  }));
  const ask = {
    ...{ kind: 'triaxial' as const, glazes: ['A', 'B', 'C'], bodies: [], steps: 44, columns: 1, rows: 1 },
    ...{ singlesTwice: false, additions: [], down: 0, most: 1, tests: [] },
    ...{ alsoOn: [], textures: [], targets: [], below: [], put: PLAIN_PUT, putOver: PLAIN_PUT, above: [] },
    piece: { form: 'tile' as const, heightMm: 100, widthMm: 60 },
  };
  const start = performance.now();
  const laid = layOut(ask, glazes);
  const count = typeof laid === 'string' ? laid : laid.plan.cells.length;
  console.log(`a round of ${count} cells: ${(performance.now() - start).toFixed(1)} ms`);
}

async function main(): Promise<void> {
  heat();
  rounds();
  chemistry();
  experiments();
  const facts = await largeStudio('bench', 30);
  await yearOfReadings(facts);
  await saves(facts);
  const start = performance.now();
  await fillStudio(facts, facts.mixed, 200_000);
  console.log(`200 000 pieces generated in ${((performance.now() - start) / 1000).toFixed(0)} s`);
  show('the evidence of fit over all tiles', await timed(10, () => fitTiles(facts.base)));
  await saves(facts);
  await facts.base.destroy();
}

await main();
