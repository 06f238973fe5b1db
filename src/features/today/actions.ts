'use server';
import { refresh } from 'next/cache';
import { z } from 'zod';
import { action } from '@/auth';
import { db } from '@/records/platform';
import { FIRST_STEPS, skipFirstStep } from '@/records/rounds';

/** Skips one of a new studio's first steps, or puts all of them away. */
export const skipStep = action(
  'skipStep',
  z.object({ step: z.enum([...FIRST_STEPS, 'all']) }),
  async (member, { step }) => {
    await skipFirstStep(db(), member.id, step);
    refresh();
    return null;
  },
);
