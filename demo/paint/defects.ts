import { fbm, makeNoise, ramp, type Noise } from './noise';
import type { Painting } from './colour';
import type { PaintedPiece, PaintedZone, Stand } from './scene';
import type { Random } from '../random';

/** What a defect can change: colour, relief (px), shine, and the bare clay to go back to. */
export interface Canvas {
  readonly piece: PaintedPiece;
  readonly stand: Stand;
  readonly painting: Painting;
  readonly bare: Float32Array;
  readonly relief: Float32Array;
  readonly shine: Float32Array;
  readonly inside: Float32Array;
  readonly next: Random;
  readonly noise: Noise;
  /** Round holes that were drawn: what a counter of pits should find. */
  readonly holes: Hole[];
}

/** A pit or pinhole as drawn, px. */
export interface Hole {
  readonly x: number;
  readonly y: number;
  readonly radius: number;
}

interface Patch {
  readonly x0: number;
  readonly x1: number;
  readonly y0: number;
  readonly y1: number;
}

type Painter = (canvas: Canvas, patch: Patch, severity: number) => void;

/** Calls back for each pixel of a patch that lies on the piece. */
function each(
  { stand, inside }: Canvas,
  { x0, x1, y0, y1 }: Patch,
  paint: (i: number, x: number, y: number) => void,
): void {
  for (let y = Math.max(1, y0); y < Math.min(stand.height - 1, y1); y++) {
    for (let x = Math.max(1, x0); x < Math.min(stand.width - 1, x1); x++) {
      const i = y * stand.width + x;
      if (inside[i]! > 0) paint(i, x, y);
    }
  }
}

function scale({ painting }: Canvas, i: number, by: number): void {
  for (let c = 0; c < 3; c++) painting.colour[i * 3 + c]! *= by;
}

function mixTo({ painting }: Canvas, i: number, r: number, g: number, b: number, share: number): void {
  const to = [r, g, b];
  for (let c = 0; c < 3; c++) painting.colour[i * 3 + c]! += (to[c]! - painting.colour[i * 3 + c]!) * share;
}

function strip(canvas: Canvas, i: number, share: number): void {
  mixTo(canvas, i, canvas.bare[i * 3]!, canvas.bare[i * 3 + 1]!, canvas.bare[i * 3 + 2]!, share);
  canvas.shine[i]! *= 1 - share;
}

/** Distance to the nearest and second nearest of jittered lattice points, and a number for the nearest. */
function cells(x: number, y: number, size: number, noise: Noise): readonly [number, number, number] {
  const gx = Math.floor(x / size);
  const gy = Math.floor(y / size);
  let near = 1e9;
  let second = 1e9;
  let id = 0;
  for (let j = -1; j <= 1; j++) {
    for (let i = -1; i <= 1; i++) {
      const cx = gx + i;
      const cy = gy + j;
      const px = (cx + 0.5 + 0.47 * noise(cx * 7.1 + 0.5, cy * 3.3)) * size;
      const py = (cy + 0.5 + 0.47 * noise(cx * 5.7, cy * 9.1 + 0.5)) * size;
      const far = Math.hypot(px - x, py - y);
      if (far < near) {
        second = near;
        near = far;
        id = cx * 131 + cy;
      } else if (far < second) second = far;
    }
  }
  return [near, second, id];
}

/** Primary cracks as cell walls bent by noise; finer ones inside some of the cells. */
const craze: Painter = (canvas, patch, severity) => {
  const { noise } = canvas;
  const size = 105 - severity * 20;
  each(canvas, patch, (i, x, y) => {
    const wx = x + 9 * noise(x / 40, y / 40) + 2 * noise(x / 9, y / 9);
    const wy = y + 9 * noise(x / 40 + 50, y / 40) + 2 * noise(x / 9, y / 9 + 30);
    const [near, second, id] = cells(wx, wy, size, noise);
    const [fineNear, fineSecond] = cells(wx + 300, wy, size * 0.46, noise);
    const wide = 1.05 + 0.5 * noise(x / 50, y / 50 + 9);
    const line = 1 - ramp(0, wide * 1.6, second - near);
    const fine = Math.abs(id % 3) !== 0 ? (1 - ramp(0, wide * 1.1, fineSecond - fineNear)) * 0.5 : 0;
    const crack = Math.max(line, fine);
    if (crack > 0) {
      scale(canvas, i, 1 - 0.5 * crack);
      canvas.relief[i]! -= 0.25 * crack;
    }
  });
};

