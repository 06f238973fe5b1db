import { rowsOf } from '@/records/platform/joins';
import { setEnded } from '@/records/platform/write';
import type { LogSourceRow } from '@/records/platform/tables';
import { type Mapping, flag, readRow } from '@/records/platform/mapping';
import {
  heatWork,
  meanOfSensors,
  thin,
  tidyLog,
  type LogLine,
  type CurvePoint,
  type ProbeReading,
} from '@/core/firing';
import type { EventKind } from '@/core/vocabulary';
import { recordChange } from '@/records/platform/changes';
import { inTransaction, type Db } from '@/records/platform/db';
import { NotFound, Refusal } from '@/records/platform/errors';

/** One line a log holds; minutes run from the start of the firing. */
export interface LogPoint extends LogLine {
  readonly seq: number;
  /** What the probe says, mV; null without one. */
  readonly oxygen: number | null;
}

/** Where readings of a firing come from. */
export interface LogSource {
  readonly id: string;
  readonly firingId: string;
  readonly kind: 'controller' | 'file';
  readonly name: string;
  /** Kiln minutes in a minute: 1 but for a stand-in. */
  readonly speed: number;
  readonly live: boolean;
  /** Why nothing comes, in words; null while it does. */
  readonly error: string | null;
  readonly heardAt: Date | null;
}

/** A live source with what the poller needs to go on. */
export interface LiveSource extends LogSource {
  readonly controller: string;
  readonly state: string;
  readonly memberId: string;
  readonly lastSeq: number;
}

const SOURCE: Mapping<LogSource, LogSourceRow> = {
  id: 'id',
  firingId: 'firing_id',
  kind: 'kind',
  name: 'name',
  speed: 'speed',
  live: flag('live'),
  error: 'error',
  heardAt: 'heard_at',
};

/** Notes that a firing is read from a controller from now on; the same id twice is one source. */
export async function openSource(
  base: Db,
  memberId: string,
  source: { readonly id: string; readonly firingId: string; readonly name: string; readonly speed: number },
): Promise<void> {
  await base('log_source')
    .insert({
      id: source.id,
      firing_id: source.firingId,
      kind: 'controller',
      name: source.name,
      speed: source.speed,
      live: true,
      member_id: memberId,
      at: new Date(),
    })
    .onConflict('id')
    .ignore();
}

/** Sources that are still being read, with the address of their controller. */
export async function liveSources(base: Db): Promise<LiveSource[]> {
  const query = base('log_source as s')
    .join('firing as f', 'f.id', 's.firing_id')
    .join('kiln as k', 'k.id', 'f.kiln_id')
    .where({ 's.live': true, 's.kind': 'controller' })
    .select(base('log_point as r').max('r.seq').whereRaw('r.source_id = s.id').as('last_seq'));
  const rows = await rowsOf<
    { s: 'log_source'; k: 'kiln'; f: 'firing' },
    { readonly last_seq: number | null }
  >()(query, 's.*', 'k.controller', 'f.state');
  return rows.map((row) => ({
    ...readRow(SOURCE, row),
    controller: row.controller,
    state: row.state,
    memberId: row.member_id,
    lastSeq: row.last_seq ?? 0,
  }));
}

const CHUNK = 1000;

/** Adds readings of a source; those that are there already stay as they are. */
export async function addLogPoints(
  base: Db,
  sourceId: string,
  readings: readonly LogPoint[],
  sensor = 0,
): Promise<void> {
  for (let from = 0; from < readings.length; from += CHUNK)
    await base('log_point')
      .insert(
        readings.slice(from, from + CHUNK).map(({ seq, minutes, celsius, target, oxygen }) => ({
          source_id: sourceId,
          sensor,
          seq,
          minutes,
          celsius,
          target,
          oxygen,
        })),
      )
      .onConflict()
      .ignore();
}

/** Notes that a source was heard, or why it was not. */
export async function recordControllerContact(
  base: Db,
  sourceId: string,
  error: string | null,
  speed?: number,
): Promise<void> {
  await base('log_source')
    .where({ id: sourceId })
    .update({ error, ...(error === null && { heard_at: new Date() }), ...(speed && { speed }) });
}

/** Takes in a log from a file, one list a thermocouple; the same id twice is one import. */
export async function importLog(
  base: Db,
  memberId: string,
  file: { readonly id: string; readonly firingId: string; readonly name: string },
  sensors: readonly (readonly LogPoint[])[],
): Promise<void> {
  await inTransaction(base, async (trx) => {
    if (!(await trx('firing').where({ id: file.firingId }).forUpdate().first('id')))
      throw new NotFound('This firing');
    if (await trx('log_source').where({ id: file.id }).first('id')) return;
    const live = await trx('log_source').where({ firing_id: file.firingId, live: 1 }).first('id');
    if (live)
      throw new Refusal('file', 'Its controller is still being read. Import the file when it has ended.');
    await trx('log_source').insert({
      id: file.id,
      firing_id: file.firingId,
      kind: 'file',
      name: file.name,
      live: false,
      member_id: memberId,
      at: new Date(),
    });
    for (const [sensor, readings] of sensors.entries()) await addLogPoints(trx, file.id, readings, sensor);
    await recordChange(trx, memberId, 'log_source', file.id, null, file);
    await updateLoggedCone(trx, file.firingId);
  });
}

