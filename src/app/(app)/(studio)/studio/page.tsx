import { currentDevice, requireMember } from '@/auth';
import { listBodies } from '@/records/materials';
import { listDevices, logoOf, studioSettings } from '@/records/people';
import { db, listSeries } from '@/records/platform';
import { StudioView } from '@/features/people/ui/StudioView';

export const metadata = { title: 'Studio' };

export default async function Page() {
  await requireMember('/studio');
  const [{ value, version }, bodies, series, devices, device, logo] = await Promise.all([
    studioSettings(db()),
    listBodies(db()),
    listSeries(db()),
    listDevices(db()),
    currentDevice(),
    logoOf(db()),
  ]);
  return (
    <StudioView
      {...{ studio: value, version, series, devices, logo }}
      bodies={bodies.map(({ id, name }) => ({ id, name }))}
      deviceId={device?.id ?? null}
    />
  );
}
