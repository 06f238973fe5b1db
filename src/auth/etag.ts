import { type Db, currentRevision } from '@/records/platform';

/**
 * Answers a request with an ETag of the records' revision: 304 while nothing was written since the asker's answer.
 *
 * @param make the answer, given the revision
 */
export async function respondWithEtag(
  base: Db,
  request: Request,
  make: (revision: string) => Promise<unknown>,
): Promise<Response> {
  const revision = await currentRevision(base);
  const etag = `"${revision}"`;
  const headers = { ETag: etag, 'Cache-Control': 'private, no-cache' };
  if (request.headers.get('if-none-match') === etag) return new Response(null, { status: 304, headers });
  return Response.json(await make(revision), { headers });
}
