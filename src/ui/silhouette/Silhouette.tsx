'use client';
import { zonesOf, type Zone } from '@/core/coats';
import { shapeOf, type Measures } from '@/core/vocabulary';
import { AreaMark } from './AreaMark';
import { FormParts } from './FormParts';
import {
  bandPath,
  drawnSides,
  EDGE,
  fieldOf,
  halfOf,
  STRIP,
  TALL,
  type DrawnArea,
  type DrawnCoat,
} from './geometry';
import { Strip } from './Strip';

export interface SilhouetteProps extends Measures {
  readonly bodyColour: string;
  readonly coats: readonly DrawnCoat[];
  /** Named parts; those on a side that nobody drew stand in its middle. */
  readonly areas?: readonly DrawnArea[];
  /** Height of the drawing in px. */
  readonly size: number;
  /** Whether the strip that shows thickness by number of coats stands beside it. */
  readonly strip?: boolean;
  /** The zone drawn with an outline. */
  readonly lit?: (Pick<Zone, 'side' | 'from' | 'to'> & { readonly area?: string | null }) | null;
  readonly title?: string;
}

/**
 * The elevation of a piece with its bands to scale: body colour where bare, the top glaze where covered,
 * hatched in the colour below where coats lie over each other. Inside coats are drawn on the left half,
 * outside ones on the right. The strip beside it shows how many applications lie at each height.
 */
export function Silhouette(props: SilhouetteProps) {
  const { form, bodyColour, size, strip = false, lit, title, areas = [] } = props;
  const shape = shapeOf(props);
  const coats = props.coats.filter(({ area }) => area === undefined);
  const { width, above, before, beside } = fieldOf(props);
  const sides = drawnSides(coats, shape);
  const zones = zonesOf(coats);
  const colourOf = new Map(props.coats.map((coat) => [coat.glaze, coat.colour]));
  const stripAt = width + beside + STRIP.gap;
  const total = before + (strip ? stripAt + sides.length * STRIP.width : width + beside) + 2 * EDGE;
  const tall = TALL + above + 2 * EDGE;
  const name = title ?? `${form}, drawn with its bands`;
  const band = (half: ReturnType<typeof halfOf>, from: number, to: number) =>
    bandPath(shape, width, half, from, to);
  const body = band('whole', 0, 1);
  const parts = (kinds: readonly string[]) => (
    <FormParts
      {...{ shape, width, coats: props.coats, areas, zones, bodyColour, colourOf }}
      kinds={kinds}
      lit={lit?.area ?? null}
    />
  );
  return (
    <svg
      height={size}
      width={(size * total) / tall}
      viewBox={`${-EDGE - before} ${-EDGE - above} ${total} ${tall}`}
      {...(name ? { role: 'img', 'aria-label': name } : { 'aria-hidden': true })}
    >
      {parts(['handle', 'spout'])}
      <path d={body} fill={bodyColour} />
      {zones.map((zone) => (
        <Band
          key={`${zone.side}${zone.from}`}
          zone={zone}
          path={band(halfOf(zone.side, sides), zone.from, zone.to)}
          colourOf={colourOf}
          size={size}
        />
      ))}
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
        d={body}
        fill="none"
        stroke="currentColor"
        strokeWidth={size > 60 ? 1.5 : 1}
        vectorEffect="non-scaling-stroke"
      />
      {parts(['lid', 'opening'])}
      {areas.map((area) => (
        <AreaMark
          key={area.name}
          {...{ area, coats: props.coats, areas, bodyColour, width, sides }}
          plan={shape.plan}
          body={body}
          isLit={lit?.area === area.name}
        />
      ))}
      {lit && !lit.area && (
        <path
          d={band(halfOf(lit.side, sides), lit.from, lit.to)}
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
            x={stripAt + i * STRIP.width}
            zones={zones.filter((zone) => zone.side === side)}
            colourOf={colourOf}
            bodyColour={bodyColour}
          />
        ))}
    </svg>
  );
}

/** A zone in the colour of its top layer, hatched in that of the layer below. */
function Band({
  zone: { side, from, stack },
  path,
  colourOf,
  size,
}: {
  readonly zone: Zone;
  readonly path: string;
  readonly colourOf: ReadonlyMap<string, string>;
  readonly size: number;
}) {
  const top = stack.at(-1);
  if (!top) return null;
  const under = colourOf.get(stack.at(-2)?.glaze ?? '');
  const hatch = `h${size}${side}${Math.round(from * 1e4)}${(under ?? '').slice(1)}`;
  return (
    <>
      <path d={path} fill={colourOf.get(top.glaze)} fillOpacity={top.mark !== undefined ? 0.45 : 1} />
      {under && (
        <>
          <pattern
            id={hatch}
            width={3.6}
            height={3.6}
            patternUnits="userSpaceOnUse"
            patternTransform="rotate(45)"
          >
            <rect width={1.5} height={3.6} fill={under} />
          </pattern>
          <path d={path} fill={`url(#${hatch})`} fillOpacity={0.85} />
        </>
      )}
    </>
  );
}
