import type { Group } from '@/records/people';

/** The groups that somebody may come into; a technician may leave it at none, a teacher adds people to own groups. */
export function groupOptions(
  groups: readonly Group[],
  { isTechnician }: { readonly isTechnician: boolean },
): (readonly [string, string])[] {
  const all = groups.map(({ id, name }) => [id, name] as const);
  return isTechnician ? [['', 'none'], ...all] : all;
}
