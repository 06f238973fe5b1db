import { z } from 'zod';
import { SIGNED_OUT, type Outcome } from '@/auth';

const MOST_BYTES = 30 * 2 ** 20;

/** An uploaded picture. */
export const pictureSchema = z
  .instanceof(File, { message: 'Choose a picture.' })
  .refine((file) => file.size > 0, 'This picture is empty.')
  .refine((file) => file.size <= MOST_BYTES, 'At most 30 MB.');

/** Whether a request was sent from a page of another site. */
export function isOtherOrigin(request: Request): boolean {
  const origin = request.headers.get('origin');
  return origin !== null && new URL(origin).host !== request.headers.get('host');
}

/** An outcome as an answer: 401 when the member must sign in, 422 when something was wrong. */
export function answer(outcome: Outcome<unknown>): Response {
  const signedOut = !outcome.ok && outcome.faults[0]?.message === SIGNED_OUT;
  return Response.json(outcome, { status: outcome.ok ? 200 : signedOut ? 401 : 422 });
}
