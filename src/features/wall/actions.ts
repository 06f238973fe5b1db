'use server';
import { refresh } from 'next/cache';
import { action } from '@/auth';
import { db } from '@/records/platform';
import { endWall, keepWall, addShare, endShare } from '@/records/dictionary';
import { endSchema, shareSchema, wallNameSchema } from './schema';

/** Keeps the wall in view under a name. */
export const nameWall = action('nameWall', wallNameSchema, async (member, wall) => {
  await keepWall(db(), member.id, wall);
  refresh();
  return null;
});

/** Takes a wall's name away, or gives it back. */
export const setWallEnded = action('setWallEnded', endSchema, async (member, { id, ended }) => {
  await endWall(db(), member.id, id, ended);
  refresh();
  return null;
});

/** Makes a link for visitors; its token stays with the one who made it. */
export const shareWall = action('shareWall', shareSchema, async (member, { share, token, days }) => {
  await addShare(db(), member.id, share, token, days);
  refresh();
  return null;
});

/** Ends a link, or gives it back. */
export const setShareEnded = action('setShareEnded', endSchema, async (member, { id, ended }) => {
  await endShare(db(), member.id, id, ended);
  refresh();
  return null;
});
