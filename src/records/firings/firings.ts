import type { FiringRow } from '@/records/platform/tables';
import { type Mapping, day, json, readRow } from '@/records/platform/mapping';
import type { Knex } from 'knex';
import {
  type Atmosphere,
  type AtmosphereReached,
  type Fullness,
  FIRING_STATES,
  type FiringKind,
  type FiringState,
  type Cone,
  type Heat,
  isCone,
} from '@/core/vocabulary';
import type { Segment } from '@/core/firing';
import { recordChange } from '@/records/platform/changes';
import { inTransaction, type Db } from '@/records/platform/db';
import { refreshEntries } from '@/records/dictionary/entries';
import { NotFound, Refusal, found } from '@/records/platform/errors';
import { updateRow, insertRow } from '@/records/platform/write';
import type { ShelfSpot } from './loads';
import { createZones, rebuildZones } from '@/records/pieces/zones';

export interface FiringDraft {
  readonly id: string;
  readonly kilnId: string;
  readonly kind: FiringKind;
  /** Where it goes: a cone, or the way of a firing without one. */
  readonly cone: Heat;
  /** Of a firing without a cone, the temperature that it goes to, °C; null for one that is judged by eye. */
  readonly toCelsius?: number | null;
  readonly atmosphere: Atmosphere;
  /** Day it is planned for, "YYYY-MM-DD". */
  readonly plannedOn: string;
  /** When it is to start, "HH:MM" in the studio's time. */
  readonly startsAt: string;
  /** The saved programme it follows, and its steps as they were then; none when it is fired by hand. */
  readonly programmeId: string | null;
  readonly segments: readonly Segment[] | null;
  /** The programme or speed in words. */
  readonly programme: string;
  readonly remarks: string;
}

export interface Firing extends FiringDraft {
  readonly toCelsius: number | null;
  readonly number: number;
  readonly kilnName: string;
  readonly state: FiringState;
  /** Cone index the witness cones show, with its interval. */
  readonly achievedCone: number | null;
  readonly achievedLow: number | null;
  readonly achievedHigh: number | null;
  /** The cone it is filed under when it came to another than planned; its own when that was decided; null until asked. */
  readonly filedCone: Cone | null;
  /** What the atmosphere came to; null when nobody said. */
  readonly atmosphereReached: AtmosphereReached | null;
  /** How full the kiln was; null when nobody said. */
  readonly fullness: Fullness | null;
  /** Cone index the log comes to. */
  readonly loggedCone: number | null;
  readonly startedAt: Date | null;
  readonly endedAt: Date | null;
  readonly openedAt: Date | null;
  readonly closedAt: Date | null;
  readonly pieces: number;
  readonly waiting: number;
  readonly version: number;
}

/** Some firings with their kilns and what is in them. */
function firingRows(base: Db, some: Knex.QueryBuilder) {
  // Counted firing by firing: a studio has far more pieces than any list has firings.
  const inIt = () => base('firing_piece').whereRaw('firing_piece.firing_id = f.id').count('*');
  return base(some.as('f'))
    .join('kiln as k', 'k.id', 'f.kiln_id')
    .select(
      'f.*',
      'k.name as kiln_name',
      inIt().as('pieces'),
      inIt().where({ state: 'loaded' }).as('waiting'),
    ) as Knex.QueryBuilder<FiringWithCounts, FiringWithCounts[]>;
}

const FIRING: Mapping<Omit<Firing, 'kilnName' | 'pieces' | 'waiting'>, FiringRow> = {
  id: 'id',
  kilnId: 'kiln_id',
  number: 'number',
  kind: 'kind',
  cone: 'cone',
  toCelsius: 'to_celsius',
  atmosphere: 'atmosphere',
  plannedOn: day('planned_on'),
  startsAt: 'starts_at',
  programmeId: 'programme_id',
  segments: json<readonly Segment[] | null>()('segments'),
  programme: 'programme',
  remarks: 'remarks',
  state: 'state',
  achievedCone: 'achieved_cone',
  achievedLow: 'achieved_low',
  achievedHigh: 'achieved_high',
  loggedCone: 'logged_cone',
  filedCone: 'filed_cone',
  atmosphereReached: 'atmosphere_reached',
  fullness: 'fullness',
  startedAt: 'started_at',
  endedAt: 'ended_at',
  openedAt: 'opened_at',
  closedAt: 'closed_at',
  version: 'version',
};

