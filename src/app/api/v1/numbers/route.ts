import { z } from 'zod';
import { withMember } from '@/auth';
import { db, giveNumbersBack, reserveNumbers } from '@/records/platform';
import { idSchema } from '@/features/shared/schema';
import { answer, refusal } from '../upload';

const schema = z.object({ id: idSchema, device: z.string().min(1).max(40) });

/** Reserves piece numbers for a device that may lose its network. Same origin only. */
export async function POST(request: Request): Promise<Response> {
  const refused = await refusal(request);
  if (refused) return refused;
  const input: unknown = await request.json().catch(() => null);
  return answer(
    await withMember('reserveNumbers', schema, input, (member, asked) =>
      reserveNumbers(db(), member.id, asked),
    ),
  );
}

const backSchema = z.object({ id: idSchema, from: z.int().min(1) });

/** Gives numbers of a block back that were not used. Same origin only. */
export async function DELETE(request: Request): Promise<Response> {
  const refused = await refusal(request);
  if (refused) return refused;
  const input: unknown = await request.json().catch(() => null);
  return answer(
    await withMember('reserveNumbers', backSchema, input, (member, asked) =>
      giveNumbersBack(db(), member.id, asked),
    ),
  );
}