export interface EventDraft {
  readonly id: string;
  readonly firingId: string;
  readonly kind: EventKind;
  /** Minutes from the start of the firing. */
  readonly minutes: number;
  /** °C of a hand reading, share of a damper or gas cock in percent. */
  readonly value: number | null;
  readonly note: string;
}

export interface StoredEvent extends EventDraft {
  readonly by: string;
}

/** Writes down an event; the same id twice is one event. A hand reading counts in the log. */
export const addEvent = (base: Db, memberId: string, { firingId, ...event }: EventDraft): Promise<void> =>
  addEvents(base, memberId, firingId, [event]);

/** Writes down events of a firing, all or none; the same id twice is one event. @throws NotFound */
export async function addEvents(
  base: Db,
  memberId: string,
  firingId: string,
  events: readonly Omit<EventDraft, 'firingId'>[],
): Promise<void> {
  await inTransaction(base, async (trx) => {
    if (!(await trx('firing').where({ id: firingId }).forUpdate().first('id')))
      throw new NotFound('This firing');
    const known = await trx('firing_event')
      .whereIn(
        'id',
        events.map(({ id }) => id),
      )
      .pluck<string[]>('id');
    const fresh = events.filter(({ id }) => !known.includes(id));
    for (const event of fresh) {
      await trx('firing_event').insert({
        ...event,
        ...{ firing_id: firingId, member_id: memberId, at: new Date() },
      });
      await recordChange(trx, memberId, 'firing_event', event.id, null, { firingId, ...event });
    }
    if (fresh.some(({ kind }) => kind === 'hand reading')) await updateLoggedCone(trx, firingId);
  });
}

/** Deletes events, or brings them back. @throws NotFound */
export async function endEvents(
  base: Db,
  memberId: string,
  ids: readonly string[],
  ended: boolean,
): Promise<void> {
  await inTransaction(base, async (trx) => {
    const read = new Set<string>();
    for (const id of ids) {
      const event = await trx('firing_event').where({ id }).forUpdate().first('firing_id', 'kind');
      if (!event) throw new NotFound('This event');
      await setEnded(trx, memberId, 'firing_event', id, ended);
      if (event.kind === 'hand reading') read.add(event.firing_id);
    }
    for (const firingId of read) await updateLoggedCone(trx, firingId);
  });
}

/** Events of a firing in order of time. */
export async function eventsOf(base: Db, firingId: string): Promise<StoredEvent[]> {
  return rowsOf<{ e: 'firing_event'; m: 'member' }>()(
    base('firing_event as e')
      .join('member as m', 'm.id', 'e.member_id')
      .where({ 'e.firing_id': firingId, 'e.ended_at': null })
      .orderBy(['e.minutes', 'e.id']),
    'e.id',
    'e.firing_id as firingId',
    'e.kind',
    'e.minutes',
    'e.value',
    'e.note',
    'm.name as by',
  );
}

/** Sources of a firing, oldest first. */
export async function sourcesOf(base: Db, firingId: string): Promise<LogSource[]> {
  const rows = await base('log_source').where({ firing_id: firingId }).orderBy(['at', 'id']).select('*');
  return rows.map((row) => readRow(SOURCE, row));
}

/** A line of one thermocouple as it is stored. */
type Row = readonly [
  sensor: number,
  seq: number,
  minutes: number,
  celsius: number | null,
  target: number | null,
  oxygen: number | null,
];

/** A log longer than this, a fortnight of minutes, is thinned in the database before it is looked at. */
const LONG = 20_000;
const BUCKETS = 4000;

/**
 * The readings of a source by thermocouple, in order of time; of a very long log, the lowest and the highest of
 * each of some thousand stretches, so that no peak is lost.
 */
export async function logPointsOf(base: Db, sourceId: string): Promise<LogPoint[][]> {
  const last = await lastLine(base, sourceId);
  if (last > LONG) return longReadings(base, sourceId, Math.ceil(last / BUCKETS));
  const [rows] = (await base
    .raw(
      'select sensor, seq, minutes, celsius, target, oxygen from log_point where source_id = ? order by sensor, seq',
      [sourceId],
    )
    .options({ rowsAsArray: true })) as unknown as [Row[]];
  const sensors: LogPoint[][] = [];
  for (const [sensor, seq, minutes, celsius, target, oxygen] of rows)
    (sensors[sensor] ??= []).push({ seq, minutes, celsius, target, oxygen });
  return sensors.filter(Boolean);
}

