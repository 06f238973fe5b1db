import { requireMember } from '@/auth';
import { db } from '@/records/platform';
import { studioSettings } from '@/records/people';
import { StudioView } from '@/features/people/ui/StudioView';

export const metadata = { title: 'Studio' };

export default async function Page() {
  await requireMember('technician');
  const { value, version } = await studioSettings(db());
  return <StudioView key={version} studio={value} version={version} />;
}
