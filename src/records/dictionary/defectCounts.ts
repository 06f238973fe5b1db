import type { Db } from '@/records/platform/db';

/** How often a defect was seen, plainly or worse, on the proofs of one headword. */
export interface DefectCount {
  readonly headwordId: string;
  readonly text: string;
  readonly count: number;
}

/** Live plain defects by defect id, each with the headwords that show it most. */
export async function defectCounts(base: Db): Promise<Map<string, DefectCount[]>> {
  const rows: (DefectCount & { defect: string })[] = await base('reading_defect as d')
    .join('reading as r', 'r.id', 'd.reading_id')
    .join('zone as z', 'z.id', 'r.zone_id')
    .join('entry as e', 'e.id', 'z.entry_id')
    .join('headword as h', 'h.id', 'e.headword_id')
    .whereNull('r.ended_at')
    .where('d.severity', '>=', 2)
    .groupBy('d.defect', 'h.id', 'h.text')
    .orderBy([{ column: 'count', order: 'desc' }, 'h.text'])
    .select('d.defect', 'h.id as headwordId', 'h.text', base.raw('cast(count(*) as signed) as count'));
  const found = new Map<string, DefectCount[]>();
  for (const { defect, ...row } of rows) found.set(defect, [...(found.get(defect) ?? []), row]);
  return found;
}