/** Scatters round marks; `draw` gets the distance from the middle as a share of the radius. */
function scatter(
  canvas: Canvas,
  patch: Patch,
  count: number,
  radius: () => number,
  draw: (i: number, far: number, r: number, angle: number) => void,
  reach = 1,
): Hole[] {
  const { next } = canvas;
  const drawn: Hole[] = [];
  for (let n = 0; n < count; n++) {
    const r = radius();
    const cx = patch.x0 + r + next() * Math.max(1, patch.x1 - patch.x0 - 2 * r);
    const cy = patch.y0 + r + next() * Math.max(1, patch.y1 - patch.y0 - 2 * r);
    const box = {
      x0: Math.floor(cx - r * reach - 1),
      x1: Math.ceil(cx + r * reach + 2),
      y0: Math.floor(cy - r * reach - 1),
      y1: Math.ceil(cy + r * reach + 2),
    };
    each(canvas, box, (i, x, y) => {
      const far = Math.hypot(x - cx, y - cy) / r;
      if (far <= reach) draw(i, far, r, Math.atan2(y - cy, x - cx));
    });
    drawn.push({ x: cx, y: cy, radius: r });
  }
  return drawn;
}

function areaOf({ x0, x1, y0, y1 }: Patch): number {
  return Math.max(0, (x1 - x0) * (y1 - y0)) / 10_000;
}

const pinholes: Painter = (canvas, patch, severity) => {
  const drawn = scatter(
    canvas,
    patch,
    Math.ceil(areaOf(patch) * (1.6 + severity * 2.2)),
    () => 1.6 + canvas.next() * 2,
    (i, far, r) => {
      const hole = 1 - ramp(0.45, 1, far);
      scale(canvas, i, 1 - 0.86 * hole);
      canvas.relief[i]! -= hole * r * 0.7;
      if (far < 0.7) canvas.shine[i] = 0;
    },
  );
  canvas.holes.push(...drawn);
};

const pits: Painter = (canvas, patch, severity) => {
  const drawn = scatter(
    canvas,
    patch,
    Math.ceil(areaOf(patch) * (1.5 + severity * 2.6)),
    () => 2 + canvas.next() ** 2 * 5,
    (i, far, r) => {
      const bowl = far < 1 ? 1 - far * far : 0;
      canvas.relief[i]! -= bowl * r * 0.42;
      canvas.relief[i]! += Math.exp(-(((far - 1.1) / 0.2) ** 2)) * 0.5;
      scale(canvas, i, 1 - 0.42 * bowl);
    },
    1.5,
  );
  canvas.holes.push(...drawn);
};

const blisters: Painter = (canvas, patch, severity) => {
  const foam = () => 3 + canvas.next() ** 3 * (9 + severity * 4);
  for (let burst = 0; burst < 2; burst++) {
    scatter(canvas, patch, Math.ceil(areaOf(patch) * (0.8 + severity * 1.1)), foam, (i, far, r) => {
      if (burst && far < 0.72) {
        canvas.relief[i]! -= (1 - far / 0.72) * r * 0.35 + 1;
        scale(canvas, i, 0.4 + 0.35 * far);
        canvas.shine[i]! *= 0.3;
      } else if (far <= 1) {
        const dome = Math.sqrt(1 - far * far);
        canvas.relief[i]! += dome * r * 0.5;
        scale(canvas, i, 1 + 0.14 * dome);
      }
    });
  }
};

const crawl: Painter = (canvas, patch, severity) => {
  const { noise } = canvas;
  const level = 0.34 - severity * 0.1;
  each(canvas, patch, (i, x, y) => {
    const v = fbm(noise, x / 62, y / 62, 3) - level;
    const bareness = ramp(0, 0.02, v);
    const roll = Math.exp(-(((v + 0.05) / 0.05) ** 2)) * (v < 0.01 ? 1 : 0);
    canvas.relief[i]! += roll * 5 - bareness * 3;
    scale(canvas, i, 1 - 0.1 * roll);
    if (bareness > 0) strip(canvas, i, bareness);
  });
};

/** Flakes that lift with a sharp step and show bare clay; they sit at rims and edges. */
function flakes(reach: number): Painter {
  return (canvas, patch, severity) => {
    const { noise, inside } = canvas;
    each(canvas, patch, (i, x, y) => {
      const atEdge = Math.exp(-inside[i]! / reach) + 0.6 * Math.exp(-(y - patch.y0) / 90);
      const [near, second, id] = cells(x, y, 46, noise);
      const lifted = noise(id * 1.7, id * 0.31) * 0.6 + atEdge * 0.9 > 1.02 - severity * 0.17;
      if (!lifted) return;
      const step = ramp(1, 3.5, second - near);
      strip(canvas, i, step);
      canvas.relief[i]! -= 3 * step - 2 * (1 - step) + 0 * near;
    });
  };
}

