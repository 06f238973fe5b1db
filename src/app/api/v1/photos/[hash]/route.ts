import { currentMember } from '@/auth';
import { answerPicture } from '../../picture';

/** A picture by its content hash, to members only. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ hash: string }> },
): Promise<Response> {
  if (!(await currentMember())) return new Response('Sign in first.', { status: 401 });
  return answerPicture(request, (await params).hash);
}
