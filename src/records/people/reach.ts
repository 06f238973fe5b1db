import { recordChange } from '@/records/platform/changes';
import { inTransaction, type Db } from '@/records/platform/db';
import { found } from '@/records/platform/errors';
import { rowsOf } from '@/records/platform/joins';
import { hasRole, type Member } from './members';

/** What work may be touched by a write, of which it matters whose it is. */
export type ReachKind = 'pieces' | 'photos' | 'readings';

/** The work that a write touches. */
export interface Touched {
  readonly pieceIds?: readonly string[];
  readonly photoIds?: readonly string[];
  /** Readings that are taken back. */
  readonly readingIds?: readonly string[];
  /** The firing whose opening it is a part of. */
  readonly firingId?: string | null;
  /** Whether it is part of the opening and of no piece that somebody has logged. */
  readonly isOfOpening?: boolean;
}

/**
 * Why a member may not touch some work; null when they may. A technician reaches all; a teacher any reading and
 * photo of an opening, and the pieces and photos of own groups, of all where there are no groups; a student own pieces, photos and readings, and all
 * of an opening that was assigned to them. What is not there is refused by the work itself.
 */
export async function beyondReach(
  base: Db,
  member: Member,
  kind: ReachKind,
  touched: Touched,
): Promise<string | null> {
  if (member.role === 'technician') return null;
  const isTeacher = member.role === 'teacher';
  const isAtOpening = kind === 'readings' || (kind === 'photos' && Boolean(touched.firingId));
  if (isAtOpening && (isTeacher || (await isHelper(base, member, touched)))) return null;
  if (touched.isOfOpening)
    return 'Students record their own pieces. A teacher can assign this opening to you.';
  const owners = await ownersOf(base, member, touched);
  if (isTeacher) {
    const reached = await taughtBy(base, member.id);
    return reached === null || owners.every((owner) => owner === member.id || reached.has(owner))
      ? null
      : 'A teacher may change the pieces of own groups only; ask a technician.';
  }
  if (owners.some((owner) => owner !== member.id)) return 'A student may change own pieces only.';
  if (kind === 'readings' && (await isReadByOthers(base, member, touched)))
    return 'Somebody else read this piece; a student may change own readings only. A later fault can be reported on its page.';
  return null;
}

/** Whose the touched work is; a photo is also of who took it. */
async function ownersOf(base: Db, member: Member, touched: Touched): Promise<string[]> {
  const { pieceIds = [], photoIds = [] } = touched;
  const [pieces, photos] = await Promise.all([
    base('piece').whereIn('id', pieceIds).select('member_id'),
    rowsOf<{ ph: 'photo'; p: 'piece' }>()(
      base('photo as ph').join('piece as p', 'p.id', 'ph.piece_id').whereIn('ph.id', photoIds),
      'p.member_id as maker',
      'ph.member_id as taker',
    ),
  ]);
  const ofPhotos = photos.map(({ maker, taker }) => (taker === member.id ? taker : maker));
  return [...pieces.map((row) => row.member_id), ...ofPhotos];
}

/** Whether readings that stand in the way, or would be taken back, are somebody else's. */
async function isReadByOthers(base: Db, member: Member, touched: Touched): Promise<boolean> {
  const { pieceIds = [], readingIds = [], firingId } = touched;
  const standing = firingId ? await othersReadings(base, member, firingId, pieceIds) : [];
  if (standing.length) return true;
  const taken = base('reading').whereIn('id', readingIds).whereNot({ member_id: member.id });
  return Boolean(await taken.whereNull('ended_at').first('id'));
}

/** The pieces of which somebody else's reading at the opening stands. */
async function othersReadings(base: Db, member: Member, firingId: string, pieceIds: readonly string[]) {
  return base('reading')
    .where({ firing_id: firingId })
    .whereIn('piece_id', pieceIds)
    .whereNot({ member_id: member.id })
    .whereNull('ended_at')
    .whereNull('age_days')
    .distinct('piece_id');
}

