import type { Segment } from '@/core/firing';
import { recordChange } from '@/records/platform/changes';
import { inTransaction, type Db } from '@/records/platform/db';
import { found, Refusal } from '@/records/platform/errors';
import { advanceFiring, refuseBusyKiln } from './firings';
import { firingWithKiln, type Kiln } from './kilns';
import { openSource, updateLoggedCone } from './logs';

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
  { firingId, sourceId, at = null }: Start,
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
    if (at) refuseOddStart(at);
    await advanceFiring(trx, memberId, firingId, 'firing', at ? { at } : {});
  });
}

/** What starts. */
export interface Start {
  readonly firingId: string;
  readonly sourceId: string;
  /** When it was lit, where that was before anybody said so; now without. */
  readonly at?: Date | null;
}

/** A start is told so late at most, hours. */
const LATEST = 72;

/** @throws Refusal of `at` */
function refuseOddStart(at: Date): void {
  const hours = (Date.now() - at.getTime()) / 3_600_000;
  if (hours < 0) throw new Refusal('at', 'This time has not come yet.');
  if (hours > LATEST)
    throw new Refusal('at', `More than ${LATEST} hours ago: write it down as a past firing.`);
}

/**
 * Says when a firing that was lit by hand began, where its start was told late. What was logged since stays at the time
 * of day at which it was.
 *
 * @throws NotFound; Refusal of `at`, also for a firing whose start its controller knows, or that has not started
 */
export async function correctStart(
  base: Db,
  memberId: string,
  { firingId, at }: { readonly firingId: string; readonly at: Date },
): Promise<void> {
  await inTransaction(base, async (trx) => {
    const firing = found(
      await trx('firing').where({ id: firingId }).forUpdate().first('started_at', 'ended_at', 'version'),
      'This firing',
    );
    if (!firing.started_at) throw new Refusal('at', 'This firing has not started.');
    refuseOddStart(at);
    if (firing.ended_at && at >= firing.ended_at) throw new Refusal('at', 'It had ended by then.');
    if (await trx('log_source').where({ firing_id: firingId }).first('id'))
      throw new Refusal('at', 'Its log says when it began.');
    const minutes = (firing.started_at.getTime() - at.getTime()) / 60_000;
    const events = trx('firing_event').where({ firing_id: firingId, ended_at: null });
    const first = await events.clone().orderBy('minutes').first('minutes');
    if (first && first.minutes + minutes < 0)
      throw new Refusal('at', 'Something was logged before that: correct it first.');
    await trx('firing_event').where({ firing_id: firingId }).increment('minutes', minutes);
    await trx('firing')
      .where({ id: firingId })
      .update({ started_at: at, version: firing.version + 1 });
    await recordChange(
      trx,
      memberId,
      'firing',
      firingId,
      { started_at: firing.started_at },
      { started_at: at },
    );
    await updateLoggedCone(trx, firingId);
  });
}
