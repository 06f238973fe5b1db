import { z } from 'zod';
import { idSchema } from '@/features/shared/schema';

const words = (most: number) => z.string().trim().max(most, `At most ${most} letters.`);

const orderSchema = z.object({
  id: idSchema,
  name: words(80).min(1, 'Type a name.'),
  wanted: words(200),
  count: z.int('A whole number.').min(1, 'At least one.').max(2000, 'At most 2000.'),
  dueOn: z.iso.date('Choose a day.').nullable(),
  price: words(40),
  note: words(2000),
});

/** What is typed of an order. */
export const orderFormSchema = orderSchema.extend({
  dueOn: z.literal('').or(z.iso.date('Choose a day.')),
});
export const saveOrderSchema = z.object({ order: orderSchema, version: z.int().nullable() });
export const endOrderSchema = z.object({ id: idSchema, isEnded: z.boolean() });
