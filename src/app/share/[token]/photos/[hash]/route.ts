import { answerPicture, hashSchema } from '@/app/api/v1/picture';
import { db } from '@/records/platform';
import { isOnWall } from '@/records/dictionary';
import { sharedChoice, visit } from '@/features/wall/server/visit';

/** A picture of the shared wall; every other picture is as if it were not there. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ token: string; hash: string }> },
): Promise<Response> {
  const { token, hash } = await params;
  const share = await visit(token);
  if (!share || !hashSchema.safeParse(hash).success) return new Response(null, { status: 404 });
  const choice = await sharedChoice(share);
  if (!(await isOnWall(db(), choice, hash))) return new Response(null, { status: 404 });
  return answerPicture(request, hash);
}
