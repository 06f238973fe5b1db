import { PLAIN_SEVERITY, ITSELF, PIECE_FAULT_IDS } from '@/core/vocabulary';
import { NOT_WANTED } from './wanted';
import type { Db } from '@/records/platform/db';

/** On how many pieces a defect of the glazes was seen, plainly or worse, among the proofs of one headword. */
export interface DefectCount {
  readonly headwordId: string;
  readonly text: string;
  readonly count: number;
}

/** Live plain defects by defect id, each with the headwords that show it most. */
export async function defectCounts(base: Db): Promise<Map<string, DefectCount[]>> {
  const rows: (DefectCount & { defect: string })[] = await base('reading_defect as d')
    .join('reading as r', 'r.id', 'd.reading_id')
    .join('piece as p', 'p.id', 'r.piece_id')
    .join('zone as z', 'z.id', 'r.zone_id')
    .join('entry as e', 'e.id', 'z.entry_id')
    .join('headword as h', 'h.id', 'e.headword_id')
    .whereNull('r.ended_at')
    .whereRaw(NOT_WANTED)
    .where('d.severity', '>=', PLAIN_SEVERITY)
    .whereNot('d.place', ITSELF)
    .whereNotIn('d.defect', PIECE_FAULT_IDS)
    .groupBy('d.defect', 'h.id', 'h.text')
    .orderBy([{ column: 'count', order: 'desc' }, 'h.text'])
    .select(
      'd.defect',
      'h.id as headwordId',
      'h.text',
      base.raw('cast(count(distinct z.piece_id) as signed) as count'),
    );
  const found = new Map<string, DefectCount[]>();
  for (const { defect, ...row } of rows) found.set(defect, [...(found.get(defect) ?? []), row]);
  return found;
}
