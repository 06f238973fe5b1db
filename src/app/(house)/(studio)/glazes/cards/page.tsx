import { memberOfPage } from '@/door';
import { bucketCards } from '@/records/bucketCard';
import { db } from '@/records/db';
import { BucketCards } from '@/screens/glaze/BucketCard';

export const metadata = { title: 'Bucket cards' };

export default async function Page() {
  await memberOfPage();
  return <BucketCards cards={await bucketCards(db())} />;
}
