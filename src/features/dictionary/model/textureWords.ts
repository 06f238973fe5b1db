import { counted } from '@/core/units';
import type { OverTexture } from '@/records/dictionary';

/**
 * What an entry shows over textures, in words, counted in pieces.
 *
 * @param only one texture; all of them for 'breaks'
 * @example textureWords([{ texture: 'combed', pieces: 3, breaks: 2, holds: 0 }])
 * // 'combed: 3 pieces, breaks over the edges on 2 of 2'
 */
export function textureWords(textured: readonly OverTexture[], only?: string): string {
  return textured
    .filter(({ texture }) => !only || only === 'breaks' || texture === only)
    .map(({ texture, pieces, breaks, holds }) => {
      const count = `${texture}: ${counted(pieces, 'piece')}`;
      const said = breaks + holds;
      return said === 0 ? count : `${count}, breaks over the edges on ${breaks} of ${said}`;
    })
    .join('; ');
}
