'use client';
import { figures } from '@/core/units';
import { useState } from 'react';
import { MAP_EDGES, type AnalysisResult } from '@/core/chemistry';
import css from './glaze.module.css';

/** One glaze or version on the map. */
export interface MapPoint {
  readonly name: string;
  readonly analysis: AnalysisResult;
  readonly kind: 'this' | 'version' | 'other';
}

const W = 380;
const H = 300;
const [SILICA, ALUMINA] = [MAP_EDGES.silica, MAP_EDGES.alumina];
const x = (alumina: number) => ((alumina - ALUMINA[0]) / (ALUMINA[1] - ALUMINA[0])) * W;
const y = (silica: number) => H - ((silica - SILICA[0]) / (SILICA[1] - SILICA[0])) * H;

/** Where a line of equal silica to alumina leaves the map. */
function ratioLine(ratio: number): string {
  const start = Math.max(ALUMINA[0], SILICA[0] / ratio);
  const end = Math.min(ALUMINA[1], SILICA[1] / ratio);
  return `M${x(start)} ${y(start * ratio)}L${x(end)} ${y(end * ratio)}`;
}

const FIELDS = [
  { name: 'matte', at: [1.08, 3.2] },
  { name: 'satin', at: [1.06, 6.3] },
  { name: 'gloss', at: [0.66, 6.6] },
  { name: 'stiff', at: [0.36, 7.4] },
  { name: 'crazed', at: [0.22, 1.5] },
] as const;

/** The silica to alumina map: this glaze, its versions and the studio's others as points, by hover or by keys. */
export function GlazeMap({ points }: { points: readonly MapPoint[] }) {
  const [over, setOver] = useState<MapPoint | null>(null);
  const on = points.filter(({ analysis: { mapField } }) => mapField !== null && mapField !== 'outside');
  const own = points.find((point) => point.kind === 'this');
  const shown = over ?? own;
  const { silicaBelow, aluminaBelow } = MAP_EDGES.crazed;
  return (
    <figure className={css.map} aria-label="Silica to alumina map">
      <svg viewBox={`-34 -10 ${W + 44} ${H + 44}`}>
        <rect x={0} y={0} width={W} height={H} fill="none" stroke="var(--ink)" />
        {[MAP_EDGES.matteBelow, MAP_EDGES.glossFrom, MAP_EDGES.stiffAbove].map((ratio) => (
          <path key={ratio} d={ratioLine(ratio)} stroke="var(--quiet)" strokeDasharray="5 4" fill="none" />
        ))}
        <path
          d={`M0 ${y(silicaBelow)}H${x(aluminaBelow)}V${H}`}
          stroke="var(--quiet)"
          strokeDasharray="5 4"
          fill="none"
        />
        {FIELDS.map(({ name, at: [alumina, silica] }) => (
          <text key={name} x={x(alumina)} y={y(silica)} className={css.field} textAnchor="middle">
            {name}
          </text>
        ))}
        {[0.2, 0.4, 0.6, 0.8, 1, 1.2].map((n) => (
          <text key={n} x={x(n)} y={H + 15} textAnchor="middle" className={css.tick}>
            {n}
          </text>
        ))}
        {[1, 2, 3, 4, 5, 6, 7, 8].map((n) => (
          <text key={n} x={-7} y={y(n) + 4} textAnchor="end" className={css.tick}>
            {n}
          </text>
        ))}
        <text x={W / 2} y={H + 31} textAnchor="middle" className={css.tick}>
          alumina, moles
        </text>
        <text
          x={-24}
          y={H / 2}
          textAnchor="middle"
          className={css.tick}
          transform={`rotate(-90 -24 ${H / 2})`}
        >
          silica, moles
        </text>
        {[...on]
          .sort((a, b) => ORDER[a.kind] - ORDER[b.kind])
          .map((point) => (
            <Mark key={`${point.kind}${point.name}`} point={point} onOver={setOver} />
          ))}
      </svg>
      <figcaption>
        <b>{shown?.name ?? ''}</b>{' '}
        {shown && (
          <>
            {shown.analysis.mapField ?? 'no formula'}
            {shown.analysis.silicaAlumina !== null && (
              <span className="figures">, {figures(shown.analysis.silicaAlumina, 2)}</span>
            )}
          </>
        )}
        <span className="small quiet">
          Edges are approximate: porcelain glazes at cone 11 with 0.3 KNaO 0.7 CaO (Stull 1912). Elsewhere a
          hint only.
        </span>
      </figcaption>
    </figure>
  );
}

const ORDER = { other: 0, version: 1, this: 2 };

function Mark({ point, onOver }: { point: MapPoint; onOver: (point: MapPoint | null) => void }) {
  const { SiO2 = 0, Al2O3 = 0 } = point.analysis.unity;
  const at = { cx: x(Al2O3), cy: y(SiO2) };
  return (
    <g
      tabIndex={0}
      role="img"
      aria-label={`${point.name}: ${point.analysis.mapField}`}
      className={css.mark}
      onMouseEnter={() => onOver(point)}
      onMouseLeave={() => onOver(null)}
      onFocus={() => onOver(point)}
      onBlur={() => onOver(null)}
    >
      <circle {...at} r={12} fill="transparent" />
      {point.kind === 'this' ? (
        <path
          d={`M${at.cx - 9} ${at.cy}h18M${at.cx} ${at.cy - 9}v18`}
          stroke="var(--accent)"
          strokeWidth={3.5}
        />
      ) : (
        <circle
          {...at}
          r={point.kind === 'version' ? 5 : 3.5}
          fill={point.kind === 'version' ? 'none' : 'var(--quiet)'}
          stroke={point.kind === 'version' ? 'var(--accent)' : 'none'}
          strokeWidth={2}
        />
      )}
    </g>
  );
}
