import type { ReadingStage } from '@/core/vocabulary';
import type { PieceFiring, StoredPhoto } from '@/records/pieces';

/** When a photo was taken, as it stands in a list of choices: "after.FIRING", or "before." of a piece not fired yet. */
export type PhotoTimeKey = `${ReadingStage}.${string}`;

/** When a photo was taken; as long as nobody said, after the firing that it was added to. */
export function timeOf({ stage, firingId }: Pick<StoredPhoto, 'stage' | 'firingId'>): PhotoTimeKey {
  return `${stage ?? (firingId ? 'after' : 'before')}.${firingId ?? ''}`;
}

/** The choices, in order of time: before and after each firing. */
export function timesOf(
  firings: readonly Pick<PieceFiring, 'firingId' | 'kiln' | 'number' | 'kind' | 'state'>[],
): (readonly [PhotoTimeKey, string])[] {
  const each = firings.flatMap(({ firingId, kiln, number, kind, state }) => {
    const words = `${kiln} ${number}${kind === 'bisque' ? ', bisque' : ''}`;
    const before = [`before.${firingId}`, `before ${words}`] as const;
    const isOut = state === 'open' || state === 'closed';
    return isOut ? [before, [`after.${firingId}`, `after ${words}`] as const] : [before];
  });
  return [['before.', 'before any firing'], ...each];
}

/** The firing and the side of it that a choice stands for. */
export function readTime(key: PhotoTimeKey): {
  readonly stage: ReadingStage;
  readonly firingId: string | null;
} {
  const [stage, firingId] = key.split('.') as [ReadingStage, string];
  return { stage, firingId: firingId || null };
}
