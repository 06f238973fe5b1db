'use server';
import { refresh } from 'next/cache';
import { ControllerFault, httpDriver } from '@/collector';
import { withMember, type Outcome } from '@/door';
import { db } from '@/records/db';
import { Refusal } from '@/records/faults';
import { advanceFiring, refuseBusyKiln } from '@/records/firings';
import { firingWithKiln } from '@/records/kilns';
import { addEvent, endEvent, importLog, liveSources, noteHeard, openSource } from '@/records/logs';
import { saveCones } from '@/records/witness';
import {
  conesSchema,
  endEventSchema,
  eventSchema,
  firingIdSchema,
  importSchema,
  startSchema,
} from './schema';

/** Starts a firing: its controller gets the programme, or a hand lights it. Nothing starts if that fails. */
export async function startFiring(input: unknown): Promise<Outcome<null>> {
  return withMember('teacher', startSchema, input, async (member, { firingId, sourceId, by }) => {
    const { firing, kiln } = await firingWithKiln(db(), firingId);
    await refuseBusyKiln(db(), firing);
    if (by === 'controller') {
      if (!firing.segments)
        throw new Refusal('', 'Choose a programme first: the controller needs its steps.');
      const driver = httpDriver(kiln.controller);
      const { speed } = await asked(() => driver.start(sourceId, firing.segments!));
      await openSource(db(), member.id, { id: sourceId, firingId, name: kiln.controller, speed });
    }
    await advanceFiring(db(), member.id, firingId, 'firing');
    refresh();
    return null;
  });
}

/**
 * Ends a firing: its controller stops, where it has one, and the kiln cools. A controller that stays silent does
 * not hold the firing open; its page goes on saying that it is silent.
 */
export async function endFiring(input: unknown): Promise<Outcome<null>> {
  return withMember('teacher', firingIdSchema, input, async (member, { firingId }) => {
    const source = (await liveSources(db())).find((one) => one.firingId === firingId);
    if (source)
      await httpDriver(source.controller)
        .stop()
        .catch((fault: unknown) => {
          if (!(fault instanceof ControllerFault)) throw fault;
          return noteHeard(db(), source.id, fault.message);
        });
    await advanceFiring(db(), member.id, firingId, 'cooling');
    refresh();
    return null;
  });
}

/** Opens a kiln that has cooled. */
export async function openKiln(input: unknown): Promise<Outcome<null>> {
  return withMember('teacher', firingIdSchema, input, async (member, { firingId }) => {
    await advanceFiring(db(), member.id, firingId, 'open');
    refresh();
    return null;
  });
}

async function asked<T>(ask: () => Promise<T>): Promise<T> {
  try {
    return await ask();
  } catch (error) {
    if (error instanceof ControllerFault)
      throw new Refusal('', `${error.message} Nothing was changed. Look at the kiln, then try again.`);
    throw error;
  }
}

/** Writes down an event or a hand reading; a damper or gas setting goes to a controller that has one. */
export async function saveEvent(input: unknown): Promise<Outcome<null>> {
  return withMember('teacher', eventSchema, input, async (member, event) => {
    await addEvent(db(), member.id, event);
    if ((event.kind === 'damper' || event.kind === 'gas') && event.value !== null) {
      const source = (await liveSources(db())).find((one) => one.firingId === event.firingId);
      const setting = { [event.kind]: event.value / 100 };
      // The event stands whether the controller has a damper or not.
      if (source)
        await httpDriver(source.controller)
          .set(setting)
          .catch(() => null);
    }
    refresh();
    return null;
  });
}

/** Strikes an event out, or brings it back. */
export async function strikeEvent(input: unknown): Promise<Outcome<null>> {
  return withMember('teacher', endEventSchema, input, async (member, { id, ended }) => {
    await endEvent(db(), member.id, id, ended);
    refresh();
    return null;
  });
}

/** Puts down the witness cones of a firing. */
export async function saveWitness(input: unknown): Promise<Outcome<null>> {
  return withMember('teacher', conesSchema, input, async (member, { firingId, cones }) => {
    await saveCones(db(), member.id, firingId, cones);
    refresh();
    return null;
  });
}

/** Takes in a log that was read from a file. */
export async function bringInLog(input: unknown): Promise<Outcome<null>> {
  return withMember('teacher', importSchema, input, async (member, { sensors, ...file }) => {
    await importLog(db(), member.id, file, sensors);
    refresh();
    return null;
  });
}
