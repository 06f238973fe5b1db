'use server';
import { refresh } from 'next/cache';
import { action } from '@/auth';
import { assignOpening as saveHelpers } from '@/records/people';
import { dayOf } from '@/core/time';
import { piecesById } from '@/records/pieces';
import { db, Refusal } from '@/records/platform';
import {
  loadPieces,
  saveFiring,
  savePastFiring,
  waitingIds,
  unloadPiece,
  advanceFiring,
  fileFiring,
  correctStart,
  lightKiln,
  type Light,
  placePieces,
  setDue,
  setShelf,
  addEvent,
  addEvents,
  endEvents,
  importLog,
  liveSources,
  recordControllerContact,
  saveCones,
  setAtmosphereReached,
  setFullness,
} from '@/records/firings';
import {
  dueSchema,
  loadSchema,
  moveOnShelvesSchema,
  saveFiringSchema,
  savePastFiringSchema,
  shelfSchema,
  unloadSchema,
  conesSchema,
  bookSchema,
  endEventsSchema,
  litSchema,
  eventSchema,
  firingIdSchema,
  importSchema,
  startSchema,
  atmosphereSchema,
  closeSchema,
  fileSchema,
  fullnessSchema,
  helpersSchema,
  repairedSchema,
} from './schema';
import { ControllerError, httpDriver } from '@/kiln-poller';
import { chosenBy } from './model/byNumber';
import { endRepair } from '@/records/openings';

/** Plans a firing or changes its plan. */
export const saveFiringPlan = action(
  'saveFiringPlan',
  saveFiringSchema,
  async (member, { firing, version }) => {
    await saveFiring(db(), member.id, firing, version);
    refresh();
    return null;
  },
);

/** Writes down a firing that is over. */
export const logPastFiring = action(
  'logPastFiring',
  savePastFiringSchema,
  async (member, { firing: { numbers, ...firing } }) => {
    const waiting = await piecesById(db(), await waitingIds(db()));
    const { ids, missing, wrong } = chosenBy(numbers, waiting);
    if (wrong.length > 0) throw new Refusal('numbers', `No number: ${wrong.join(', ')}.`);
    if (missing.length > 0)
      throw new Refusal('numbers', `Not waiting for a kiln: ${missing.join(', ')}. Write them down first.`);
    await savePastFiring(db(), member.id, { firing, pieceIds: ids, today: dayOf(new Date()) });
    refresh();
    return null;
  },
);

/** Puts pieces into a firing. */
export const loadFiring = action('loadFiring', loadSchema, async (member, { firingId, places }) => {
  await loadPieces(db(), member.id, firingId, places);
  refresh();
  return null;
});

/** Moves pieces that are in a firing to other places. */
export const placeOnShelves = action(
  'placeOnShelves',
  moveOnShelvesSchema,
  async (member, { firingId, places }) => {
    await placePieces(db(), member.id, firingId, places);
    refresh();
    return null;
  },
);

/** Says how high the posts of a shelf are. */
export const setPosts = action('setPosts', shelfSchema, async (member, { firingId, shelf, postMm }) => {
  await setShelf(db(), member.id, firingId, shelf, { postMm });
  refresh();
  return null;
});

/** Says when pieces are wanted. */
export const want = action('want', dueSchema, async (member, { pieceIds, dueOn }) => {
  await setDue(db(), member.id, pieceIds, dueOn);
  refresh();
  return null;
});

/** Takes a piece out of a firing that is being loaded. */
export const unloadFiring = action('unloadFiring', unloadSchema, async (member, { firingId, pieceId }) => {
  await unloadPiece(db(), member.id, firingId, pieceId);
  refresh();
  return null;
});

/** Starts a firing: its controller gets the programme, or a hand lights it. Nothing starts if that fails. */
export const startFiring = action('startFiring', startSchema, async (member, { by, at, ...start }) => {
  const light: Light = (kiln, segments) =>
    asked(() => httpDriver(kiln.controller).start(start.sourceId, segments));
  const told = { ...start, at: at === null ? null : new Date(at) };
  await lightKiln(db(), member.id, told, by === 'controller' ? light : null);
  refresh();
  return null;
});

