import { z } from 'zod';
import { idSchema } from '@/features/shared/schema';

const name = z.string().trim().min(1, 'Type a name.').max(60, 'At most 60 letters.');
/** A wall as it stands in its address. */
const search = z
  .string()
  .max(400)
  .regex(/^[\w=&.%-]*$/, 'is not the address of a wall');

export const wallNameSchema = z.object({ id: idSchema, name, search });
export const endSchema = z.object({ id: idSchema, ended: z.boolean() });

/** Days that a link may work. */
export const SHARE_DAYS = [1, 7, 30, 180, 365] as const;

export const shareSchema = z.object({
  share: z.object({ id: idSchema, name, search, recipes: z.boolean(), names: z.boolean() }),
  token: z.string().regex(/^[\w-]{43}$/),
  days: z.literal([...SHARE_DAYS]),
});
