import { z } from 'zod';
import { otherMemberFailure, type FailureCode, type Outcome } from '@/auth';
import { WRITER_HEADER } from '@/features/shared/writer';

const MOST_BYTES = 30 * 2 ** 20;

/** An uploaded picture. */
export const pictureSchema = z
  .instanceof(File, { message: 'Choose a picture.' })
  .refine((file) => file.size > 0, 'This picture is empty.')
  .refine((file) => file.size <= MOST_BYTES, 'At most 30 MB.');

/** Whether a request was sent from a page of another site. */
function isOtherOrigin(request: Request): boolean {
  const origin = request.headers.get('origin');
  return origin !== null && new URL(origin).host !== request.headers.get('host');
}

const STATUS: Partial<Record<FailureCode, number>> = { 'signed out': 401, 'other member': 409 };

/** An outcome as an answer: 401 when the member must sign in, 409 when another one is signed in, 422 when something was wrong. */
export function answer(outcome: Outcome<unknown>): Response {
  return Response.json(outcome, { status: outcome.ok ? 200 : (STATUS[outcome.code] ?? 422) });
}

/** What to answer a write that must not be done at all: one from another site's page, or under another member's session; null when it may go on. */
export async function refusal(request: Request): Promise<Response | null> {
  if (isOtherOrigin(request)) return new Response('Other origin.', { status: 403 });
  const failure = await otherMemberFailure(request.headers.get(WRITER_HEADER));
  return failure && answer(failure);
}
