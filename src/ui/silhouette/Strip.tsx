import type { Zone } from '@/core/coats';
import { TALL } from './geometry';

/** Thickness by number of applications: a dip counts 1, a brushed coat a third. */
export function Strip({
  x,
  zones,
  colourOf,
  bodyColour,
}: {
  readonly x: number;
  readonly zones: readonly Zone[];
  readonly colourOf: ReadonlyMap<string, string>;
  readonly bodyColour: string;
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
