import { recordChange } from '@/records/platform/changes';
import { inTransaction, type Db } from '@/records/platform/db';
import { NotFound } from '@/records/platform/errors';

/** A wall that the studio gave a name. */
export interface NamedWall {
  readonly id: string;
  readonly name: string;
  /** As it stands in the address, "cone=6&atmosphere=oxidation". */
  readonly search: string;
}

/** The walls with names, by name. */
export async function listWalls(base: Db): Promise<NamedWall[]> {
  return base('named_wall').whereNull('ended_at').orderBy('name').select('id', 'name', 'search');
}

/** Keeps a wall under a name; the same id again is the same wall, and the name of one before is taken over. */
export async function keepWall(base: Db, memberId: string, wall: NamedWall): Promise<void> {
  await inTransaction(base, async (trx) => {
    if (await trx('named_wall').where({ id: wall.id }).first('id')) return;
    await trx('named_wall').where({ name: wall.name, ended_at: null }).update({ ended_at: new Date() });
    await trx('named_wall').insert({ ...wall, member_id: memberId, at: new Date() });
    await recordChange(trx, memberId, 'named_wall', wall.id, null, wall);
  });
}

/** Takes a name away, or gives it back. */
export async function endWall(base: Db, memberId: string, id: string, ended: boolean): Promise<void> {
  await inTransaction(base, async (trx) => {
    if (
      !(await trx('named_wall')
        .where({ id })
        .update({ ended_at: ended ? new Date() : null }))
    )
      throw new NotFound('This wall');
    await recordChange(trx, memberId, 'named_wall', id, null, { ended });
  });
}
