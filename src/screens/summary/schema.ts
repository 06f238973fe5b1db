import { z } from 'zod';
import { idSchema } from '../pieces/schema';

export const repairedSchema = z.object({ repairId: idSchema, done: z.boolean() });
export const closeSchema = z.object({ firingId: idSchema });
