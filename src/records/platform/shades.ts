import type { HexShare } from '@/core/colour';
import { fromJson } from './db';

/** The colours of a zone as its column `palette` keeps them, the largest share first; none for null. */
export function shadesOf(json: string | null): readonly HexShare[] {
  return json === null ? [] : fromJson<HexShare[]>(json);
}
