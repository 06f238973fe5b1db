import { formShape, type Form, type Side } from '@/core/vocabulary';
import { sidesOf, zonesOf, type Area, type Coat, type Zone } from '@/core/coats';

/** A coat with the colours it is drawn in. */
export interface DrawnCoat extends Coat {
  readonly colour: string;
}

export interface SilhouetteProps {
  readonly form: Form;
  readonly heightMm: number;
  readonly widthMm: number;
  readonly bodyColour: string;
  readonly coats: readonly DrawnCoat[];
  /** Named parts; those on a side are drawn in its middle, for nobody says how wide they are. */
  readonly areas?: readonly Area[];
  /** Height of the drawing in px. */
  readonly size: number;
  /** Whether the strip that shows thickness by number of coats stands beside it. */
  readonly strip?: boolean;
  /** The zone drawn with an outline. */
  readonly lit?: (Pick<Zone, 'side' | 'from' | 'to'> & { readonly area?: string | null }) | null;
  readonly title?: string;
}

/** Units of the drawing: the piece stands in a field 100 high. */
const TALL = 100;
const STEPS = 24;

type Half = 'whole' | 'left' | 'right';

/** Which part of the elevation a side is drawn in: inside to the left, outside to the right, as section drawings do. */
export function halfOf(side: Side, sides: readonly Side[]): Half {
  if (side === 'left') return 'left';
  if (side === 'right') return 'right';
  if (sides.length === 1) return 'whole';
  return side === 'inside' ? 'left' : 'right';
}

/** How wide the piece is drawn, in units of its height of 100. */
export function drawnWidth({
  form,
  heightMm,
  widthMm,
}: Pick<SilhouetteProps, 'form' | 'heightMm' | 'widthMm'>): number {
  return formShape(form).plan ? TALL : Math.min(220, (TALL * widthMm) / heightMm);
}

/** The outline of a stretch of one half of a form, as an SVG path. `y` 0 is the rim, 100 the foot. */
export function bandPath(form: Form, width: number, half: Half, from: number, to: number): string {
  const { halfWidth, plan } = formShape(form);
  const middle = width / 2;
  if (plan) return ringPath(middle, half, from, to);
  const at = (i: number) => from + ((to - from) * i) / STEPS;
  const point = (t: number, sign: number) =>
    `${(middle + sign * middle * halfWidth(t)).toFixed(2)} ${(TALL * (1 - t)).toFixed(2)}`;
  const steps = Array.from({ length: STEPS + 1 }, (_, i) => i);
  const right =
    half === 'left'
      ? [`${middle} ${TALL * (1 - from)}`, `${middle} ${TALL * (1 - to)}`]
      : steps.map((i) => point(at(i), 1));
  const left =
    half === 'right'
      ? [`${middle} ${TALL * (1 - to)}`, `${middle} ${TALL * (1 - from)}`]
      : steps.map((i) => point(at(i), -1)).reverse();
  return `M${[...right, ...left].join('L')}Z`;
}

function ringPath(middle: number, half: Half, from: number, to: number): string {
  const [inner, outer] = [from * middle, to * middle];
  const arc = (r: number, sweep: 0 | 1, sign: number) =>
    `A${r} ${r} 0 0 ${sweep} ${middle} ${middle + sign * r}`;
  const rightHalf = `M${middle} ${middle - outer}${arc(outer, 1, 1)}V${middle + inner}${arc(inner || 0.01, 0, -1)}Z`;
  const leftHalf = `M${middle} ${middle - outer}${arc(outer, 0, 1)}V${middle + inner}${arc(inner || 0.01, 1, -1)}Z`;
  return half === 'whole' ? leftHalf + rightHalf : half === 'left' ? leftHalf : rightHalf;
}

/**
 * The elevation of a piece with its bands to scale: body colour where bare, the top glaze where covered,
 * hatched in the colour below where coats lie over each other. Inside coats are drawn on the left half,
 * outside ones on the right. The strip beside it shows how many applications lie at each height.
 */
