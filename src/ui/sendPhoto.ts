import { ulid } from 'ulid';
import type { Outcome } from '@/auth';

/**
 * Sends a photo of a piece to the server; sent again with the same id it is the same photo.
 *
 * @returns null when it was stored, or what was wrong
 */
export async function sendPhoto(
  file: Blob,
  pieceId: string,
  firingId: string | null,
  id = ulid(),
): Promise<string | null> {
  const form = new FormData();
  form.set('id', id);
  form.set('pieceId', pieceId);
  if (firingId) form.set('firingId', firingId);
  form.set('file', file);
  try {
    const response = await fetch('/api/v1/photos', { method: 'POST', body: form });
    const outcome = (await response.json()) as Outcome<unknown>;
    return outcome.ok ? null : (outcome.errors[0]?.message ?? 'The photo was not accepted.');
  } catch {
    return 'The server did not answer; the photo is not stored yet. Try again.';
  }
}
