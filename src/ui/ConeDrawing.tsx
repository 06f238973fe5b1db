/** Large witness cones start with a lean of about 8° (common practice). */
const LEAN = 8;

/** How far the tip of a cone has turned from its foot when it is level with it, beyond the lean, degrees. */
const TURN = 168;

const STEPS = 18;

interface Props {
  /** 0 upright to 90 tip level with its foot. */
  readonly bend: number;
  /** Height of an upright one, px. */
  readonly size: number;
  readonly dim?: boolean;
}

/** A witness cone from the side, bent as it was read. */
export function ConeDrawing({ bend, size, dim = false }: Props) {
  const tall = 100;
  const half = 13;
  const spine: { x: number; y: number; angle: number }[] = [{ x: 0, y: 0, angle: LEAN }];
  for (let i = 1; i <= STEPS; i++) {
    const before = spine[i - 1]!;
    const angle = LEAN + TURN * (Math.min(90, Math.max(0, bend)) / 90) * (i / STEPS);
    const turn = (angle * Math.PI) / 180;
    spine.push({
      x: before.x + (Math.sin(turn) * tall) / STEPS,
      y: before.y - (Math.cos(turn) * tall) / STEPS,
      angle,
    });
  }
  const side = (sign: number) =>
    spine.map(({ x, y, angle }, i) => {
      const wide = half * (1 - (0.88 * i) / STEPS);
      const turn = (angle * Math.PI) / 180;
      return `${(x + sign * wide * Math.cos(turn)).toFixed(1)},${(y + sign * wide * Math.sin(turn)).toFixed(1)}`;
    });
  const outline = [...side(-1), ...side(1).reverse()].join(' ');
  const [wide, high] = [116, 124];
  return (
    <svg
      width={(size * wide) / tall}
      height={(size * high) / tall}
      viewBox={`-26 -108 ${wide} ${high}`}
      aria-hidden
      style={{ opacity: dim ? 0.45 : 1, display: 'block' }}
    >
      <line x1={-26} x2={90} y1={3} y2={3} stroke="currentColor" strokeWidth={1.5} opacity={0.5} />
      <rect x={-20} y={-3} width={40} height={9} fill="var(--bare)" stroke="currentColor" strokeWidth={1.2} />
      <polygon
        points={outline}
        fill="var(--paper)"
        stroke="currentColor"
        strokeWidth={2.2}
        strokeLinejoin="round"
      />
    </svg>
  );
}
