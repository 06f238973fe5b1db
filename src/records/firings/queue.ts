import { rowsOf } from '@/records/platform/joins';
import {
  FINGER,
  firstSlot,
  footprintOf,
  loadsWaiting,
  predict,
  slotAt,
  USUAL_HOURS,
  type FiringNeed,
  type Queued,
  type QueueLoad,
  type Slot,
  type StudioHours,
} from '@/core/firing';
import { studioTime } from '@/core/time';
import type { FiringTarget } from '@/core/rounds';
import type { Db } from '@/records/platform/db';
import { listFirings, type Firing } from './firings';
import { kilnHabits } from './kilnPage';
import { listKilns, type Kiln } from './kilns';
import { DUE, shelfPieces, waitingIds, type ShelfPiece } from './loads';
import { setting } from '@/records/platform/settings';

/** Hours a firing takes that has no programme, and a kiln takes to cool that was never logged (judgement). */
const USUAL = { firing: 10, cooling: 20 };

/** A firing that is planned or under way, on the calendar. */
export interface Booked extends Slot {
  readonly firing: Firing;
  readonly need: FiringNeed;
  /** The earliest day a piece in it is wanted, "YYYY-MM-DD". */
  readonly dueOn: string | null;
}

/** A load that waits, with what is proposed for it. */
export interface Proposal extends QueueLoad {
  /** A firing of its kind that is being loaded already. */
  readonly firingId: string | null;
  readonly kilnId: string | null;
  readonly filled: number;
  /** When its kiln could fire it; null when nothing fits in the next four weeks. */
  readonly slot: Slot | null;
}

export interface Queue {
  readonly kilns: readonly Kiln[];
  readonly hours: StudioHours;
  readonly hoursVersion: number;
  readonly booked: readonly Booked[];
  readonly proposals: readonly Proposal[];
  /** Pieces that are not glazed yet; they wait for no glaze kiln. */
  readonly bare: number;
  /** Glazed pieces of which nothing says which fire they want. */
  readonly unsaid: readonly string[];
  /** What a firing of each kiln usually needs. */
  readonly needs: Readonly<Record<string, FiringNeed>>;
}

/** The start of a planned firing in the studio's time. */
function startOf({ plannedOn, startsAt }: Pick<Firing, 'plannedOn' | 'startsAt'>): Date {
  return studioTime(`${plannedOn}T${startsAt}`).toJSDate();
}

/** Everything that waits against everything that is planned, with a proposal for each load. */
export async function queueOf(base: Db, now: Date): Promise<Queue> {
  const [kilns, live, { value: hours, version }, due, waiting] = await Promise.all([
    listKilns(base),
    listFirings(base, { states: ['loading', 'firing', 'cooling'], limit: 200 }),
    setting<StudioHours>(base, 'hours', USUAL_HOURS),
    dueDates(base),
    queuedPieces(base),
  ]);
  const habits = new Map((await kilnHabits(base, kilns)).map((habit) => [habit.kilnId, habit]));
  const needOf = (kiln: Kiln, firing?: Firing): FiringNeed => ({
    firingHours: firing?.segments
      ? predict(firing.segments, habits.get(kiln.id)?.climbs ?? []).minutes / 60
      : USUAL.firing,
    coolingHours: habits.get(kiln.id)?.coolHours ?? USUAL.cooling,
    flame: kiln.heat !== 'electric',
    attended: !kiln.controller,
  });
  const booked = live.flatMap((firing): Booked[] => {
    const kiln = kilns.find(({ id }) => id === firing.kilnId)!;
    const need = needOf(kiln, firing);
    return [{ ...slotOf(firing, need, hours), firing, need, dueOn: due.get(firing.id) ?? null }];
  });
  const loads = loadsWaiting(
    waiting.queued,
    kilns.map(({ id, heat, shelves, shelfWidthMm, shelfDepthMm, roundShelves }) => ({
      id,
      heat,
      area: shelves * shelfWidthMm * shelfDepthMm * (roundShelves ? Math.PI / 4 : 1),
    })),
  );
  return {
    kilns,
    hours,
    hoursVersion: version,
    booked,
    bare: waiting.bare,
    unsaid: waiting.unsaid,
    needs: Object.fromEntries(kilns.map((kiln) => [kiln.id, needOf(kiln)])),
    proposals: propose(loads, booked, hours, now, (kilnId) => {
      const kiln = kilns.find(({ id }) => id === kilnId)!;
      const last = live.find((firing) => firing.kilnId === kilnId && firing.segments);
      return needOf(kiln, last);
    }),
  };
}

/** When a firing runs: as planned while it is loaded, as it was once it has begun. */
function slotOf(firing: Firing, need: FiringNeed, hours: StudioHours): Slot {
  const planned = slotAt(hours, firing.startedAt ?? startOf(firing), need);
  if (!firing.endedAt) return planned;
  return { ...slotAt(hours, firing.endedAt, { ...need, firingHours: 0 }), start: planned.start };
}

