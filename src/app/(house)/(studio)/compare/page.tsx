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
  const pieces = await Promise.all(ids.map((id) => piecePage(db(), id).catch(() => null)));
  return <CompareView pieces={pieces.filter((piece) => piece !== null)} zones={new Set(zones.split(','))} />;
}
