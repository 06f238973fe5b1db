import type { TextureBySide } from '@/core/vocabulary';

/**
 * What was done to the clay, in words; empty when nothing was noted.
 *
 * @example textureWords({ outside: ['combed', 'burnished'], inside: ['smooth'] })
 * // 'outside combed and burnished, inside smooth'
 */
export function textureWords(texture: TextureBySide): string {
  return Object.entries(texture)
    .filter(([, list]) => list.length > 0)
    .map(([side, list]) => `${side} ${list.join(' and ')}`)
    .join(', ');
}
