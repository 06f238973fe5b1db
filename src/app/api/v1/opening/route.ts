import type { z } from 'zod';
import { withMember } from '@/auth';
import type { Touched } from '@/records/people';
import { db, store } from '@/records/platform';
import { writeOpening } from '@/records/openings';
import { openingWriteSchema } from '@/features/opening/schema';
import { answer, refusal } from '../upload';

/** Whose work one write of an opening touches; a shelf is nobody's. */
function touchedBy({ firingId, write }: z.output<typeof openingWriteSchema>): Touched {
  switch (write.kind) {
    case 'piece':
      return { firingId: write.reading.firingId, pieceIds: [write.reading.pieceId] };
    case 'undo':
      return {
        firingId: write.undone.firingId,
        pieceIds: [write.undone.pieceId],
        readingIds: write.undone.readingIds,
      };
    case 'unlogged':
      return { firingId: write.piece.firingId, isOfOpening: true };
    case 'join':
      return { firingId: write.join.firingId, isOfOpening: true };
    case 'frame':
      return { firingId, photoIds: [write.photo.id] };
    case 'count':
      return { firingId, photoIds: [write.count.photoId] };
    case 'repair':
    case 'repaired':
      return { firingId };
  }
}

/** One write of an opening, done once however often it is sent. Same origin only. */
export async function POST(request: Request): Promise<Response> {
  const refused = await refusal(request);
  if (refused) return refused;
  const input: unknown = await request.json().catch(() => null);
  return answer(
    await withMember(
      'writeOpening',
      openingWriteSchema,
      input,
      (member, asked) => writeOpening(db(), store(), member.id, asked),
      touchedBy,
    ),
  );
}
