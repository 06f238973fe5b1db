import type { Point } from '@/core/photo';

/** Words on a photo and the spot that they speak of, fractions of the picture. */
export interface PhotoWords {
  readonly at: Point;
  readonly words: string;
}

/** What was drawn and written on a photo, and how large the photo is, px. */
export interface DrawnStrokes {
  readonly width: number;
  readonly height: number;
  readonly strokes: readonly (readonly Point[])[];
  readonly labels?: readonly PhotoWords[];
}

/** Lines and words that point at something, over a photo that is shown whole. */
export function Strokes({ width, height, strokes, labels = [] }: DrawnStrokes) {
  if (strokes.length === 0 && labels.length === 0) return null;
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
      {labels.map((label, i) => (
        <Label key={i} {...label} width={width} height={height} />
      ))}
    </svg>
  );
}

/** Words beside the spot that they speak of, towards the middle of the picture, with an arrow to it. */
function Label({ at, words, width, height }: PhotoWords & { width: number; height: number }) {
  const size = Math.max(width, height) / 28;
  const [x, y] = [at.x * width, at.y * height];
  const toRight = at.x < 0.5;
  const from = { x: x + (toRight ? 2 : -2) * size, y: y + (at.y < 0.2 ? 2.2 : -2.2) * size };
  const [dx, dy] = [x - from.x, y - from.y];
  const long = Math.hypot(dx, dy);
  const [ux, uy] = [dx / long, dy / long];
  const wing = (side: number) =>
    `${x - ux * size * 0.7 - side * uy * size * 0.35},${y - uy * size * 0.7 + side * ux * size * 0.35}`;
  return (
    <g>
      <line x1={from.x} y1={from.y} x2={x} y2={y} stroke="#ffd400" strokeWidth={size / 6} />
      <polygon points={`${x},${y} ${wing(1)} ${wing(-1)}`} fill="#ffd400" />
      <text
        x={from.x}
        y={from.y}
        dy={at.y < 0.2 ? size : 0}
        textAnchor={toRight ? 'start' : 'end'}
        fontSize={size}
        fontWeight={650}
        fontFamily="var(--sans)"
        fill="#ffffff"
        stroke="#000000"
        strokeWidth={size / 4}
        strokeLinejoin="round"
        paintOrder="stroke"
      >
        {words}
      </text>
    </g>
  );
}
