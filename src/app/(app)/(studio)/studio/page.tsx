import { notFound } from 'next/navigation';
import { requireMember } from '@/auth';
import { db } from '@/records/platform';
import { hasRole, studioSettings } from '@/records/people';
import { StudioView } from '@/features/people/ui/StudioView';

export const metadata = { title: 'Studio' };

export default async function Page() {
  const member = await requireMember();
  if (!hasRole(member.role, 'technician')) notFound();
  const { value, version } = await studioSettings(db());
  return <StudioView key={version} studio={value} version={version} />;
}
