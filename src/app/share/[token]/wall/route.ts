import { db } from '@/records/db';
import { markOf } from '@/records/marks';
import { sharedWall, visit } from '@/screens/share/visit';

/** The shared wall as data; its ETag is where the records stand, so that it is sent again only after a write. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ token: string }> },
): Promise<Response> {
  const share = await visit((await params).token);
  if (!share) return new Response(null, { status: 404 });
  const etag = `"${(await markOf(db())).replace(' ', '-')}"`;
  const headers = { ETag: etag, 'Cache-Control': 'private, no-cache' };
  if (request.headers.get('if-none-match') === etag) return new Response(null, { status: 304, headers });
  const { choice, glazes, grounds, entries } = await sharedWall(share);
  return Response.json(
    {
      name: share.name,
      cone: choice.cone,
      atmosphere: choice.atmosphere,
      grounds: grounds.filter(({ id }) => choice.grounds.includes(id)),
      glazes,
      entries,
    },
    { headers },
  );
}
