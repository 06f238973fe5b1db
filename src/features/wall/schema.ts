import { z } from 'zod';
import { idSchema } from '@/features/shared/schema';

const name = z.string().trim().min(1, 'Type a name.').max(60, 'At most 60 letters.');
/** A wall as it stands in its address. */
const search = z
  .string()
  .max(400)
  .regex(/^[\w=&.%-]*$/, 'is not the address of a wall');

export const newNameSchema = z.object({ name });
export const wallNameSchema = z.object({ id: idSchema, name, search });
export const endSchema = z.object({ id: idSchema, ended: z.boolean() });

/** Days that a link may work. */
export const SHARE_DAYS = [1, 7, 30, 180, 365] as const;

const days = z.literal([...SHARE_DAYS]);

/** What is typed of a new link. */
export const newLinkSchema = z.object({ name, days, recipes: z.boolean(), names: z.boolean() });

export const shareSchema = z.object({
  share: newLinkSchema.omit({ days: true }).extend({ id: idSchema, search }),
  token: z.string().regex(/^[\w-]{43}$/),
  days,
});
