import type { Db } from '@/records/platform';
import {
  advanceFiring,
  addLogPoints,
  liveSources,
  recordControllerContact,
  updateLoggedCone,
  type LiveSource,
} from '@/records/firings';
import { ControllerError, httpDriver, type KilnDriver } from './driver';

/**
 * Fetches what the controllers have written since the last reading that is kept, for every firing that is
 * read from one. A controller that stays silent is noted and asked again; a programme that has run out puts
 * its firing to cooling. Several servers may do this at once: a reading is kept once.
 *
 * @returns how many firings are being read
 */
export async function pollOnce(
  base: Db,
  driverOf: (address: string) => KilnDriver = httpDriver,
): Promise<number> {
  const sources = await liveSources(base);
  await Promise.all(sources.map((source) => collect(base, source, driverOf(source.controller))));
  return sources.length;
}

async function collect(base: Db, source: LiveSource, driver: KilnDriver): Promise<void> {
  try {
    let since = source.lastSeq;
    for (;;) {
      const readings = await driver.readingsSince(source.id, since);
      if (readings.length === 0) break;
      await addLogPoints(base, source.id, readings);
      since = readings.at(-1)!.seq;
    }
    const { status, run, speed } = await driver.state();
    await recordControllerContact(base, source.id, null, speed);
    if (source.state !== 'firing') return;
    if (since > source.lastSeq) await updateLoggedCone(base, source.firingId);
    if (run === source.id && status !== 'running')
      await advanceFiring(base, source.memberId, source.firingId, 'cooling');
  } catch (error) {
    if (!(error instanceof ControllerError)) throw error;
    await recordControllerContact(base, source.id, error.message);
  }
}

/** Milliseconds between two rounds, while something is read and while nothing is. */
const PAUSE = { busy: 1500, idle: 4000 };

/** Collects for as long as the server lives; a round that fails is told and tried again. */
export function startPolling(base: () => Db, complain: (error: unknown) => void): void {
  const round = async () => {
    const busy = await pollOnce(base()).catch((error: unknown) => {
      complain(error);
      return 0;
    });
    setTimeout(() => void round(), busy ? PAUSE.busy : PAUSE.idle).unref();
  };
  void round();
}
