import { type Db, currentRevision } from '@/records/platform';

/**
 * Answers a request by what stands in the records: with 304 while what the asker has is as it was.
 *
 * @param make the answer, given where the records stand; what is sent carries an ETag
 */
export async function respondWithEtag(
  base: Db,
  request: Request,
  make: (mark: string) => Promise<unknown>,
): Promise<Response> {
  const mark = await currentRevision(base);
  const etag = `"${mark}"`;
  const headers = { ETag: etag, 'Cache-Control': 'private, no-cache' };
  if (request.headers.get('if-none-match') === etag) return new Response(null, { status: 304, headers });
  return Response.json(await make(mark), { headers });
}
