import { useEffect, useState } from 'react';

/** Cells that get their pictures in one frame. */
const OF_A_FRAME = 24;

/**
 * How many rows from the first in view may stand with pictures: after the size of cells changed none, then a few
 * more with every frame, so that who zooms on does not wait for what is passed over.
 *
 * @param size of the cells, px
 * @param rows in view
 * @param columns in view
 */
export function useUnfolded(size: number, rows: number, columns: number): number {
  const [unfolded, setUnfolded] = useState({ size, rows: Infinity });
  const ready = unfolded.size === size ? unfolded.rows : 0;
  useEffect(() => {
    if (ready === Infinity) return;
    const frame = requestAnimationFrame(() => {
      const more = ready + Math.max(1, Math.floor(OF_A_FRAME / columns));
      setUnfolded({ size, rows: more < rows ? more : Infinity });
    });
    return () => cancelAnimationFrame(frame);
  }, [size, rows, columns, ready]);
  return ready;
}
