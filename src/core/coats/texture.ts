import type { Texture, TextureBySide } from '../vocabulary';
import type { WrittenArea, Zone } from './model';

/**
 * What was done to the clay below a zone: on an area its own treatment with that of its side, on a half of a split face
 * that of the whole with its own.
 */
export function textureAt(
  piece: { readonly texture: TextureBySide; readonly areas: readonly WrittenArea[] },
  { side, area }: Pick<Zone, 'side'> & { readonly area?: string | null },
): Texture[] {
  const own = piece.areas.find(({ name }) => name === area);
  // A part of its own has the texture of no side.
  const on = own ? own.side : side;
  const isHalf = on === 'left' || on === 'right';
  const all = [
    ...(own?.texture ?? []),
    ...(on ? (piece.texture[on] ?? []) : []),
    ...(isHalf ? (piece.texture.outside ?? []) : []),
  ];
  return [...new Set(all)];
}

/** Whether a glaze could break over it: a smooth or burnished face has no edges. */
export function hasRelief(textures: readonly Texture[]): boolean {
  return textures.some((texture) => texture !== 'smooth' && texture !== 'burnished');
}
