import {
  benjaminiHochberg,
  expectedByGlaze,
  ORDERS,
  steadyChance,
  watch,
  type Sample,
  type Watched,
} from '@/core/evidence';
import { groupedBy } from '@/core/rows';
import type { DefectId } from '@/core/vocabulary';
import { NOT_WANTED } from '@/records/dictionary/wanted';
import type { CaseSubject } from './caseSubject';
import type { Db } from '@/records/platform/db';
import { cachedUntilWrite } from '@/records/platform/cache';

/** A defect of one glaze, clay or kiln over its firings, or of a glaze over its batches. */
export interface Series {
  readonly defect: DefectId;
  readonly subject: Pick<CaseSubject, 'kind' | 'id' | 'words'>;
  /** What the samples are: firings, or batches of the glaze. */
  readonly by: 'firing' | 'batch';
  readonly watched: Watched;
  /** Batches that first went into a kiln where the rise begins. */
  readonly newBatches: readonly string[];
}

/** A series needs so many pieces with the defect and so many samples to be charted. */
const LEAST = { count: 4, samples: 4 } as const;
/** The share of false alarms among all rises that is put up with. */
const FALSE_ALARMS = 0.1;

/** Orders that are tried for a rise that is as rare as can be told, for each series that is looked at. */
const ORDERS_OF_A_SERIES = 20;

interface Row {
  readonly id: string;
  readonly words: string;
  readonly sample: string;
  readonly label: string;
  readonly pieces: number;
  /** Firings of these pieces, joined by commas. */
  readonly firings: string;
}

/** How zones are put in samples: whose they are, and the firing or batch. */
interface Grouping {
  readonly kind: 'glaze' | 'body' | 'kiln';
  readonly by: Series['by'];
  /** `id`, `words`, `sample`, `label` and the time `at` that orders the samples. */
  readonly columns: string;
  readonly joins: string;
}

const FIRING =
  "f.id as sample, concat(k.name, ' ', f.number) as label, coalesce(f.opened_at, f.planned_on) as at";
const GLAZE = 'join glaze gl on gl.id in (h.top_glaze_id, h.base_glaze_id)';

const GROUPINGS: readonly Grouping[] = [
  { kind: 'glaze', by: 'firing', columns: `gl.id, gl.name as words, ${FIRING}`, joins: GLAZE },
  {
    kind: 'body',
    by: 'firing',
    columns: `b.id, b.name as words, ${FIRING}`,
    joins: 'join body b on b.id = g.body_id',
  },
  { kind: 'kiln', by: 'firing', columns: `k.id, k.name as words, ${FIRING}`, joins: '' },
  {
    kind: 'glaze',
    by: 'batch',
    columns: 'gl.id, gl.name as words, bt.id as sample, bt.code as label, bt.mixed_on as at',
    joins: `${GLAZE} join coat c on c.piece_id = z.piece_id and c.glaze_id = gl.id and c.ended_at is null
      join batch bt on bt.id = c.batch_id`,
  },
];

/** What pieces are counted by beside their sample: their defect, the glaze on top. */
interface By {
  readonly defect?: boolean;
  readonly glaze?: boolean;
}

/** Pieces that were read, by sample, in order of time; those with a plain defect only, where they are counted by it. */
async function countPieces<T extends Row>(
  base: Db,
  { columns, joins }: Grouping,
  { defect: defects, glaze }: By,
): Promise<T[]> {
  const own = `${defects ? ', defect' : ''}${glaze ? ', top_glaze' : ''}`;
  const [rows] = (await base.raw(
    `select id, words, sample, min(label) as label${own},
        cast(count(distinct piece_id) as signed) as pieces, group_concat(distinct firing_id) as firings
      from (select ${columns}, z.piece_id, z.firing_id, coalesce(h.top_glaze_id, '') as top_glaze
          ${defects ? ', d.defect' : ''} from zone z
        join reading r on r.zone_id = z.id and r.ended_at is null and r.stage = 'after'
        join entry e on e.id = z.entry_id join headword h on h.id = e.headword_id join ground g on g.id = e.ground_id
        join firing f on f.id = z.firing_id join kiln k on k.id = f.kiln_id ${joins}
        ${defects ? `join piece p on p.id = z.piece_id join reading_defect d on d.reading_id = r.id and d.severity >= 2 and ${NOT_WANTED}` : ''}
        where z.ended_at is null) x
      group by id, words, sample${own} order by min(at), sample`,
  )) as [T[]];
  return rows;
}

/**
 * Every defect of every glaze, clay and kiln over time, rises first; rises that would be too many by chance
 * among all series that were looked at are taken back.
 *
 * @param random gives numbers in [0, 1)
 */
