import { currentDevice, requireMember } from '@/auth';
import { listBodies } from '@/records/materials';
import { listDevices, studioSettings } from '@/records/people';
import { db, seriesOf } from '@/records/platform';
import { StudioView } from '@/features/people/ui/StudioView';

export const metadata = { title: 'Studio' };

export default async function Page() {
  await requireMember('/studio');
  const [{ value, version }, bodies, series, devices, device] = await Promise.all([
    studioSettings(db()),
    listBodies(db()),
    seriesOf(db()),
    listDevices(db()),
    currentDevice(),
  ]);
  return (
    <StudioView
      {...{ studio: value, version, series, devices }}
      bodies={bodies.map(({ id, name }) => ({ id, name }))}
      deviceId={device?.id ?? null}
    />
  );
}
