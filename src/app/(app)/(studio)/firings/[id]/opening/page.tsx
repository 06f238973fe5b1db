import { requireMember } from '@/auth';
import { db } from '@/records/platform';
import { kilnById, logOf, conesOf, rateOf } from '@/records/firings';
import { hasRole } from '@/records/people';
import { openingOf, phrasesOf } from '@/records/openings';
import { samplesFor } from '@/records/pieces';
import { orNotFound } from '@/features/shared/notFound';
import { OpeningView } from '@/features/opening/ui/OpeningView';
import { OpeningGate } from '@/features/opening/ui/OpeningGate';

export const metadata = { title: 'Opening' };

export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ id: string }>;
  searchParams: Promise<{ piece?: string }>;
}) {
  const member = await requireMember();
  const opening = await orNotFound(openingOf(db(), (await params).id));
  const { firing } = opening;
  const kiln = await kilnById(db(), firing.kilnId);
  if (firing.state !== 'open' && firing.state !== 'closed')
    return <OpeningGate firing={firing} log={await logOf(db(), firing, kiln, new Date())} />;
  const [cones, rate, phrases, samples] = await Promise.all([
    conesOf(db(), [firing.id]),
    rateOf(db(), firing.id),
    phrasesOf(db()),
    samplesFor(opening.pieces.map((piece) => piece.label)),
  ]);
  return (
    <OpeningView
      opening={opening}
      memberId={member.id}
      start={(await searchParams).piece ?? null}
      phrases={phrases}
      shelves={Math.max(1, kiln.shelves, ...opening.pieces.map((piece) => piece.shelf))}
      samples={samples}
      cones={{ saved: cones.get(firing.id) ?? [], rate, mayWrite: hasRole(member.role, 'teacher') }}
    />
  );
}
