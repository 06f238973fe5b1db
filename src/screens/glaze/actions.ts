'use server';
import { refresh } from 'next/cache';
import { withMember, type Outcome } from '@/door';
import { addMeasure } from '@/records/batches';
import { db } from '@/records/db';
import { saveMaterial } from '@/records/materials';
import { saveRecipe } from '@/records/recipes';
import { measureSchema, recipeSchema, saveMaterialSchema } from './schema';

/** Writes a recipe down; gives the number of the version that holds it. */
export async function saveRecipeText(input: unknown): Promise<Outcome<number>> {
  return withMember('teacher', recipeSchema, input, async (member, draft) => {
    const number = await saveRecipe(db(), member.id, draft);
    refresh();
    return number;
  });
}

/** Adds a material of the studio's own, or changes one. */
export async function saveMaterialCard(input: unknown): Promise<Outcome<null>> {
  return withMember('teacher', saveMaterialSchema, input, async (member, { material, version }) => {
    await saveMaterial(db(), member.id, material, version);
    refresh();
    return null;
  });
}

/** Notes how a bucket was measured and what was done about it. */
export async function saveMeasure(input: unknown): Promise<Outcome<null>> {
  return withMember('student', measureSchema, input, async (member, measure) => {
    await addMeasure(db(), member.id, measure);
    refresh();
    return null;
  });
}
