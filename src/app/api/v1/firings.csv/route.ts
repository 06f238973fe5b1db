import { heatShort } from '@/core/vocabulary';
import Papa from 'papaparse';
import { refuseReader } from '@/auth';
import { db } from '@/records/platform';
import { listFirings } from '@/records/firings';

/** All firings as a spreadsheet, or those of one kiln (`kiln`), newest first. Cones are given as an index: 6 for cone 6, 0 for 01. */
export async function GET(request: Request): Promise<Response> {
  const refused = await refuseReader('firings.csv');
  if (refused) return refused;
  const kilnId = new URL(request.url).searchParams.get('kiln');
  const firings = await listFirings(db(), { ...(kilnId && { kilnId }), limit: 10_000 });
  const lines = firings.map((firing) => ({
    kiln: firing.kilnName,
    firing: firing.number,
    day: firing.plannedOn,
    kind: firing.kind,
    target_cone: heatShort(firing.cone),
    atmosphere: firing.atmosphere,
    state: firing.state,
    programme: firing.programme,
    logged_cone: firing.loggedCone ?? '',
    achieved_cone: firing.achievedCone ?? '',
    pieces: firing.pieces,
    remarks: firing.remarks,
  }));
  return new Response(Papa.unparse(lines, { escapeFormulae: true }), {
    headers: {
      'Content-Type': 'text/csv; charset=utf-8',
      'Content-Disposition': 'attachment; filename="firings.csv"',
    },
  });
}