/** Says when a firing began that was told late. */
export const sayLit = action('sayLit', litSchema, async (member, { firingId, at }) => {
  await correctStart(db(), member.id, { firingId, at: new Date(at) });
  refresh();
  return null;
});

/**
 * Ends a firing: its controller stops, where it has one, and the kiln cools. A controller that stays silent does
 * not hold the firing open; its page goes on saying that it is silent.
 */
export const endFiring = action('endFiring', firingIdSchema, async (member, { firingId }) => {
  const source = (await liveSources(db())).find((one) => one.firingId === firingId);
  if (source)
    await httpDriver(source.controller)
      .stop()
      .catch((error: unknown) => {
        if (!(error instanceof ControllerError)) throw error;
        return recordControllerContact(db(), source.id, error.message);
      });
  await advanceFiring(db(), member.id, firingId, 'cooling');
  refresh();
  return null;
});

/** Opens a kiln that has cooled. */
export const openKiln = action('openKiln', firingIdSchema, async (member, { firingId }) => {
  await advanceFiring(db(), member.id, firingId, 'open');
  refresh();
  return null;
});

async function asked<T>(ask: () => Promise<T>): Promise<T> {
  try {
    return await ask();
  } catch (error) {
    if (error instanceof ControllerError)
      throw new Refusal('', `${error.message} Nothing was changed. Look at the kiln, then try again.`);
    throw error;
  }
}

/** Writes down an event or a hand reading; a damper or gas setting goes to a controller that has one. */
export const saveEvent = action('saveEvent', eventSchema, async (member, event) => {
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

/** Writes down the readings of a firing book. */
export const saveBook = action('saveBook', bookSchema, async (member, { firingId, lines }) => {
  const events = lines.map(
    ({ celsius, ...line }) => ({ ...line, kind: 'hand reading', value: celsius }) as const,
  );
  await addEvents(db(), member.id, firingId, events);
  refresh();
  return null;
});

/** Deletes events, or brings them back. */
export const setEventsEnded = action('setEventsEnded', endEventsSchema, async (member, { ids, ended }) => {
  await endEvents(db(), member.id, ids, ended);
  refresh();
  return null;
});

/** Puts down the witness cones of a firing. */
export const saveWitness = action('saveWitness', conesSchema, async (member, { firingId, cones }) => {
  await saveCones(db(), member.id, firingId, cones);
  refresh();
  return null;
});

/** Files a firing that came to another cone, leaves it apart, or takes that back. */
export const fileUnderCone = action('fileUnderCone', fileSchema, async (member, choice) => {
  await fileFiring(db(), member.id, choice);
  refresh();
  return null;
});

/** Says what the atmosphere of a firing came to. */
export const saveAtmosphereReached = action(
  'saveAtmosphereReached',
  atmosphereSchema,
  async (member, said) => {
    await setAtmosphereReached(db(), member.id, said);
    refresh();
    return null;
  },
);

/** Assigns the opening to students: they record all of its pieces. */
export const assignOpening = action('assignOpening', helpersSchema, async (member, said) => {
  await saveHelpers(db(), member.id, said);
  refresh();
  return null;
});

/** Says how full the kiln is. */
export const saveFullness = action('saveFullness', fullnessSchema, async (member, said) => {
  await setFullness(db(), member.id, said);
  refresh();
  return null;
});

/** Takes in a log that was read from a file. */
export const importFiringLog = action(
  'importFiringLog',
  importSchema,
  async (member, { sensors, ...file }) => {
    await importLog(db(), member.id, file, sensors);
    refresh();
    return null;
  },
);

/** Marks a shelf as corrected, or not after all. */
export const markRepaired = action('markRepaired', repairedSchema, async (member, { repairId, done }) => {
  await endRepair(db(), member.id, repairId, done);
  refresh();
  return null;
});

/** Closes an opened firing: the kiln is empty and may be loaded again. */
export const closeOpening = action('closeOpening', closeSchema, async (member, { firingId }) => {
  await advanceFiring(db(), member.id, firingId, 'closed');
  refresh();
  return null;
});
