import { expose } from 'comlink';
import { materialBook, type Line, type Material } from '@/core/chemistry';
import { triaxialCells } from '@/core/recipe';

/** Reckons every cell of a triaxial off the page's own thread. */
const face = {
  cells: (
    corners: readonly (readonly Line[])[],
    steps: number,
    own: readonly Pick<Material, 'name' | 'analysis'>[],
  ) => triaxialCells(corners, steps, materialBook(own)),
};
export type BlendWorker = typeof face;

expose(face);