function propose(
  loads: readonly QueueLoad[],
  booked: readonly Booked[],
  hours: StudioHours,
  now: Date,
  needOf: (kilnId: string) => FiringNeed,
): Proposal[] {
  const free = new Map<string, Date>();
  for (const { firing, opens } of booked) {
    const before = free.get(firing.kilnId) ?? now;
    if (opens > before) free.set(firing.kilnId, opens);
  }
  return loads.map((load) => {
    const open = booked.find(
      ({ firing }) =>
        firing.state === 'loading' && firing.cone === load.cone && firing.atmosphere === load.atmosphere,
    );
    const best = load.kilns[0];
    if (open)
      return {
        ...load,
        firingId: open.firing.id,
        kilnId: open.firing.kilnId,
        filled: load.kilns.find(({ id }) => id === open.firing.kilnId)?.filled ?? 0,
        slot: open,
      };
    if (!best) return { ...load, firingId: null, kilnId: null, filled: 0, slot: null };
    const slot = firstSlot(hours, free.get(best.id) ?? now, needOf(best.id));
    if (slot) free.set(best.id, slot.opens);
    return { ...load, firingId: null, kilnId: best.id, filled: best.filled, slot };
  });
}

/** Glazed pieces and refires with the fire each wants, those of which nobody said it, and how many wait bare. */
async function queuedPieces(base: Db): Promise<{ queued: Queued[]; unsaid: string[]; bare: number }> {
  const pieces = await shelfPieces(base, await waitingIds(base), null);
  const fires = await firesOf(base, pieces);
  const ready = pieces.filter(({ stage }) => stage !== 'made');
  return {
    bare: pieces.length - ready.length,
    unsaid: ready.filter(({ id }) => !fires.has(id)).map(({ id }) => id),
    queued: ready.flatMap((piece): Queued[] => {
      const fire = fires.get(piece.id);
      if (!fire) return [];
      const foot = footprintOf(piece.form, piece.widthMm, piece.runsFrom !== null);
      const area = (foot.widthMm + FINGER) * (foot.depthMm + FINGER);
      return [{ id: piece.id, ...fire, area, dueOn: piece.dueOn }];
    }),
  };
}

/** The fire a piece wants: that of its round; of its last firing; else the one its top glaze is mostly fired in. */
async function firesOf(base: Db, pieces: readonly ShelfPiece[]): Promise<Map<string, FiringTarget>> {
  const ids = pieces.map(({ id }) => id);
  const rounds: ({ id: string } & FiringTarget)[] = await rowsOf<{ p: 'piece'; c: 'round_cell' }>()(
    base('piece as p').join('round_cell as c', 'c.id', 'p.round_cell_id').whereIn('p.id', ids),
    'p.id',
    'c.cone',
    'c.atmosphere',
  );
  const fired: ({ id: string } & FiringTarget)[] = await rowsOf<{ fp: 'firing_piece'; f: 'firing' }>()(
    base('firing_piece as fp')
      .join('firing as f', 'f.id', 'fp.firing_id')
      .whereIn('fp.piece_id', ids)
      .orderBy('fp.at'),
    'fp.piece_id as id',
    'f.cone',
    'f.atmosphere',
  );
  const usual: ({ glaze: string } & FiringTarget)[] = await base('headword as h')
    .join('entry as e', 'e.headword_id', 'h.id')
    .whereNotNull('h.top_glaze_id')
    .groupBy('h.top_glaze_id', 'e.cone', 'e.atmosphere')
    .orderByRaw('sum(e.proofs)')
    .select('h.top_glaze_id as glaze', 'e.cone', 'e.atmosphere');
  const byGlaze = new Map(usual.map(({ glaze, ...fire }) => [glaze, fire]));
  const found = new Map<string, FiringTarget>();
  for (const piece of pieces) {
    const fire = byGlaze.get(piece.coats.at(-1)?.glazeId ?? '');
    if (fire) found.set(piece.id, fire);
  }
  for (const { id, ...fire } of [...fired, ...rounds]) found.set(id, fire);
  return found;
}

/** The earliest day a piece of each firing that is not open yet is wanted. */
async function dueDates(base: Db): Promise<Map<string, string>> {
  const rows: { firing_id: string; due: string }[] = await base('firing_piece as fp')
    .join('firing as f', 'f.id', 'fp.firing_id')
    .join('piece as p', 'p.id', 'fp.piece_id')
    .leftJoin('round_cell as c', 'c.id', 'p.round_cell_id')
    .leftJoin('round as r', 'r.id', 'c.round_id')
    .whereIn('f.state', ['loading', 'firing', 'cooling'])
    .whereRaw(`${DUE} is not null`)
    .groupBy('fp.firing_id')
    .select('fp.firing_id', base.raw(`date_format(min(${DUE}), '%Y-%m-%d') as due`));
  return new Map(rows.map(({ firing_id, due }) => [firing_id, due]));
}
