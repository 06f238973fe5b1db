import { notFound } from 'next/navigation';
import { db } from '@/records/platform';
import { newestOnWall } from '@/records/dictionary';
import { Kiosk } from '@/features/wall/ui/Kiosk';
import { RefreshOnChange } from '@/ui/RefreshOnChange';
import { SharedWall, usualSize, type Size } from '@/features/wall/ui/SharedWall';
import { sharedWall, visit } from '@/features/wall/server/visit';
import { z } from 'zod';

const schema = z.object({
  size: z
    .enum(['small', 'medium', 'large'] satisfies Size[])
    .optional()
    .catch(undefined),
  kiosk: z.literal('1').optional().catch(undefined),
});

interface Props {
  readonly params: Promise<{ token: string }>;
  readonly searchParams: Promise<Record<string, string>>;
}

export async function generateMetadata({ params }: Props) {
  return { title: (await visit((await params).token))?.name ?? 'Wall' };
}

export default async function Page({ params, searchParams }: Props) {
  const { token } = await params;
  const share = await visit(token);
  if (!share) notFound();
  const { size, kiosk } = schema.parse(await searchParams);
  const at = `/share/${token}`;
  const wall = await sharedWall(share);
  return (
    <>
      <RefreshOnChange from={`${at}/live`} />
      {kiosk ? (
        <Kiosk entries={await newestOnWall(db(), wall.choice)} at={at} />
      ) : (
        <SharedWall wall={wall} share={share} at={at} size={size ?? usualSize(wall)} />
      )}
    </>
  );
}
