import { createHash } from 'node:crypto';

/** SHA-256 of a text, base64url: 43 letters. Secrets in links, and keys too long for an index, are kept as this. */
export function hashOf(text: string): string {
  return createHash('sha256').update(text).digest('base64url');
}
