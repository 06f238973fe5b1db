import { refuseReader, respondWithEtag } from '@/auth';
import { db } from '@/records/platform';
import { chooseWall } from '@/features/wall/model/choose';
import { contentOf } from '@/features/wall/server/wallOf';

/** The entries of a wall as its address asks for it, sent again only after a write. */
export async function GET(request: Request): Promise<Response> {
  const refused = await refuseReader('wall');
  if (refused) return refused;
  const asked = Object.fromEntries(new URL(request.url).searchParams);
  return respondWithEtag(db(), request, async (revision) => {
    const { choice, text } = await contentOf(db(), asked, chooseWall, revision);
    return { choice, entries: text };
  });
}
