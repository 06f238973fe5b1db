import {
  agreementOf,
  judgementOf,
  type GlazePlace,
  type JudgedZone,
  type Judgement,
  type Seen,
} from '@/core/evidence';
import type { Stack } from '@/core/coats';
import { hexOf } from '@/core/colour';
import type { Segment } from '@/core/firing';
import { PLAIN_SEVERITY, type JudgeCriterion } from '@/core/vocabulary';
import { versionsInUse } from '@/records/materials/glazes';
import { recordChange } from '@/records/platform/changes';
import { fromJson, inTransaction, type Db } from '@/records/platform/db';
import { Conflict, found } from '@/records/platform/errors';
import { rowsOf } from '@/records/platform/joins';
import { countedDefectsOf, latestLooks, proofRows, seenOf } from './entries';

/** What the records know of a glaze, and what teachers said of it. */
export interface JudgedGlaze extends Omit<Judgement, 'colours'> {
  /** "#rrggbb" on each clay at each cone and in each atmosphere, most pieces first. */
  readonly colours: readonly (Omit<Judgement['colours'][number], 'colour'> & { readonly hex: string })[];
  readonly said: readonly SaidOfGlaze[];
}

/** What somebody said of a glaze under one criterion. */
export interface SaidOfGlaze {
  readonly criterion: JudgeCriterion;
  readonly words: string;
  readonly by: string;
  readonly at: Date;
}

/**
 * What there is to judge a glaze by: the proofs that count in the dictionary, of recipe versions in use, by where the
 * glaze lies in them, and what was said of it.
 */
export async function judgedGlaze(base: Db, glazeId: string): Promise<JudgedGlaze> {
  const entries = await rowsOf<{ e: 'entry'; b: 'body' }>()(
    base('entry as e')
      .join('headword as h', 'h.id', 'e.headword_id')
      .join('ground as g', 'g.id', 'e.ground_id')
      .join('body as b', 'b.id', 'g.body_id')
      .whereNotNull('e.first_at')
      .whereRaw("json_search(h.layers, 'one', ?, null, '$[*].glaze') is not null", [glazeId]),
    ...(['e.id', 'e.stack', 'e.cone', 'e.atmosphere', 'b.name'] as const),
  );
  const ofEntry = new Map(
    entries.map((entry) => [entry.id, { ...entry, ...placeIn(fromJson<Stack>(entry.stack), glazeId) }]),
  );
  const { colours, ...known } = judgementOf(await judgedZones(base, ofEntry));
  return {
    ...known,
    colours: colours.map(({ colour, ...one }) => ({ ...one, hex: hexOf(colour) })),
    said: await saidOf(base, glazeId),
  };
}

type EntryOfGlaze = Pick<JudgedZone, 'places' | 'times'> & {
  readonly cone: JudgedZone['cone'];
  readonly atmosphere: JudgedZone['atmosphere'];
  readonly name: string;
};

async function judgedZones(base: Db, ofEntry: ReadonlyMap<string, EntryOfGlaze>): Promise<JudgedZone[]> {
  const rows = latestLooks(await proofRows(base, [...ofEntry.keys()]));
  const readingIds = rows.map(({ reading_id }) => reading_id);
  const [defects, inUse, breaks, held] = await Promise.all([
    countedDefectsOf(base, readingIds),
    versionsInUse(base),
    base('reading').whereIn('id', readingIds).whereNotNull('breaks').select('id', 'breaks'),
    holds(base, [...new Set(rows.map(({ firing_id }) => firing_id))]),
  ]);
  const versions = new Set(inUse.values());
  const broke = new Map(breaks.map((reading) => [reading.id, Boolean(reading.breaks)]));
  const counted = rows
    .map((row) => ({ row, seen: seenOf(row, defects.get(row.reading_id) ?? [], versions) }))
    .filter(({ seen }) => seen.counts);
  const differs = differing(counted.map(({ row, seen }) => [row.entry_id, seen]));
  return counted.map(({ row, seen }): JudgedZone => {
    const entry = ofEntry.get(row.entry_id)!;
    return {
      ...{ pieceId: row.piece_id, clay: entry.name, cone: entry.cone, atmosphere: entry.atmosphere },
      ...{ places: entry.places, times: entry.times },
      ...{ movement: row.movement, breaks: broke.get(row.reading_id) ?? null, colour: seen.colour },
      defects: seen.defects.flatMap(({ defect, severity }) => (severity >= PLAIN_SEVERITY ? defect : [])),
      differs: differs.get(row.zone_id) ?? null,
      isHeld: held.get(row.firing_id) ?? null,
    };
  });
}

