import 'server-only';
import { readerUnits, studioNow } from '@/auth';
import type { Units } from '@/core/units';
import { logoOf } from '@/records/people';
import { jpegAt } from '@/records/pieces';
import { db, store } from '@/records/platform';
import type { Letterhead } from '@/ui/pdf';

/** For whom something is printed: the head of the studio's prints and the reader's units. */
export interface PrintFor {
  readonly head: Letterhead;
  readonly units: Units;
}

/** Whoever asks for a print on this request. */
export async function printFor(): Promise<PrintFor> {
  const [units, { name }, hash] = await Promise.all([readerUnits(), studioNow(), logoOf(db())]);
  return { units, head: { studio: name, logo: hash === null ? null : await jpegAt(store(), hash, 720) } };
}
