import { notFound } from 'next/navigation';
import { memberOfPage } from '@/door';
import { bucketCard } from '@/records/bucketCard';
import { db } from '@/records/db';
import { BucketCard } from '@/screens/glaze/BucketCard';

export const metadata = { title: 'Bucket card' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  await memberOfPage();
  const card = await bucketCard(db(), (await params).id);
  if (!card) notFound();
  return <BucketCard card={card} />;
}
