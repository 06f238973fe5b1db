import type { Segment } from '@/core/firing';
import { inTransaction, type Db } from '@/records/platform/db';
import { found, Refusal } from '@/records/platform/errors';
import { advanceFiring, refuseBusyKiln } from './firings';
import { firingWithKiln, type Kiln } from './kilns';
import { openSource } from './logs';

/** Starts a kiln's controller on a programme and gives how many kiln minutes pass in a minute. */
export type Light = (kiln: Kiln, segments: readonly Segment[]) => Promise<{ readonly speed: number }>;

/**
 * Starts a firing: check, controller and records under one lock of the kiln, so that of two who start it at once one
 * finds it taken. The same start again, its answer lost, does nothing more.
 *
 * @param sourceId of the log that the controller will write
 * @param light starts the controller; null when a hand lights the kiln
 * @throws NotFound; Refusal when the kiln or the firing is taken, or no programme is chosen; whatever `light` throws
 */
export async function lightKiln(
  base: Db,
  memberId: string,
  { firingId, sourceId }: { readonly firingId: string; readonly sourceId: string },
  light: Light | null,
): Promise<void> {
  await inTransaction(base, async (trx) => {
    // Locks first: what is read after them is what the other one has written.
    const { kiln_id } = found(
      await trx('firing').where({ id: firingId }).forUpdate().first('kiln_id'),
      'This firing',
    );
    await trx('kiln').where({ id: kiln_id }).forUpdate().first('id');
    if (await trx('log_source').where({ id: sourceId, firing_id: firingId }).first('id')) return;
    const { firing, kiln } = await firingWithKiln(trx, firingId);
    // Two hands that light one kiln light it once.
    if (firing.state === 'firing' && !light) return;
    if (firing.state !== 'loading')
      throw new Refusal('state', `${firing.kilnName} ${firing.number} was started already.`);
    await refuseBusyKiln(trx, firing);
    if (light) {
      if (!firing.segments)
        throw new Refusal('', 'Choose a programme first: the controller needs its steps.');
      const { speed } = await light(kiln, firing.segments);
      await openSource(trx, memberId, { id: sourceId, firingId, name: kiln.controller, speed });
    }
    await advanceFiring(trx, memberId, firingId, 'firing');
  });
}
