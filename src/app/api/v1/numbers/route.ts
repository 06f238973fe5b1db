import { z } from 'zod';
import { withMember } from '@/auth';
import { db, giveNumbersBack, reserveNumbers } from '@/records/platform';
import { idSchema } from '@/features/shared/schema';
import { answer, refusal } from '../upload';

const reserveSchema = z.object({ id: idSchema, device: z.string().min(1).max(40) });
const backSchema = z.object({ id: idSchema, from: z.int().min(1) });

/** Does a device's work with its numbers. Same origin only. */
async function answerTo<S extends z.ZodType>(
  request: Request,
  schema: S,
  work: (memberId: string, asked: z.output<S>) => Promise<unknown>,
): Promise<Response> {
  const refused = await refusal(request);
  if (refused) return refused;
  const input: unknown = await request.json().catch(() => null);
  return answer(await withMember('reserveNumbers', schema, input, (member, asked) => work(member.id, asked)));
}

/** Reserves piece numbers for a device that may lose its network. */
export const POST = (request: Request): Promise<Response> =>
  answerTo(request, reserveSchema, (memberId, asked) => reserveNumbers(db(), memberId, asked));

/** Takes numbers of a block back that were not used. */
export const DELETE = (request: Request): Promise<Response> =>
  answerTo(request, backSchema, (memberId, asked) => giveNumbersBack(db(), memberId, asked));
