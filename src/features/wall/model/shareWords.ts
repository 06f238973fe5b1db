import { colourWords } from '@/core/evidence';
import { defectName } from '@/core/vocabulary';
import type { WallCell } from './cells';

interface Named {
  readonly id: string;
  readonly name: string;
}

/** What a cell is of: a glaze, or one over another. */
export function cellName(below: Named, over: Named): string {
  return below.id === over.id ? below.name : `${over.name} over ${below.name}`;
}

/** What came out, for ears. */
export function cellWords(cell: WallCell): string {
  const entry = cell.quarters.flatMap(({ once, twice }) => [once, twice]).find((one) => one?.colour);
  const look = [entry?.surface, entry?.colour && colourWords(entry.colour)].filter(Boolean).join(', ');
  const defect = cell.worst?.worstDefect ? `, ${defectName(cell.worst.worstDefect)}` : '';
  return `${look || 'not described'}${defect}`;
}