const crack: Painter = (canvas, { x0, x1, y0, y1 }) => {
  const { noise, stand } = canvas;
  const start = x0 + (x1 - x0) * (0.3 + 0.4 * canvas.next());
  each(canvas, { x0: stand.left, x1: stand.right, y0: Math.min(y0, stand.rim), y1 }, (i, x, y) => {
    const at = start + 40 * noise(y / 120, 2) + 9 * noise(y / 22, 7) + 2 * noise(y / 5, 3);
    const open = 1 - ramp(0.6, 2.4, Math.abs(x - at));
    if (open > 0) {
      scale(canvas, i, 1 - 0.9 * open);
      canvas.relief[i]! -= 3 * open;
    }
  });
};

const cloud: Painter = (canvas, patch, severity) => {
  each(canvas, patch, (i, x, y) =>
    mixTo(
      canvas,
      i,
      0.72,
      0.74,
      0.73,
      Math.max(0, 0.16 * severity * (0.6 + fbm(canvas.noise, x / 60, y / 60, 3))),
    ),
  );
};

const rough: Painter = (canvas, patch, severity) => {
  each(canvas, patch, (i, x, y) => {
    canvas.shine[i]! *= 0.25;
    canvas.relief[i]! += 0.8 * severity * fbm(canvas.noise, x / 3.5, y / 3.5, 2);
    mixTo(canvas, i, 0.6, 0.57, 0.52, 0.08 * severity);
  });
};

const patches: Painter = (canvas, patch, severity) => {
  each(canvas, patch, (i, x, y) =>
    strip(canvas, i, ramp(0.3 - 0.12 * severity, 0.5, fbm(canvas.noise, x / 110, y / 34, 3)) * 0.6),
  );
};

const fade: Painter = (canvas, patch, severity) => {
  each(canvas, patch, (i) => {
    const [r, g, b] = [0, 1, 2].map((c) => canvas.painting.colour[i * 3 + c]!) as [number, number, number];
    const grey = 0.25 + 0.6 * (0.3 * r + 0.59 * g + 0.11 * b);
    mixTo(canvas, i, grey * 1.02, grey, grey * 0.94, 0.22 * severity);
  });
};

const speck: Painter = (canvas, patch) => {
  scatter(
    canvas,
    patch,
    1,
    () => 5 + canvas.next() * 4,
    (i, far) => {
      const lump = 1 - ramp(0.6, 1, far);
      scale(canvas, i, 1 - 0.8 * lump);
      canvas.relief[i]! += lump * 3;
    },
  );
};

/** How each defect that shows on the face of a piece is drawn; the others (a black core, a warp) do not. */
const PAINTERS: Readonly<Record<string, Painter>> = {
  crazing: craze,
  shivering: flakes(0.03),
  dunting: crack,
  'body-crack': crack,
  crawling: crawl,
  pinholing: pinholes,
  pitting: pits,
  blistering: blisters,
  overfired: pits,
  underfired: rough,
  'dry-wash': rough,
  'slip-lifting': flakes(0.08),
  'colour-loss': fade,
  clouding: cloud,
  patchy: patches,
  'raw-flaking': patches,
  speck,
};

function patchOf(stand: Stand, zone: PaintedZone, place: string, next: Random): Patch {
  const tall = stand.foot - stand.rim;
  const middle = (stand.left + stand.right) / 2;
  const y0 = stand.foot - tall * zone.to;
  const y1 = stand.foot - tall * zone.from;
  const x0 = zone.side === 'right' ? middle : stand.left;
  const x1 = zone.side === 'left' ? middle : stand.right;
  if (place === 'rim') return whole(x0, x1, y0, y0 + (y1 - y0) * 0.35);
  if (place === 'foot' || place === 'thick')
    return whole(x0, x1, y0 + (y1 - y0) * (place === 'foot' ? 0.65 : 0.35), y1);
  if (place !== 'spot') return whole(x0, x1, y0, y1);
  const cx = x0 + (x1 - x0) * (0.25 + 0.5 * next());
  const cy = y0 + (y1 - y0) * (0.25 + 0.5 * next());
  return whole(cx - 50, cx + 50, cy - 50, cy + 50);
}

function whole(x0: number, x1: number, y0: number, y1: number): Patch {
  return { x0: Math.round(x0), x1: Math.round(x1), y0: Math.round(y0), y1: Math.round(y1) };
}

/** Draws every defect the record claims, in its zone and place, by its severity; gives the holes drawn. */
export function drawDefects(canvas: Omit<Canvas, 'noise' | 'holes'>): readonly Hole[] {
  const full: Canvas = { ...canvas, noise: makeNoise(canvas.next), holes: [] };
  for (const zone of canvas.piece.zones) {
    for (const { defect, severity, place } of zone.defects)
      PAINTERS[defect]?.(full, patchOf(canvas.stand, zone, place, canvas.next), severity);
  }
  return full.holes;
}
