'use server';
import { refresh } from 'next/cache';
import { z } from 'zod';
import { KILN_PARTS } from '@/core/firing';
import { withMember, type Outcome } from '@/door';
import { db } from '@/records/db';
import { addPart, endPart } from '@/records/kilns';
import { idSchema } from '../pieces/schema';

const partSchema = z.object({
  id: idSchema,
  kilnId: idSchema,
  part: z.enum(KILN_PARTS),
  changedOn: z.iso.date('Choose a day.'),
  note: z.string().trim().max(400, 'At most 400 letters.'),
});

const endPartSchema = z.object({ id: idSchema, ended: z.boolean() });

/** Notes that a part of a kiln was changed. */
export async function keepPart(input: unknown): Promise<Outcome<null>> {
  return withMember('technician', partSchema, input, async (member, part) => {
    await addPart(db(), member.id, part);
    refresh();
    return null;
  });
}

/** Takes a line out of a kiln's history, or brings it back. */
export async function strikePart(input: unknown): Promise<Outcome<null>> {
  return withMember('technician', endPartSchema, input, async (member, { id, ended }) => {
    await endPart(db(), member.id, id, ended);
    refresh();
    return null;
  });
}
