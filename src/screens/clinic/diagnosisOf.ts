import { causeOf, rank, type CauseId } from '@/core/clinic';
import { defectOf, naturalExperiments, type DefectId } from '@/core/evidence';
import { listCases } from '@/records/cases';
import { doneZones, pieceCase, piecesWith } from '@/records/clinic';
import type { Db } from '@/records/db';
import { NotThere } from '@/records/faults';
import { concerning } from './concerning';
import { testAddress } from './testAddress';
import { toldEvidence, type Told } from './told';

/** Everything a diagnosis shows: the piece's own record, the studio's tiles, and what earlier cases ended with. */
export async function diagnosisOf(base: Db, defect: DefectId, label: string | null, told: readonly Told[]) {
  const [found, zones, pieces, closed] = await Promise.all([
    label
      ? pieceCase(base, label, defect).catch((error: unknown) => {
          if (error instanceof NotThere) return null;
          throw error;
        })
      : null,
    doneZones(base, defect),
    piecesWith(base, defect),
    listCases(base, { open: false, defect }),
  ]);
  const { causes } = rank(defect, { ...found?.evidence, ...toldEvidence(told) });
  const first: CauseId = causes[0]!.cause.id;
  return {
    defect: defectOf(defect)!,
    found,
    experiments: concerning(naturalExperiments(zones), found),
    pieces,
    earlier: closed.map(({ id, number, cause, helped }) => ({
      id,
      number,
      words: `${causeOf(cause!).name}; what helped: ${helped}`,
    })),
    testAt: testAddress(first, found),
    first,
  };
}
