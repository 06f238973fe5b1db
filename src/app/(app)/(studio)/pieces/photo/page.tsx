import { requireMember } from '@/auth';
import { listBodies } from '@/records/materials';
import { db } from '@/records/platform';
import { FirstThings } from '@/features/pieces/ui/FirstThings';
import { PhotoFirst } from '@/features/pieces/ui/PhotoFirst';

export const metadata = { title: 'Photo first' };

export default async function Page() {
  await requireMember('/pieces/photo');
  const bodies = await listBodies(db());
  return bodies.length === 0 ? <FirstThings bodies={0} glazes={1} /> : <PhotoFirst />;
}
