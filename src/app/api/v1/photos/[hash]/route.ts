import { refuseReader } from '@/auth';
import { answerPicture } from '../../picture';

/** A picture by its content hash, to members only. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ hash: string }> },
): Promise<Response> {
  const refused = await refuseReader('photos/[hash]');
  if (refused) return refused;
  return answerPicture(request, (await params).hash);
}
