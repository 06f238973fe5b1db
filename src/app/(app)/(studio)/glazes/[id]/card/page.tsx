import { notFound } from 'next/navigation';
import { requireMember } from '@/auth';
import { bucketCard } from '@/records/materials';
import { db } from '@/records/platform';
import { BucketCard } from '@/features/glazes/ui/BucketCard';

export const metadata = { title: 'Bucket card' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  await requireMember('/glazes/[id]/card');
  const card = await bucketCard(db(), (await params).id);
  if (!card) notFound();
  return <BucketCard card={card} />;
}