export function Silhouette(props: SilhouetteProps) {
  const { form, bodyColour, size, strip = false, lit, title } = props;
  const coats = props.coats.filter(({ area }) => area === undefined);
  const width = drawnWidth(props);
  const sides = sidesOf(coats);
  const zones = zonesOf(coats);
  const colourOf = new Map(coats.map((coat) => [coat.glaze, coat.colour]));
  const total = width + (strip ? 8 + sides.length * 16 : 0);
  const hatch = (zone: Zone) =>
    `h${size}${zone.side}${Math.round(zone.from * 1e4)}${(colourOf.get(zone.stack.at(-2)?.glaze ?? '') ?? '').slice(1)}`;
  const name = title ?? `${form}, drawn with its bands`;
  return (
    <svg
      height={size}
      width={(size * (total + 4)) / (TALL + 4)}
      viewBox={`-2 -2 ${total + 4} ${TALL + 4}`}
      {...(name ? { role: 'img', 'aria-label': name } : { 'aria-hidden': true })}
    >
      <path d={bandPath(form, width, 'whole', 0, 1)} fill={bodyColour} />
      {zones.map((zone) => {
        const half = halfOf(zone.side, sides);
        const path = bandPath(form, width, half, zone.from, zone.to);
        const top = zone.stack.at(-1);
        const under = zone.stack.at(-2);
        if (!top) return null;
        const wiped = top.mark !== undefined;
        return (
          <g key={`${zone.side}${zone.from}`}>
            <path d={path} fill={colourOf.get(top.glaze)} fillOpacity={wiped ? 0.45 : 1} />
            {under && (
              <>
                <pattern
                  id={hatch(zone)}
                  width={3.6}
                  height={3.6}
                  patternUnits="userSpaceOnUse"
                  patternTransform="rotate(45)"
                >
                  <rect width={1.5} height={3.6} fill={colourOf.get(under.glaze)} />
                </pattern>
                <path d={path} fill={`url(#${hatch(zone)})`} fillOpacity={0.85} />
              </>
            )}
          </g>
        );
      })}
      {sides.length > 1 && (
        <path
          d={`M${width / 2} 0V${TALL}`}
          stroke="currentColor"
          strokeWidth={1}
          vectorEffect="non-scaling-stroke"
          strokeDasharray="4 3"
        />
      )}
      <path
        d={bandPath(form, width, 'whole', 0, 1)}
        fill="none"
        stroke="currentColor"
        strokeWidth={size > 60 ? 1.5 : 1}
        vectorEffect="non-scaling-stroke"
      />
      {!formShape(form).plan &&
        props.areas?.map((area) => (
          <AreaMark
            key={area.name}
            {...{ area, coats: props.coats, areas: props.areas!, bodyColour, width, sides }}
            isLit={lit?.area === area.name}
          />
        ))}
      {lit && !lit.area && (
        <path
          d={bandPath(form, width, halfOf(lit.side, sides), lit.from, lit.to)}
          fill="none"
          stroke="var(--accent)"
          strokeWidth={3}
          vectorEffect="non-scaling-stroke"
        />
      )}
      {strip &&
        sides.map((side, i) => (
          <Strip
            key={side}
            x={width + 8 + i * 16}
            zones={zones.filter((zone) => zone.side === side)}
            colourOf={colourOf}
            bodyColour={bodyColour}
          />
        ))}
    </svg>
  );
}

/** Thickness by number of applications: a dip counts 1, a brushed coat a third. */
function Strip({
  x,
  zones,
  colourOf,
  bodyColour,
}: {
  x: number;
  zones: readonly Zone[];
  colourOf: ReadonlyMap<string, string>;
  bodyColour: string;
}) {
  return (
    <g transform={`translate(${x} 0)`}>
      <rect
        width={3}
        height={TALL}
        fill={bodyColour}
        stroke="currentColor"
        strokeWidth={1}
        vectorEffect="non-scaling-stroke"
      />
      {zones.map((zone) => {
        let depth = 3;
        return zone.stack.map((layer, i) => {
          const thick = Math.min(8, (layer.way === 'brushed' ? layer.times / 3 : layer.times) * 2.2);
          const left = depth;
          depth += thick;
          return (
            <rect
              key={`${zone.from}${i}`}
              x={left}
              y={TALL * (1 - zone.to)}
              width={thick}
              height={TALL * (zone.to - zone.from)}
              fill={colourOf.get(layer.glaze)}
              stroke="currentColor"
              strokeWidth={0.7}
              vectorEffect="non-scaling-stroke"
            />
          );
        });
      })}
    </g>
  );
}

/** How wide an area is drawn, as a share of the half that it is in. */
const AREA_WIDTH = 0.42;

/** An area of a side: its zones in a dashed box. A part of its own has no place on the elevation. */
function AreaMark({
  area,
  areas,
  coats,
  bodyColour,
  width,
  sides,
  isLit,
}: {
  readonly area: Area;
  readonly areas: readonly Area[];
  readonly coats: readonly DrawnCoat[];
  readonly bodyColour: string;
  readonly width: number;
  readonly sides: readonly Side[];
  readonly isLit: boolean;
}) {
  if (area.side === null || !(area.to > area.from)) return null;
  const half = halfOf(area.side, sides);
  const field = half === 'whole' ? width : width / 2;
  const wide = field * AREA_WIDTH;
  const x = (half === 'right' ? width / 2 : 0) + (field - wide) / 2;
  const box = (from: number, to: number) => ({
    ...{ x, width: wide, y: TALL * (1 - to), height: TALL * (to - from) },
  });
  const colourOf = new Map(coats.map((coat) => [coat.glaze, coat.colour]));
  const zones = zonesOf(coats, areas).filter((zone) => zone.area === area.name);
  return (
    <g>
      {zones.map((zone) => (
        <rect
          key={zone.from}
          {...(zones.length === 1 ? box(area.from, area.to) : box(zone.from, zone.to))}
          fill={colourOf.get(zone.stack.at(-1)?.glaze ?? '') ?? bodyColour}
        />
      ))}
      <rect
        {...box(area.from, area.to)}
        fill="none"
        stroke={isLit ? 'var(--accent)' : 'currentColor'}
        strokeWidth={isLit ? 3 : 1}
        strokeDasharray={isLit ? undefined : '3 2'}
        vectorEffect="non-scaling-stroke"
      />
    </g>
  );
}
