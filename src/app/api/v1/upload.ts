import { z } from 'zod';

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
