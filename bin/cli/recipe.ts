import { z } from 'zod';
import { isOxide, sumOfAnalysis } from '../../src/core/chemistry';

const amount = z.number('must be a number').min(0, 'must be ≥ 0');

/** The lines of a recipe as every command takes them. */
export const linesSchema = z
  .array(
    z.object({
      material: z.string('must be a name').trim().min(1, 'must not be empty'),
      amount,
      addition: z.boolean('must be true or false').optional(),
    }),
    'must be a list',
  )
  .max(200, 'must have at most 200 lines');

/** Materials of one's own: weight % of the raw material as weighed. */
export const materialsSchema = z.array(
  z.object({
    name: z.string('must be a name').trim().min(1, 'must not be empty'),
    analysis: z.record(z.string(), amount).superRefine((analysis, ctx) => {
      for (const oxide of Object.keys(analysis))
        if (!isOxide(oxide))
          ctx.addIssue({ code: 'custom', path: [oxide], message: 'is not an oxide that is known' });
      const sum = sumOfAnalysis(analysis);
      if (sum <= 0) ctx.addIssue({ code: 'custom', message: 'must have at least one oxide' });
      if (sum > 105)
        ctx.addIssue({ code: 'custom', message: `adds up to ${Number(sum.toFixed(2))} %, more than 105` });
    }),
    loi: amount.optional(),
  }),
  'must be a list',
);
