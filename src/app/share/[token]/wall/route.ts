import { unlessAsBefore } from '@/door';
import { db } from '@/records/db';
import { sharedWall, visit } from '@/screens/share/visit';

/** The shared wall as data, sent again only after a write. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ token: string }> },
): Promise<Response> {
  const share = await visit((await params).token);
  if (!share) return new Response(null, { status: 404 });
  return unlessAsBefore(db(), request, async () => {
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
