'use server';
import { refresh } from 'next/cache';
import { action } from '@/auth';
import { z } from 'zod';
import { db, inTransaction } from '@/records/platform';
import { judgeGlaze } from '@/records/dictionary';
import { namedSchema } from '@/features/shared/names';
import { blankGlaze } from './model/blankGlaze';
import {
  addBatch,
  addMeasure,
  rememberAlias,
  saveGlaze,
  saveMaterial,
  saveRecipe,
  setVersionInUse,
} from '@/records/materials';
import {
  aliasSchema,
  batchSchema,
  judgeSchema,
  measureSchema,
  recipeSchema,
  saveGlazeSchema,
  saveMaterialSchema,
  versionChoiceSchema,
} from './schema';

/** Adds a glaze or changes what is said about one. */
export const saveGlazeCard = action('saveGlazeCard', saveGlazeSchema, async (member, { glaze, version }) => {
  await saveGlaze(db(), member.id, glaze, version);
  refresh();
  return null;
});

/** Says something of a glaze under one criterion. */
export const sayOfGlaze = action('sayOfGlaze', judgeSchema, async (member, said) => {
  await judgeGlaze(db(), member.id, said);
  refresh();
  return null;
});

/** Notes that a new batch was mixed. */
export const saveBatch = action('saveBatch', batchSchema, async (member, batch) => {
  await addBatch(db(), member.id, batch);
  refresh();
  return null;
});

/** Writes a recipe down; gives the number of the version that holds it. */
export const saveRecipeText = action('saveRecipeText', recipeSchema, async (member, draft) => {
  const number = await saveRecipe(db(), member.id, draft);
  refresh();
  return number;
});

/** Chooses the version of a glaze that is in use. */
export const chooseVersion = action('chooseVersion', versionChoiceSchema, async (member, choice) => {
  await setVersionInUse(db(), member.id, choice);
  refresh();
  return null;
});

/** Adds a material of the studio's own, or changes one. */
export const saveMaterialCard = action(
  'saveMaterialCard',
  saveMaterialSchema,
  async (member, { material, version }) => {
    await saveMaterial(db(), member.id, material, version);
    refresh();
    return null;
  },
);

/** Remembers what a written name of a material means. */
export const saveAlias = action('saveAlias', aliasSchema, async (member, alias) => {
  await rememberAlias(db(), member.id, alias);
  refresh();
  return null;
});

/** Notes how a bucket was measured and what was done about it. */
export const saveMeasure = action('saveMeasure', measureSchema, async (member, measure) => {
  await addMeasure(db(), member.id, measure);
  refresh();
  return null;
});

/** Adds several glazes by their names, all or none. */
export const addGlazes = action('addGlazes', z.object({ named: namedSchema }), async (member, { named }) => {
  await inTransaction(db(), async (trx) => {
    for (const { id, name } of named) await saveGlaze(trx, member.id, blankGlaze(id, name), null);
  });
  refresh();
  return null;
});
