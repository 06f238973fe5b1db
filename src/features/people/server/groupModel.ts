import 'server-only';
import { dayOf } from '@/core/time';
import type { Atmosphere, Heat } from '@/core/vocabulary';
import { loadedIds, queueOf } from '@/records/firings';
import { groupsSeenBy, groupThings, hasRole, listPeople, openingsOf, type Member } from '@/records/people';
import { listPieces } from '@/records/pieces';
import { db } from '@/records/platform';

/** Pieces and openings that are shown at once. */
const SHOWN = { pieces: 24, openings: 6 };

/** What of a group waits for one fire, and when it comes out. */
export interface GroupLoad {
  readonly cone: Heat;
  readonly atmosphere: Atmosphere;
  readonly count: number;
  readonly firingId: string | null;
  readonly kiln: string | null;
  /** When it can be opened; null when nothing fits in the next four weeks. */
  readonly opens: Date | null;
  /** Whether that is after the day the group named. */
  readonly isLate: boolean;
}

/** The page of a group, for its people, its teacher and technicians; null for anybody else. */
export async function groupModel(member: Member, id: string, now: Date) {
  const group = (await groupsSeenBy(db(), member)).find((one) => one.id === id);
  if (!group) return null;
  const mayChange = hasRole(member.role, 'technician') || group.teacherId === member.id;
  const [people, things, pieces, openings, queue] = await Promise.all([
    listPeople(db()),
    groupThings(db()),
    listPieces(db(), { groupId: id, sort: 'number', order: 'desc', limit: SHOWN.pieces }),
    openingsOf(db(), id, SHOWN.openings),
    queueOf(db(), now),
  ]);
  const makers = new Set(group.memberIds);
  const isLate = (opens: Date | null) => group.dueOn !== null && (!opens || dayOf(opens) > group.dueOn);
  const loaded = await Promise.all(queue.booked.map(({ firing }) => loadedIds(db(), firing.id)));
  const inQueue = queue.proposals.map((load) => load.pieces.map((piece) => piece.id));
  const ids = [...loaded, ...inQueue, queue.unsaid].flat();
  const own = new Set(
    (await listPieces(db(), { groupId: id, ids, limit: ids.length })).rows.map((piece) => piece.id),
  );
  const countOf = (all: readonly string[]) => all.filter((one) => own.has(one)).length;
  const loads = queue.proposals.map((load, i): GroupLoad => {
    const opens = load.slot?.opens ?? null;
    return {
      ...{ cone: load.cone, atmosphere: load.atmosphere, firingId: load.firingId, opens },
      count: countOf(inQueue[i]!),
      kiln: queue.kilns.find((kiln) => kiln.id === load.kilnId)?.name ?? null,
      isLate: isLate(opens),
    };
  });
  const inKiln = queue.booked.map(({ firing, opens }, i): GroupLoad => ({
    ...{ cone: firing.cone, atmosphere: firing.atmosphere, firingId: firing.id, opens },
    count: countOf(loaded[i]!),
    kiln: `${firing.kilnName} ${firing.number}`,
    isLate: isLate(opens),
  }));
  const some = (all: readonly GroupLoad[]) => all.filter(({ count }) => count > 0);
  const ofGroup = <T extends { groupId: string | null }>(all: readonly T[]) =>
    all.filter((one) => one.groupId === id);
  const free = <T extends { groupId: string | null }>(all: readonly T[]) =>
    mayChange ? all.filter((one) => one.groupId === null) : [];
  return {
    group,
    mayChange,
    members: people
      .filter((one) => makers.has(one.id))
      .map(({ id: memberId, name, pieces: made }) => ({ id: memberId, name, pieces: made })),
    unsaid: countOf(queue.unsaid),
    isDayPast: group.dueOn !== null && group.dueOn < dayOf(now),
    inKiln: some(inKiln),
    loads: some(loads),
    pieces: pieces.rows.map(({ id: pieceId, label, stage, maker }) => ({ id: pieceId, label, stage, maker })),
    pieceCount: pieces.total,
    rounds: ofGroup(things.rounds),
    freeRounds: free(things.rounds),
    walls: ofGroup(things.walls),
    freeWalls: free(things.walls),
    openings,
    now,
  };
}

export type GroupModel = NonNullable<Awaited<ReturnType<typeof groupModel>>>;