/** The number of the last line of a log; 0 for none. Lines are only ever added: as long as it stays, so do they. */
export async function lastLine(base: Db, sourceId: string): Promise<number> {
  const [counted] = await base('log_point').where({ source_id: sourceId }).max({ last: 'seq' });
  return Number(counted?.last ?? 0);
}

interface Bucket {
  readonly sensor: number;
  readonly seq: number;
  readonly first: number;
  readonly last: number;
  readonly low: number | null;
  readonly high: number | null;
  readonly target: number | null;
  readonly oxygen: number | null;
}

async function longReadings(base: Db, sourceId: string, each: number): Promise<LogPoint[][]> {
  const buckets: Bucket[] = await base('log_point')
    .where({ source_id: sourceId })
    .groupByRaw('sensor, seq div ?', [each])
    .orderByRaw('sensor, min(seq)')
    .select(
      'sensor',
      base.raw('min(seq) as seq, min(minutes) as `first`, max(minutes) as `last`'),
      base.raw('min(celsius) as low, max(celsius) as high, avg(target) as target, avg(oxygen) as oxygen'),
    );
  const sensors: LogPoint[][] = [];
  for (const { sensor, seq, first, last, low, high, target, oxygen } of buckets) {
    const readings = (sensors[sensor] ??= []);
    const falls = (readings.at(-1)?.celsius ?? -Infinity) > ((low ?? 0) + (high ?? 0)) / 2;
    const [one, other] = falls ? [high, low] : [low, high];
    readings.push({ seq, minutes: first, celsius: one, target, oxygen });
    if (last > first) readings.push({ seq: seq + 1, minutes: last, celsius: other, target, oxygen });
  }
  return sensors.filter(Boolean);
}

/** Stretches a curve is drawn with at most; the lowest and highest of each stay. */
const DRAWN = 400;

/** The log of a firing as it is judged: one curve, from its newest source, or by hand where it has none. */
export async function curveOf(base: Db, firingId: string): Promise<readonly CurvePoint[]> {
  const source = (await sourcesOf(base, firingId)).at(-1);
  const sensors = source ? await logPointsOf(base, source.id) : [];
  return curveFrom(sensors, sensors.length > 0 ? [] : await eventsOf(base, firingId));
}

/** What the oxygen probe of a firing said up to its hottest moment, in order; empty without one. */
export async function probeOf(base: Db, firingId: string): Promise<ProbeReading[]> {
  const source = (await sourcesOf(base, firingId)).at(-1);
  const points = source ? (await logPointsOf(base, source.id)).flat() : [];
  const hottest = points.reduce((most, { celsius }) => Math.max(most, celsius ?? -Infinity), -Infinity);
  const top = points.find(({ celsius }) => celsius === hottest)?.minutes ?? 0;
  return points
    .flatMap(({ minutes, celsius, oxygen }) =>
      celsius === null || oxygen === null || minutes > top ? [] : [{ minutes, celsius, millivolts: oxygen }],
    )
    .sort((a, b) => a.minutes - b.minutes);
}

/** One curve in order, spikes out: the mean of the thermocouples, or the hand readings where there are none. */
export function curveFrom(
  sensors: readonly (readonly LogPoint[])[],
  events: readonly StoredEvent[],
): readonly CurvePoint[] {
  const hand = events.filter(({ kind }) => kind === 'hand reading');
  const raw = sensors.length
    ? sensors.map((readings) => readings.map(({ minutes, celsius }) => ({ minutes, temperature: celsius })))
    : [hand.map(({ minutes, value }) => ({ minutes, temperature: value }))];
  const tidy = raw.map((readings) => tidyLog(readings).points);
  return tidy.length === 1 ? tidy[0]! : meanOfSensors(tidy);
}

/** Lines of a log thinned for drawing, peaks kept; a missing temperature stays a gap. */
export function forDrawing(lines: readonly LogPoint[]): LogPoint[] {
  const spoken = lines.filter((line) => line.celsius !== null);
  const kept = thin(
    spoken.map((line) => ({ ...line, at: line.minutes, value: line.celsius! })),
    DRAWN,
  );
  const silent = lines.filter((line, i) => line.celsius === null && lines[i - 1]?.celsius !== null);
  return [...kept, ...silent]
    .sort((a, b) => a.minutes - b.minutes)
    .map(({ seq, minutes, celsius, target, oxygen }) => ({ seq, minutes, celsius, target, oxygen }));
}

/** Calculates the cone that the log of a firing comes to, and keeps it with the firing. */
export async function updateLoggedCone(base: Db, firingId: string): Promise<void> {
  const points = await curveOf(base, firingId);
  const logged = points.length > 1 ? heatWork(points).coneIndex : null;
  await base('firing').where({ id: firingId }).update({ logged_cone: logged });
}