type FiringWithCounts = FiringRow & {
  readonly kiln_name: string;
  readonly pieces: number | string;
  readonly waiting: number | string;
};

function firingOf(row: FiringWithCounts): Firing {
  return {
    ...readRow(FIRING, row),
    kilnName: row.kiln_name,
    pieces: Number(row.pieces),
    waiting: Number(row.waiting),
  };
}

/** Firings, newest first; `states` narrows them. */
export async function listFirings(
  base: Db,
  { states, kilnId, limit = 60 }: { states?: readonly FiringState[]; kilnId?: string; limit?: number } = {},
) {
  const newest = [
    { column: 'planned_on', order: 'desc' },
    { column: 'number', order: 'desc' },
  ];
  const some = base('firing').orderBy(newest).limit(limit);
  if (states) void some.whereIn('state', states);
  if (kilnId) void some.where('kiln_id', kilnId);
  return (await firingRows(base, some).orderBy(newest)).map(firingOf);
}

/** One firing. @throws NotFound */
export async function firingById(base: Db, id: string): Promise<Firing> {
  const row = await firingRows(base, base('firing').where({ id })).first();
  if (!row) throw new NotFound('This firing');
  return firingOf(row);
}

/** Plans a firing, or changes what was planned. The kiln counts its own firings. */
export async function saveFiring(
  base: Db,
  memberId: string,
  asked: FiringDraft,
  version: number | null,
): Promise<void> {
  const draft = { ...asked, toCelsius: isCone(asked.cone) ? null : (asked.toCelsius ?? null) };
  await inTransaction(base, async (trx) => {
    if (version !== null) {
      const before = await trx('firing').where({ id: draft.id }).first('cone');
      const more = before?.cone === draft.cone ? {} : { filed_cone: null };
      await updateRow(trx, memberId, 'firing', FIRING, { ...draft, version }, more);
      return relayFiring(trx, draft.id);
    }
    const kiln = await trx('kiln').where({ id: draft.kilnId }).forUpdate().first('id');
    if (!kiln) throw new Refusal('kilnId', 'Choose a kiln.');
    if (await trx('firing').where({ id: draft.id }).first('id')) return;
    const [{ last }] = (await trx('firing').where({ kiln_id: draft.kilnId }).max('number as last')) as [
      { last: number | null },
    ];
    const number = (last ?? 0) + 1;
    await insertRow(trx, memberId, 'firing', FIRING, { ...draft, number, state: 'loading' });
  });
}

/** Lays the zones of all pieces of a firing again: its cone or atmosphere may have been corrected. */
export async function relayFiring(trx: Db, firingId: string): Promise<void> {
  const loaded = await trx('firing_piece')
    .where({ firing_id: firingId })
    .orderBy('piece_id')
    .select('piece_id');
  for (const { piece_id } of loaded) await rebuildZones(trx, piece_id);
}

/**
 * Puts pieces into a firing that is being loaded. Coats that were not fired yet go in with their piece, and
 * its zones are laid. A piece that is in it already stays where it is.
 */
export async function loadPieces(
  base: Db,
  memberId: string,
  firingId: string,
  places: readonly ({ readonly pieceId: string; readonly shelf: number } & Partial<ShelfSpot>)[],
): Promise<void> {
  await inTransaction(base, async (trx) => {
    await lockWhile(trx, firingId, ['loading']);
    for (const { pieceId, ...spot } of places) {
      const piece = await trx('piece').where({ id: pieceId }).forUpdate().first('stage', 'label', 'version');
      if (!piece) throw new NotFound('This piece');
      if (await trx('firing_piece').where({ firing_id: firingId, piece_id: pieceId }).first()) continue;
      if (piece.stage === 'loaded')
        throw new Refusal('pieces', `${piece.label} is already in another firing.`);
      await putIn(trx, firingId, pieceId, spot, 'loaded');
    }
    await recordChange(trx, memberId, 'load', firingId, null, places);
  });
}

