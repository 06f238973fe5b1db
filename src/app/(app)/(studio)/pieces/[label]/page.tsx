import type { Metadata } from 'next';
import { requireMember } from '@/auth';
import { hasRole } from '@/records/people';
import { db } from '@/records/platform';
import { piecePage } from '@/records/pieces';
import { orNotFound } from '@/features/shared/notFound';
import { PieceView } from '@/features/pieces/ui/PieceView';

type Props = { params: Promise<{ label: string }> };

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  return { title: (await params).label };
}

export default async function Page({ params }: Props) {
  const member = await requireMember();
  const piece = await orNotFound(piecePage(db(), decodeURIComponent((await params).label)));
  const mayChange =
    member.role === 'technician' ||
    member.role === 'teacher' ||
    (member.role === 'student' && piece.memberId === member.id);
  const model = piece.modelId ? await piecePage(db(), piece.modelId) : null;
  return (
    <PieceView
      piece={piece}
      model={model}
      mayChange={mayChange}
      mayTeach={hasRole(member.role, 'teacher')}
      now={new Date()}
    />
  );
}
