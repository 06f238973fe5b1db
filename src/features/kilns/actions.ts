'use server';
import { refresh } from 'next/cache';
import { action } from '@/auth';
import { db, saveSetting } from '@/records/platform';
import {
  addPart,
  endPart,
  saveKiln,
  saveProgramme,
  renewFeed,
  firingById,
  saveFiring,
} from '@/records/firings';
import {
  endPartSchema,
  hoursSchema,
  moveSchema,
  nothingSchema,
  partSchema,
  programmeSchema,
  saveKilnSchema,
} from './schema';

/** Notes that a part of a kiln was changed. */
export const savePart = action('savePart', partSchema, async (member, part) => {
  await addPart(db(), member.id, part);
  refresh();
  return null;
});

/** Takes a line out of a kiln's history, or brings it back. */
export const setPartEnded = action('setPartEnded', endPartSchema, async (member, { id, ended }) => {
  await endPart(db(), member.id, id, ended);
  refresh();
  return null;
});

/** Saves a programme. */
export const saveProgrammeForm = action(
  'saveProgrammeForm',
  programmeSchema,
  async (member, { programme, version }) => {
    await saveProgramme(db(), member.id, programme, version);
    refresh();
    return null;
  },
);

/** Says when the studio is open and when no flame burns. */
export const saveHours = action('saveHours', hoursSchema, async (member, { hours, version }) => {
  await saveSetting(db(), member.id, 'hours', hours, version);
  refresh();
  return null;
});

/** Moves a planned firing to another day and hour. */
export const moveFiring = action('moveFiring', moveSchema, async (member, { firingId, version, ...to }) => {
  await saveFiring(db(), member.id, { ...(await firingById(db(), firingId)), ...to }, version);
  refresh();
  return null;
});

/** Makes a new address for the calendar feed; the old one ends. */
export const renewCalendarFeed = action('renewCalendarFeed', nothingSchema, (member) =>
  renewFeed(db(), member.id),
);

/** Adds a kiln, or changes one. */
export const saveKilnForm = action('saveKilnForm', saveKilnSchema, async (member, { kiln, version }) => {
  await saveKiln(db(), member.id, kiln, version);
  refresh();
  return null;
});
