import { respondWithEtag } from '@/auth';
import { db } from '@/records/platform';
import { sharedWall, visit } from '@/features/wall/server/visit';

/** The shared wall as data, sent again only after a write. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ token: string }> },
): Promise<Response> {
  const share = await visit((await params).token);
  if (!share) return new Response(null, { status: 404 });
  return respondWithEtag(db(), request, async () => {
    const { choice, glazes, grounds, entries } = await sharedWall(share);
    return {
      name: share.name,
      cone: choice.cone,
      atmosphere: choice.atmosphere,
      grounds: grounds.filter(({ id }) => choice.grounds.includes(id)),
      glazes,
      entries,
    };
  });
}
