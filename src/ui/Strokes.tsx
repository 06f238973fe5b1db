import type { Point } from '@/core/photo';

/** What was drawn on a photo, and how large the photo is, px. */
export interface DrawnStrokes {
  readonly width: number;
  readonly height: number;
  readonly strokes: readonly (readonly Point[])[];
}

/** Lines drawn to point at something, over a photo that is shown whole. */
export function Strokes({ width, height, strokes }: DrawnStrokes) {
  if (strokes.length === 0) return null;
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      preserveAspectRatio="xMidYMid meet"
      aria-hidden
      style={{ position: 'absolute', inset: 0, width: '100%', height: '100%', pointerEvents: 'none' }}
    >
      {strokes.map((line, i) => (
        <polyline
          key={i}
          points={line.map(({ x, y }) => `${x * width},${y * height}`).join(' ')}
          fill="none"
          stroke="#ffd400"
          strokeWidth={4}
          strokeLinecap="round"
          strokeLinejoin="round"
          vectorEffect="non-scaling-stroke"
        />
      ))}
    </svg>
  );
}