/** Which pieces of an opening a member records: see {@link beyondReach}. */
export async function reachedPieces(
  base: Db,
  member: Member,
  firingId: string,
  pieceIds: readonly string[],
): Promise<ReadonlySet<string>> {
  if (hasRole(member.role, 'teacher') || (await isHelper(base, member, { firingId })))
    return new Set(pieceIds);
  const [own, others] = await Promise.all([
    base('piece').whereIn('id', pieceIds).where({ member_id: member.id }).select('id'),
    othersReadings(base, member, firingId, pieceIds),
  ]);
  const read = new Set(others.map((row) => row.piece_id));
  return new Set(own.map(({ id }) => id).filter((id) => !read.has(id)));
}

/** The members of a teacher's groups; null, for everybody, where the studio has no groups. */
async function taughtBy(base: Db, teacherId: string): Promise<ReadonlySet<string> | null> {
  const groups = await base('member_group').where({ ended_at: null }).select('id', 'teacher_id');
  if (groups.length === 0) return null;
  const own = groups.filter(({ teacher_id }) => teacher_id === teacherId).map(({ id }) => id);
  const rows = await base('group_member').whereIn('group_id', own).select('member_id');
  return new Set(rows.map((row) => row.member_id));
}

/** For whom a member may write pieces down: a technician for all, a teacher for own groups, a student for nobody else. */
export async function makersFor(base: Db, member: Member): Promise<{ id: string; name: string }[]> {
  if (!hasRole(member.role, 'teacher')) return [];
  const reached = member.role === 'teacher' ? await taughtBy(base, member.id) : null;
  const rows = await base('member').whereNull('ended_at').orderBy('name').select('id', 'name');
  return rows.filter(({ id }) => reached === null || id === member.id || reached.has(id));
}

/** Whether the opening was assigned to a member, and the work is part of it. */
async function isHelper(base: Db, member: Member, touched: Touched): Promise<boolean> {
  const { firingId, pieceIds = [], photoIds = [] } = touched;
  if (!firingId) return false;
  const where = { firing_id: firingId, member_id: member.id };
  if (!(await base('firing_helper').where(where).first('member_id'))) return false;
  const [loaded, taken] = await Promise.all([
    base('firing_piece').where({ firing_id: firingId }).whereIn('piece_id', pieceIds).select('piece_id'),
    base('photo').where({ firing_id: firingId }).whereIn('id', photoIds).select('id'),
  ]);
  return loaded.length === pieceIds.length && taken.length === photoIds.length;
}

/** Those to whom an opening was assigned. */
async function helpersOf(base: Db, firingId: string): Promise<string[]> {
  const rows = await base('firing_helper').where({ firing_id: firingId }).select('member_id');
  return rows.map((row) => row.member_id);
}

/** A student who signs in, and whether an opening is assigned to them. */
export interface OpeningStudent {
  readonly id: string;
  readonly name: string;
  readonly isHelper: boolean;
}

/** The students to whom an opening may be assigned, by name. */
export async function studentsFor(base: Db, firingId: string): Promise<OpeningStudent[]> {
  const [rows, helpers] = await Promise.all([
    base('member')
      .where({ role: 'student', ended_at: null })
      .whereNotNull('sign_in')
      .orderBy('name')
      .select('id', 'name'),
    helpersOf(base, firingId),
  ]);
  return rows.map(({ id, name }) => ({ id, name, isHelper: helpers.includes(id) }));
}

/** Assigns an opening to students: they record all of its pieces. Who is not named any more records own ones only. */
export async function assignOpening(
  base: Db,
  memberId: string,
  { firingId, memberIds }: { readonly firingId: string; readonly memberIds: readonly string[] },
): Promise<void> {
  await inTransaction(base, async (trx) => {
    found(await trx('firing').where({ id: firingId }).forUpdate().first('id'), 'This firing');
    const before = await helpersOf(trx, firingId);
    await trx('firing_helper').where({ firing_id: firingId }).delete();
    const now = [...new Set(memberIds)];
    if (now.length)
      await trx('firing_helper').insert(now.map((id) => ({ firing_id: firingId, member_id: id })));
    await recordChange(trx, memberId, 'firing', firingId, { helpers: before }, { helpers: now });
  });
}
