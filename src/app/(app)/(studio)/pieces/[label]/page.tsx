import type { Metadata } from 'next';
import { requireMember } from '@/auth';
import { beyondReach, hasRole, makersFor } from '@/records/people';
import { db } from '@/records/platform';
import { piecePage } from '@/records/pieces';
import { orNotFound } from '@/features/shared/notFound';
import { PieceView } from '@/features/pieces/ui/PieceView';

type Props = { params: Promise<{ label: string }> };

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  return { title: (await params).label };
}

export default async function Page({ params }: Props) {
  const member = await requireMember('/pieces/[label]');
  const piece = await orNotFound(piecePage(db(), decodeURIComponent((await params).label)));
  const [beyond, makers, model] = await Promise.all([
    beyondReach(db(), member, 'pieces', { pieceIds: [piece.id] }),
    makersFor(db(), member),
    piece.modelId ? piecePage(db(), piece.modelId) : null,
  ]);
  const mayChange = hasRole(member.role, 'student') && beyond === null;
  return (
    <PieceView
      piece={piece}
      model={model}
      mayChange={mayChange}
      mayTeach={mayChange && hasRole(member.role, 'teacher')}
      makers={mayChange ? makers : []}
      now={new Date()}
    />
  );
}
