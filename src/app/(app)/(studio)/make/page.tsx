import { figures } from '@/core/units';
import { redirect } from 'next/navigation';
import { defectName } from '@/core/vocabulary';
import { requireMember } from '@/auth';
import { listBodies, listGlazes } from '@/records/materials';
import { db } from '@/records/platform';
import { sensesOf } from '@/records/dictionary';
import { listForms, piecePage } from '@/records/pieces';
import { MakeView } from '@/features/pieces/ui/MakeView';
import { orNotFound } from '@/features/shared/notFound';

export const metadata = { title: 'Make it again' };

const MOVES = ['stable', 'moves', 'runs'];

export default async function Page({ searchParams }: { searchParams: Promise<{ piece?: string }> }) {
  await requireMember('/make');
  const { piece: label } = await searchParams;
  if (!label) redirect('/pieces');
  const model = await orNotFound(piecePage(db(), label));
  const [bodies, glazes, senses, forms] = await Promise.all([
    listBodies(db()),
    listGlazes(db(), { tests: true }),
    sensesOf(db(), model.id),
    listForms(db()),
  ]);
  const own = glazes.filter(({ id }) => model.coats.some(({ glazeId }) => glazeId === id));
  const worst = Math.max(-1, ...senses.map(({ summary }) => MOVES.indexOf(summary?.movement ?? '')));
  return (
    <MakeView
      model={model}
      ownForms={forms}
      bodies={bodies.map(({ id, name }) => ({ id, name }))}
      movement={MOVES[worst] ?? null}
      spread={senses.map(({ headword, summary }) => {
        if (!summary || summary.proofs === 0) return `${headword}: not proved yet.`;
        const bad = summary.defects.map(
          ({ defect, count }) => `${defectName(defect)} ${count} of ${summary.proofs}`,
        );
        const near =
          summary.spread === null
            ? ''
            : `, colours within a difference of ${figures(summary.spread, 1)} of each other`;
        return `${headword}: ${summary.agreeing} of ${summary.proofs} agree${near}${bad.length ? `; ${bad.join(', ')}` : ''}.`;
      })}
      cautions={own.flatMap(({ name, caution, decorative }) => [
        ...(caution ? [`${name}: ${caution}`] : []),
        ...(decorative ? [`${name} is for decorative ware only.`] : []),
      ])}
    />
  );
}
