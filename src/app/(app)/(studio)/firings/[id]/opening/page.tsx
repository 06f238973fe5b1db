import { requireMember } from '@/auth';
import { db } from '@/records/platform';
import { kilnById, logOf, conesOf, rateOf } from '@/records/firings';
import { hasRole, reachedPieces, type Member } from '@/records/people';
import { openingOf, phrasesOf, type Opening } from '@/records/openings';
import { samplesFor } from '@/records/pieces';
import { orNotFound } from '@/features/shared/notFound';
import { NothingOfYours } from '@/features/opening/ui/NothingOfYours';
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
  const member = await requireMember('/firings/[id]/opening');
  const whole = await orNotFound(openingOf(db(), (await params).id));
  const opening = await reachedPart(whole, member);
  const { firing } = opening;
  const kiln = await kilnById(db(), firing.kilnId);
  if (firing.state !== 'open' && firing.state !== 'closed')
    return <OpeningGate firing={firing} log={await logOf(db(), firing, kiln, new Date())} />;
  if (opening.pieces.length === 0 && whole.pieces.length > 0) return <NothingOfYours firing={firing} />;
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

/** What of an opening a member records. */
async function reachedPart(opening: Opening, member: Member): Promise<Opening> {
  const ids = opening.pieces.map(({ id }) => id);
  const reached = await reachedPieces(db(), member, opening.firing.id, ids);
  return { ...opening, pieces: opening.pieces.filter(({ id }) => reached.has(id)) };
}
