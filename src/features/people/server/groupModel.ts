import 'server-only';
import { dayOf } from '@/core/time';
import type { Atmosphere, Cone } from '@/core/vocabulary';
import { loadedIds, queueOf } from '@/records/firings';
import { groupsSeenBy, groupThings, hasRole, listPeople, openingsWith, type Member } from '@/records/people';
import { listPieces } from '@/records/pieces';
import { db } from '@/records/platform';

/** Pieces and openings that are shown at once. */
const SHOWN = { pieces: 24, openings: 6 };

/** What of a group waits for one fire, and when it comes out. */
export interface GroupLoad {
  readonly cone: Cone;
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
    openingsWith(db(), group.memberIds, SHOWN.openings),
    queueOf(db(), now),
  ]);
  const makers = new Set(group.memberIds);
  const isLate = (opens: Date | null) => group.dueOn !== null && (!opens || dayOf(opens) > group.dueOn);
  const ofGroup = async (ids: readonly string[]) =>
    ids.length ? (await listPieces(db(), { groupId: id, ids, limit: ids.length })).total : 0;
  const loads = await Promise.all(
    queue.proposals.map(async (load): Promise<GroupLoad> => {
      const opens = load.slot?.opens ?? null;
      return {
        ...{ cone: load.cone, atmosphere: load.atmosphere, firingId: load.firingId, opens },
        count: await ofGroup(load.pieces.map((piece) => piece.id)),
        kiln: queue.kilns.find((kiln) => kiln.id === load.kilnId)?.name ?? null,
        isLate: isLate(opens),
      };
    }),
  );
  const inKiln = await Promise.all(
    queue.booked.map(async ({ firing, opens }): Promise<GroupLoad> => ({
      ...{ cone: firing.cone, atmosphere: firing.atmosphere, firingId: firing.id, opens },
      count: await ofGroup(await loadedIds(db(), firing.id)),
      kiln: `${firing.kilnName} ${firing.number}`,
      isLate: isLate(opens),
    })),
  );
  const some = (all: readonly GroupLoad[]) => all.filter(({ count }) => count > 0);
  const own = <T extends { groupId: string | null }>(all: readonly T[]) =>
    all.filter((one) => one.groupId === id);
  const free = <T extends { groupId: string | null }>(all: readonly T[]) =>
    mayChange ? all.filter((one) => one.groupId === null) : [];
  return {
    group,
    mayChange,
    members: people
      .filter((one) => makers.has(one.id))
      .map(({ id: memberId, name, pieces: made }) => ({ id: memberId, name, pieces: made })),
    inKiln: some(inKiln),
    loads: some(loads),
    pieces: pieces.rows.map(({ id: pieceId, label, stage, maker }) => ({ id: pieceId, label, stage, maker })),
    pieceCount: pieces.total,
    rounds: own(things.rounds),
    freeRounds: free(things.rounds),
    walls: own(things.walls),
    freeWalls: free(things.walls),
    openings,
    now,
  };
}

export type GroupModel = NonNullable<Awaited<ReturnType<typeof groupModel>>>;
