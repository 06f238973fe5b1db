import { memberOfPage } from '@/door';
import { db } from '@/records/db';
import { piecePage } from '@/records/piecePages';
import { CompareView } from '@/screens/compare/CompareView';

export const metadata = { title: 'Compare' };

/** More than eight side by side are too small to judge. */
const MOST = 8;

export default async function Page({
  searchParams,
}: {
  searchParams: Promise<{ pieces?: string; zones?: string }>;
}) {
  await memberOfPage();
  const { pieces: asked = '', zones = '' } = await searchParams;
  const ids = asked.split(',').filter(Boolean).slice(0, MOST);
  const zoneIds = zones.split(',');
  const found = await Promise.all(
    ids.map(async (id, i) => ({
      piece: await piecePage(db(), id).catch(() => null),
      zone: zoneIds[i] ?? '',
    })),
  );
  const there = found.flatMap(({ piece, zone }) => (piece ? [{ piece, zone }] : []));
  return <CompareView pieces={there.map(({ piece }) => piece)} zones={there.map(({ zone }) => zone)} />;
}