/** Puts a piece into a firing, last in its order, with the coats that have not been fired. */
export async function putIn(
  trx: Db,
  firingId: string,
  pieceId: string,
  { shelf, x, y, cookie }: { readonly shelf: number } & Partial<ShelfSpot>,
  stage: 'loaded' | 'fired',
): Promise<void> {
  const [{ last }] = (await trx('firing_piece').where({ firing_id: firingId }).max('place as last')) as [
    { last: number | null },
  ];
  await trx('firing_piece').insert({
    ...{ firing_id: firingId, piece_id: pieceId, shelf, place: (last ?? 0) + 1 },
    ...{ x_mm: x ?? null, y_mm: y ?? null, cookie: cookie ?? false, state: 'loaded', at: new Date() },
  });
  await trx('coat')
    .where({ piece_id: pieceId, ended_at: null, firing_id: null })
    .update({ firing_id: firingId });
  await trx('piece').where({ id: pieceId }).update({ stage, fate: null });
  await createZones(trx, pieceId, firingId);
}

/** Takes a piece out of a firing that is still being loaded. */
export async function unloadPiece(
  base: Db,
  memberId: string,
  firingId: string,
  pieceId: string,
): Promise<void> {
  await inTransaction(base, async (trx) => {
    await lockWhile(trx, firingId, ['loading']);
    const read = await trx('reading').where({ firing_id: firingId, piece_id: pieceId }).first('id');
    if (read) throw new Refusal('pieces', 'Something was already written about this piece in this firing.');
    await trx('firing_piece').where({ firing_id: firingId, piece_id: pieceId }).delete();
    await trx('zone').where({ firing_id: firingId, piece_id: pieceId }).delete();
    const back = await trx('coat')
      .where({ firing_id: firingId, piece_id: pieceId, ended_at: null })
      .update({ firing_id: null });
    const before = await trx('firing_piece').where({ piece_id: pieceId }).first('firing_id');
    await trx('piece')
      .where({ id: pieceId })
      .update({ stage: back ? 'glazed' : before ? 'read' : 'made' });
    await recordChange(trx, memberId, 'load', firingId, { pieceId }, null);
  });
}

/** Locks a firing. @throws Refusal of `state` when it is not in one of these; NotFound */
export async function lockWhile(trx: Db, firingId: string, states: readonly FiringState[]) {
  const row = await trx('firing').where({ id: firingId }).forUpdate().first('state', 'version');
  if (!row) throw new NotFound('This firing');
  if (!states.includes(row.state))
    throw new Refusal('state', `This firing is ${row.state}, not ${states.join(' or ')}.`);
  return row as { state: FiringState; version: number };
}

const STAMPS: Readonly<Record<FiringState, string | null>> = {
  loading: null,
  firing: 'started_at',
  cooling: 'ended_at',
  open: 'opened_at',
  closed: 'closed_at',
};

/**
 * Moves a firing on to its next state, or further, and stamps the time of each step it passes. Opening it
 * makes its pieces fired; null for times that nobody noted. A repeated call for a state that is reached already does nothing.
 */
export async function advanceFiring(
  base: Db,
  memberId: string,
  firingId: string,
  to: FiringState,
  facts: { at?: Date | null; achievedCone?: number | null } = {},
): Promise<void> {
  await inTransaction(base, async (trx) => {
    const { state, version } = await lockWhile(trx, firingId, FIRING_STATES);
    const [now, goal] = [FIRING_STATES.indexOf(state), FIRING_STATES.indexOf(to)];
    if (goal > now) {
      const at = facts.at === undefined ? new Date() : facts.at;
      const passed = at === null ? [] : FIRING_STATES.slice(now + 1, goal + 1);
      const stamps = passed.map((state) => [STAMPS[state]!, at] as const);
      await trx('firing')
        .where({ id: firingId })
        .update({ state: to, version: version + 1, ...Object.fromEntries(stamps) });
      await recordChange(trx, memberId, 'firing', firingId, { state }, { state: to });
    }
    if (goal >= FIRING_STATES.indexOf('open'))
      await trx('log_source').where({ firing_id: firingId }).update({ live: false });
    if (to === 'open')
      await trx('piece')
        .where({ stage: 'loaded' })
        .whereIn('id', trx('firing_piece').where({ firing_id: firingId }).select('piece_id'))
        .update({ stage: 'fired' });
    if (facts.achievedCone !== undefined) await setAchievedCone(trx, memberId, firingId, facts.achievedCone);
  });
}