/** Whether the piece of each zone differs from the others of its entry; zones that are not told of are left out. */
function differing(proofs: readonly (readonly [entryId: string, seen: Seen])[]): Map<string, boolean> {
  const byEntry = new Map<string, Seen[]>();
  for (const [entryId, seen] of proofs) byEntry.set(entryId, [...(byEntry.get(entryId) ?? []), seen]);
  return new Map(
    [...byEntry.values()].flatMap((all) => {
      const sum = agreementOf(all);
      return sum.proofs < 2
        ? []
        : all
            .filter(({ id }) => !sum.divided.includes(id))
            .map(({ id }) => [id, sum.differing.includes(id)] as const);
    }),
  );
}

/** Where a glaze lies in a stack, and how often it was put on there. */
function placeIn(stack: Stack, glazeId: string): { places: GlazePlace[]; times: number } {
  const own = stack.flatMap(({ glaze }, i) => (glaze === glazeId ? i : []));
  const isOther = ({ glaze }: Stack[number]) => glaze !== glazeId;
  const places: GlazePlace[] = [
    ...(stack.slice(0, own.at(-1)).some(isOther) ? (['over'] as const) : []),
    ...(stack.slice(own[0]).some(isOther) ? (['under'] as const) : []),
  ];
  const times = own.reduce((sum, i) => sum + stack[i]!.times, 0);
  return { places: places.length > 0 ? places : ['alone'], times };
}

/** Whether the programme of each firing holds at its top; firings without a programme are left out. */
async function holds(base: Db, firingIds: readonly string[]): Promise<Map<string, boolean>> {
  const rows = await base('firing')
    .whereIn('id', firingIds)
    .whereNotNull('segments')
    .select('id', 'segments');
  return new Map(
    rows.map(({ id, segments }) => {
      const all = fromJson<Segment[]>(segments);
      const top = Math.max(...all.map(({ target }) => target));
      return [id, all.some(({ target, hold }) => target === top && hold > 0)];
    }),
  );
}

async function saidOf(base: Db, glazeId: string): Promise<SaidOfGlaze[]> {
  const rows = await rowsOf<{ j: 'glaze_judgement'; m: 'member' }>()(
    base('glaze_judgement as j')
      .join('member as m', 'm.id', 'j.member_id')
      .where({ 'j.glaze_id': glazeId })
      .whereNot({ 'j.words': '' }),
    ...(['j.criterion', 'j.words', 'j.at', 'm.name'] as const),
  );
  return rows.map(({ name, ...said }) => ({ ...said, by: name }));
}

/**
 * Says something of a glaze under a criterion; no words take it back.
 *
 * @param from the words that stood there
 * @throws NotFound; Conflict with the words of now when somebody else said something meanwhile
 */
export async function judgeGlaze(
  base: Db,
  memberId: string,
  {
    glazeId,
    criterion,
    from,
    to,
  }: {
    readonly glazeId: string;
    readonly criterion: JudgeCriterion;
    readonly from: string;
    readonly to: string;
  },
): Promise<void> {
  await inTransaction(base, async (trx) => {
    found(await trx('glaze').where({ id: glazeId }).forUpdate().first('id'), 'This glaze');
    const of = { glaze_id: glazeId, criterion };
    const before = (await trx('glaze_judgement').where(of).first('words'))?.words ?? '';
    if (before === to) return;
    if (before !== from) throw new Conflict({ words: before }, 0);
    await trx('glaze_judgement')
      .insert({ ...of, words: to, member_id: memberId, at: new Date() })
      .onConflict(['glaze_id', 'criterion'])
      .merge();
    await recordChange(trx, memberId, 'judgement', glazeId, { [criterion]: before }, { [criterion]: to });
  });
}
