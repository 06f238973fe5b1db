import { execFileSync } from 'node:child_process';
import { cutOut, zoneBox, type Frame, type Pixels } from '@/core/photo';

/** A double-dipped tile of one glaze of the demo, with one defect all over or none. */
export interface AskedTile {
  readonly glaze: string;
  readonly seed: string;
  readonly defect: 'pitting' | 'pinholing' | 'crazing' | null;
  readonly severity: 1 | 2 | 3;
}

/** The stretch of an asked tile that is glazed. */
export const ZONE = { side: 'outside', from: 0.1, to: 1 } as const;

interface Hole {
  readonly x: number;
  readonly y: number;
  readonly radius: number;
}

/** The glazed zone of a painted tile, the holes that were drawn in it, and its scale. */
export interface PaintedPatch {
  readonly patch: Pixels;
  readonly holes: readonly Hole[];
  readonly mmPerPixel: number;
}

/** Paints tiles in a process of their own: the painter is thirty times slower under Jest. */
export function painted(asked: readonly AskedTile[]): PaintedPatch[] {
  const lines = execFileSync('npx', ['tsx', 'tests/checks/painter.ts'], {
    input: JSON.stringify(asked),
    encoding: 'utf8',
    maxBuffer: 2 ** 30,
    stdio: ['pipe', 'pipe', 'ignore'],
  });
  return lines.trim().split('\n').map(patchOf);
}

function patchOf(line: string): PaintedPatch {
  const { pixels, width, height, frame, holes } = JSON.parse(line) as {
    pixels: string;
    width: number;
    height: number;
    frame: Frame;
    holes: Hole[];
  };
  const box = zoneBox({ width, height }, frame, ZONE);
  return {
    patch: cutOut({ data: Buffer.from(pixels, 'base64'), width, height }, box),
    mmPerPixel: 100 / ((frame.foot - frame.rim) * height),
    holes: holes
      .map((hole) => ({ ...hole, x: hole.x - box.left, y: hole.y - box.top }))
      .filter(({ x, y }) => x > 2 && y > 2 && x < box.width - 2 && y < box.height - 2),
  };
}
