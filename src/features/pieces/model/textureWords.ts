import type { ListedPiece } from '@/records/pieces';

/**
 * What was done to the clay, by side and by area, in words; empty when nothing was noted.
 *
 * @example textureWords({ texture: { outside: ['combed', 'burnished'], inside: ['smooth'] }, areas: [] })
 * // 'outside combed and burnished, inside smooth'
 */
export function textureWords({ texture, areas }: Pick<ListedPiece, 'texture' | 'areas'>): string {
  const treated = [
    ...Object.entries(texture),
    ...areas.map(({ name, texture: own }) => [name, own] as const),
  ];
  return treated
    .filter(([, list]) => list.length > 0)
    .map(([place, list]) => `${place} ${list.join(' and ')}`)
    .join(', ');
}