export async function watchAll(base: Db, random: () => number): Promise<Series[]> {
  const groups = await Promise.all(GROUPINGS.map((grouping) => chartsOf(base, grouping)));
  const charts = groups.flat();
  // A rise must stand out among all series: one as rare as can be told is told apart by more orders.
  const orders = Math.max(ORDERS, ORDERS_OF_A_SERIES * charts.length);
  const all = charts.map(({ samples, ...one }) => {
    const first = watch(samples, random);
    const isAtFloor = first.rise !== null && first.rise.chance <= 2 / ORDERS;
    return { ...one, watched: isAtFloor ? watch(samples, random, orders) : first };
  });
  const q = benjaminiHochberg(all.map(({ watched }) => watched.rise?.chance ?? 1));
  const sure = all.map((one, i) =>
    q[i]! <= FALSE_ALARMS ? one : { ...one, watched: { ...one.watched, rise: null } },
  );
  const withBatches = await Promise.all(
    sure.map(async (one) => ({ ...one, newBatches: await batchesFrom(base, one) })),
  );
  return withBatches.sort(
    (a, b) =>
      (a.watched.rise?.chance ?? 1) - (b.watched.rise?.chance ?? 1) ||
      (b.watched.usual.share ?? 0) - (a.watched.usual.share ?? 0),
  );
}

/**
 * The same, calculated once until something is written. A rise takes weeks: while it is calculated again, what was
 * known before answers.
 */
export async function watchNow(base: Db): Promise<Series[]> {
  return kept(base, '');
}

const kept = cachedUntilWrite(
  (base) => watchAll(base, steadyChance()),
  1,
  () => true,
);

/** A series before it is charted. */
interface Chart extends Pick<Series, 'defect' | 'subject' | 'by'> {
  readonly samples: readonly Sample[];
}

type DefectRow = Row & { readonly defect: DefectId };
type GlazeRow = Row & { readonly top_glaze: string };

/** Every defect of every subject of a grouping. A kiln and a clay are compared by the glazes that were in them. */
async function chartsOf(base: Db, grouping: Grouping): Promise<Chart[]> {
  const { kind, by } = grouping;
  const [totals, found] = await Promise.all([
    countPieces<Row>(base, grouping, {}),
    countPieces<DefectRow>(base, grouping, { defect: true }),
  ]);
  const expects = kind === 'glaze' ? null : await expectationsOf(base, grouping);
  const counts = new Map(found.map((row) => [`${row.id} ${row.sample} ${row.defect}`, row.pieces]));
  const shown = new Map(found.map((row) => [`${row.id} ${row.defect}`, row]));
  const ofSubject = groupedBy(totals, ({ id }) => id);
  return [...shown.values()].flatMap(({ id, words, defect }) => {
    const rows = ofSubject.get(id) ?? [];
    const expected = expects?.(rows, defect);
    const samples = rows.map(({ sample, label, pieces, firings }, i): Sample => ({
      id: sample,
      words: label,
      count: counts.get(`${id} ${sample} ${defect}`) ?? 0,
      of: pieces,
      firings: firings.split(','),
      ...(expected && { expected: expected[i]! }),
    }));
    const count = samples.reduce((sum, one) => sum + one.count, 0);
    if (count < LEAST.count || samples.length < LEAST.samples) return [];
    return [{ defect, subject: { kind, id, words }, by, samples }];
  });
}

/** How many pieces with a defect the glazes in each sample of a subject let expect. */
async function expectationsOf(base: Db, grouping: Grouping) {
  const [totals, found] = await Promise.all([
    countPieces<GlazeRow>(base, grouping, { glaze: true }),
    countPieces<GlazeRow & DefectRow>(base, grouping, { glaze: true, defect: true }),
  ]);
  const counts = new Map(
    found.map((row) => [`${row.id} ${row.sample} ${row.top_glaze} ${row.defect}`, row.pieces]),
  );
  const ofSample = groupedBy(totals, ({ id, sample }) => `${id} ${sample}`);
  return (rows: readonly Row[], defect: DefectId): number[] =>
    expectedByGlaze(
      rows.map(({ id, sample, pieces }) => ({
        of: pieces,
        glazes: (ofSample.get(`${id} ${sample}`) ?? []).map((row) => ({
          glaze: row.top_glaze,
          count: counts.get(`${id} ${sample} ${row.top_glaze} ${defect}`) ?? 0,
          of: row.pieces,
        })),
      })),
    );
}

/** Codes of a glaze's batches that came into use with the first firing after a rise. */
async function batchesFrom(
  base: Db,
  { subject: about, by, watched }: Omit<Series, 'newBatches'>,
): Promise<string[]> {
  if (!watched.rise || by === 'batch' || about.kind !== 'glaze') return [];
  const [before, since] = [
    watched.samples.slice(0, watched.rise.at).map(({ id }) => id),
    [watched.samples[watched.rise.at]!.id],
  ];
  const used = (firings: readonly string[]) =>
    base('coat as c')
      .join('firing_piece as fp', 'fp.piece_id', 'c.piece_id')
      .join('batch as b', 'b.id', 'c.batch_id')
      .where('c.glaze_id', about.id)
      .whereNull('c.ended_at')
      .whereIn('fp.firing_id', firings)
      .distinct('b.code')
      .pluck('b.code') as unknown as Promise<string[]>;
  const [old, now] = await Promise.all([used(before), used(since)]);
  return now.filter((code) => !old.includes(code));
}
