import { requireMember } from '@/auth';
import { bucketCards } from '@/records/materials';
import { db } from '@/records/platform';
import { BucketCards } from '@/features/glazes/ui/BucketCard';

export const metadata = { title: 'Bucket cards' };

export default async function Page() {
  await requireMember('/glazes/cards');
  return <BucketCards cards={await bucketCards(db())} />;
}
