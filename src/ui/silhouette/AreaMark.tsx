import { useId } from 'react';
import { zonesOf } from '@/core/coats';
import type { Side } from '@/core/vocabulary';
import { areaBox, areaPoints, TALL, type DrawnArea, type DrawnCoat } from './geometry';

/**
 * An area of a side: its zones within its outline, or in a dashed box where nobody drew it. A part of its own has no
 * place on the elevation, and an area of flat ware that was not drawn neither.
 */
export function AreaMark({
  area,
  areas,
  coats,
  bodyColour,
  width,
  sides,
  plan,
  body,
  isLit,
}: {
  readonly area: DrawnArea;
  readonly areas: readonly DrawnArea[];
  readonly coats: readonly DrawnCoat[];
  readonly bodyColour: string;
  readonly width: number;
  readonly sides: readonly Side[];
  readonly plan: boolean;
  /** The outline of the piece, which a hand drew beyond. */
  readonly body: string;
  readonly isLit: boolean;
}) {
  const clip = useId();
  const points = areaPoints(area, sides, width, plan);
  const box = plan ? null : areaBox(area, sides, width);
  if (!points && !box) return null;
  const colourOf = new Map(coats.map((coat) => [coat.glaze, coat.colour]));
  const zones = zonesOf(coats, areas).filter((zone) => zone.area === area.name);
  const fillOf = (zone: (typeof zones)[number]) => colourOf.get(zone.stack.at(-1)?.glaze ?? '') ?? bodyColour;
  const line = {
    fill: 'none',
    stroke: isLit ? 'var(--accent)' : 'currentColor',
    strokeWidth: isLit ? 3 : 1,
    vectorEffect: 'non-scaling-stroke',
  } as const;
  if (points) {
    const path = points.map(([x, y]) => `${x},${y}`).join(' ');
    return (
      <g clipPath={`url(#${clip}b)`}>
        <clipPath id={`${clip}b`}>
          <path d={body} />
        </clipPath>
        <clipPath id={clip}>
          <polygon points={path} />
        </clipPath>
        <g clipPath={`url(#${clip})`}>
          {zones.map((zone) => (
            <rect
              key={zone.from}
              x={-width}
              width={3 * width}
              y={plan ? 0 : TALL * (1 - zone.to)}
              height={plan ? TALL : TALL * (zone.to - zone.from)}
              fill={fillOf(zone)}
            />
          ))}
        </g>
        <polygon points={path} {...line} />
      </g>
    );
  }
  return (
    <g>
      {zones.map((zone) => (
        <rect
          key={zone.from}
          {...(zones.length === 1 ? box! : areaBox({ ...zone, side: area.side }, sides, width)!)}
          fill={fillOf(zone)}
        />
      ))}
      <rect {...box!} {...line} strokeDasharray={isLit ? undefined : '3 2'} />
    </g>
  );
}
