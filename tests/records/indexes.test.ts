import type { Cone } from '@/core/vocabulary';
import { proofRows, wallCounts, wallQuery } from '@/records/dictionary';
import type { Db } from '@/records/platform';
import { fillStudio } from '../load/fill';
import { takeForgotten } from './watchWrites';
import { freshStudio, type Studio } from './studio';

let studio: Studio;
beforeAll(async () => {
  studio = await freshStudio('indexes');
  // So many glazes that no entry holds a large part of the zones: the plan must not hang on the sampling.
  await fillStudio(studio, Object.values(studio.glazes), 6000);
  // The bulk of a benchmark is nobody's doing.
  takeForgotten();
  await spreadEntries(studio.base);
});
afterAll(() => studio.base.destroy());

/** Copies entries to other cones, so that a wall is a small part of them. */
async function spreadEntries(base: Db): Promise<void> {
  const rows = await base('entry');
  const cones = ['1', '2', '3', '4', '5', '7', '8', '9', '10', '04', '05', '06'];
  const copies = cones.flatMap((cone, c) =>
    rows.flatMap((row) =>
      Array.from({ length: 3 }, (_, i) => ({
        ...row,
        stack: '[]',
        history: '[]',
        id: `${row.id.slice(0, 20)}${String(c * 1000 + i).padStart(6, '0')}`,
        key_hash: `${row.id}${cone}${i}`.padEnd(43, 'x').slice(-43),
        cone: cone as Cone,
        summary: null,
      })),
    ),
  );
  const unique = new Map(copies.map((row) => [row.id, row]));
  await base('entry')
    .insert([...unique.values()])
    .onConflict('key_hash')
    .ignore();
  const tables = ['entry', 'headword', 'zone', 'reading', 'firing', 'firing_piece', 'piece'];
  // Statistics that the server takes again in between would change the plans.
  for (const table of tables) await base.raw('alter table ?? stats_auto_recalc = 0', [table]);
  await base.raw(`analyze table ${tables.join(', ')}`);
}

/** Steps of a plan: table and index used. */
async function planOf(base: Db, query: { toQuery(): string }): Promise<Record<string, string | null>> {
  const [steps] = await base.raw(`explain ${query.toQuery()}`);
  return Object.fromEntries(
    steps.map((step: { table: string; key: string | null }) => [step.table, step.key]),
  );
}

test('the wall reads one range of the entry index, and a headword by its key', async () => {
  const { base } = studio;
  const ground = await base('ground').first('id');
  const plan = await planOf(
    base,
    wallQuery(base, { grounds: [ground!.id], cone: '6', atmosphere: 'oxidation' }),
  );
  expect(plan.e).toBe('entry_wall_index');
  const [[counts]] = await base.raw(`explain ${wallCounts(base).toQuery()}`);
  expect(counts).toMatchObject({ key: 'entry_wall_index', Extra: 'Using where; Using index' });
});

test('the proofs of an entry, a load, a list and a number are found by index', async () => {
  const { base } = studio;
  const entry = await base('entry').where('proofs', '>', 0).orderBy('proofs').first('id');
  const proofs = await planOf(base, proofRows(base, [entry!.id]));
  expect(proofs.z).toBe('zone_entry_id_ended_at_index');
  expect(proofs.r).toBe('reading_zone_id_ended_at_at_index');
  const firing = await base('firing').first('id');
  expect(
    (await planOf(base, base('firing_piece').where({ firing_id: firing!.id, state: 'loaded' }))).firing_piece,
  ).toMatch(/^firing_piece_firing_id|PRIMARY/);
  expect(
    (await planOf(base, base('piece').where({ stage: 'glazed' }).orderBy('number').limit(12))).piece,
  ).toBe('piece_stage_number_index');
  expect((await planOf(base, base('piece').where({ number: 77 }))).piece).toBe('piece_number_index');
  expect((await planOf(base, base('piece').orderBy('number', 'desc').limit(50))).piece).toBe(
    'piece_number_index',
  );
});
