import { requireMember } from '@/auth';
import { db } from '@/records/platform';
import { piecePage } from '@/records/pieces';
import { CompareView } from '@/features/pieces/ui/CompareView';

export const metadata = { title: 'Compare' };

/** More than eight side by side are too small to judge. */
const MOST = 8;

export default async function Page({
  searchParams,
}: {
  searchParams: Promise<{ pieces?: string; zones?: string; shelf?: string }>;
}) {
  await requireMember('/compare');
  const { pieces = '', zones = '', shelf } = await searchParams;
  const ids = pieces.split(',').filter(Boolean).slice(0, MOST);
  const zoneIds = zones.split(',');
  const found = await Promise.all(ids.map((id) => piecePage(db(), id).catch(() => null)));
  const asked = found.flatMap((piece, place) =>
    piece ? [{ piece, place, zoneId: zoneIds[place] ?? '' }] : [],
  );
  const countsShelf = shelf === 'counts';
  const address = new URLSearchParams({ pieces, zones, ...(!countsShelf && { shelf: 'counts' }) });
  return <CompareView asked={asked} countsShelf={countsShelf} otherWay={`/compare?${address.toString()}`} />;
}