/**
 * Refuses to light a kiln that still holds another firing.
 *
 * @throws Refusal that names the other firing
 */
export async function refuseBusyKiln(base: Db, { id, kilnId, kilnName }: Firing): Promise<void> {
  const other = await base('firing')
    .where({ kiln_id: kilnId })
    .whereNot({ id })
    .whereIn('state', ['firing', 'cooling'])
    .first('number', 'state');
  if (other)
    throw new Refusal('state', `${kilnName} ${other.number} is still ${other.state}. Open it first.`);
}

/** Notes the cone the witness cones show, and sums up the entries that lean on this firing. */
export async function setAchievedCone(
  trx: Db,
  memberId: string | null,
  firingId: string,
  cone: number | null,
): Promise<void> {
  const before = found(await trx('firing').where({ id: firingId }).first('achieved_cone'), 'This firing');
  if (before.achieved_cone === cone) return;
  await trx('firing').where({ id: firingId }).update({ achieved_cone: cone });
  await recordChange(trx, memberId, 'firing', firingId, before, { achieved_cone: cone });
  await refreshFiledBy(trx, firingId);
}

/** Sums up the entries whose zones a firing made what they are. */
async function refreshFiledBy(trx: Db, firingId: string): Promise<void> {
  const touched = await trx('zone').where({ filed_by: firingId, ended_at: null }).distinct('entry_id');
  await refreshEntries(
    trx,
    touched.flatMap((row) => row.entry_id ?? []),
  );
}

/**
 * Files a firing under another cone than it was planned for: the zones that it made what they are go to the entries of
 * that cone. Its own cone leaves them where they are, apart where it missed it; null asks again.
 */
export async function fileFiring(
  base: Db,
  memberId: string,
  { firingId, cone }: { readonly firingId: string; readonly cone: Cone | null },
): Promise<void> {
  await inTransaction(base, async (trx) => {
    const row = await trx('firing').where({ id: firingId }).forUpdate().first('filed_cone', 'cone');
    const before = found(row, 'This firing');
    if (before.filed_cone === cone) return;
    await trx('firing').where({ id: firingId }).update({ filed_cone: cone });
    await recordChange(trx, memberId, 'firing', firingId, before, { filed_cone: cone });
    if ((before.filed_cone ?? before.cone) !== (cone ?? before.cone)) await relayFiring(trx, firingId);
    else await refreshFiledBy(trx, firingId);
  });
}

/** Says what the atmosphere of a firing came to; null for not known. The entries it made are summed up again. */
export async function setAtmosphereReached(
  base: Db,
  memberId: string,
  { firingId, reached }: { readonly firingId: string; readonly reached: AtmosphereReached | null },
): Promise<void> {
  await inTransaction(base, async (trx) => {
    const row = await trx('firing').where({ id: firingId }).forUpdate().first('atmosphere_reached');
    const before = found(row, 'This firing');
    if (before.atmosphere_reached === reached) return;
    await trx('firing').where({ id: firingId }).update({ atmosphere_reached: reached });
    await recordChange(trx, memberId, 'firing', firingId, before, { atmosphere_reached: reached });
    await refreshFiledBy(trx, firingId);
  });
}

/** Says how full the kiln is; null for not known. */
export async function setFullness(
  base: Db,
  memberId: string,
  { firingId, fullness }: { readonly firingId: string; readonly fullness: Fullness | null },
): Promise<void> {
  await inTransaction(base, async (trx) => {
    const before = found(await trx('firing').where({ id: firingId }).first('fullness'), 'This firing');
    if (before.fullness === fullness) return;
    await trx('firing').where({ id: firingId }).update({ fullness });
    await recordChange(trx, memberId, 'firing', firingId, before, { fullness });
  });
}
