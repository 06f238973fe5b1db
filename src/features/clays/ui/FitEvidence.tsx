import { figures } from '@/core/units';
import { reachOf, type Calibration } from '@/core/fit';
import type { StudioTile } from '@/records/materials';
import { FitMark, FitMarkLegend } from '@/ui/FitMark';
import css from './clay.module.css';

const W = 760;
const H = 96;

interface Props {
  readonly calibration: Calibration | null;
  readonly measured: number | null;
  readonly tiles: readonly StudioTile[];
}

/** How the clay's real limit was learned: every tile at what it asks of the clay, crazed above, sound below. */
export function FitEvidence({ calibration, measured, tiles }: Props) {
  const reaches = tiles.map(reachOf);
  const limit = calibration?.enough ? calibration.limit : null;
  const all = [
    ...reaches,
    ...(measured === null ? [] : [measured]),
    ...(limit ? [limit.low, limit.high] : []),
  ];
  const low = Math.floor((Math.min(...all) - 0.2) * 2) / 2;
  const high = Math.ceil((Math.max(...all) + 0.2) * 2) / 2;
  const x = (value: number) => ((value - low) / (high - low)) * W;
  return (
    <section className={css.evidence} aria-labelledby="learned">
      <h2 id="learned">What your tiles say about this clay</h2>
      <p>{wordsOf(calibration, measured)}</p>
      {tiles.length > 0 && (
        <>
          <svg viewBox={`-12 -4 ${W + 24} ${H + 26}`} role="img" aria-label={wordsOf(calibration, measured)}>
            {limit && (
              <>
                <rect
                  x={x(limit.low)}
                  width={x(limit.high) - x(limit.low)}
                  y={0}
                  height={H}
                  fill="var(--edge)"
                />
                <path d={`M${x(limit.value)} 0V${H}`} stroke="var(--ink)" strokeWidth={2.5} />
              </>
            )}
            {measured !== null && (
              <g>
                <path
                  d={`M${x(measured)} 0V${H}`}
                  stroke="var(--accent)"
                  strokeDasharray="6 4"
                  strokeWidth={2}
                />
                <text x={x(measured) + 5} y={10} className={css.tick}>
                  sheet
                </text>
              </g>
            )}
            <line x1={0} x2={W} y1={H} y2={H} stroke="var(--ink)" />
            {Array.from({ length: Math.round((high - low) * 2) + 1 }, (_, i) => low + i / 2).map((n) => (
              <text key={n} x={x(n)} y={H + 17} textAnchor="middle" className={css.tick}>
                {figures(n, 1)}
              </text>
            ))}
            {tiles.map((tile, i) => (
              <g
                key={i}
                transform={`translate(${x(reaches[i]!)} ${(tile.crazed ? 20 : 58) + stagger(reaches, tiles, i)})`}
              >
                <title>{`${tile.example}${tile.count > 1 ? ` and ${tile.count - 1} like it` : ''}`}</title>
                <FitMark crazed={tile.crazed} bold={tile.count > 1} />
              </g>
            ))}
          </svg>
          <p className={css.legend}>
            <FitMarkLegend />
            <span className="quiet">
              each tile at its glaze’s expansion, less what its thickness can bear at its age; bold: several
              alike
            </span>
          </p>
        </>
      )}
    </section>
  );
}

/** Marks that would lie on each other are set a little lower. */
function stagger(reaches: readonly number[], tiles: readonly StudioTile[], at: number): number {
  const before = tiles
    .slice(0, at)
    .filter((tile, i) => tile.crazed === tiles[at]!.crazed && Math.abs(reaches[i]! - reaches[at]!) < 0.04);
  return Math.min(2, before.length) * 11;
}

function wordsOf(calibration: Calibration | null, measured: number | null): string {
  if (!calibration) return 'No tile of a glaze with a recipe, alone on this clay, has been read yet.';
  if (!calibration.enough) {
    const { below, above } = calibration;
    return [
      calibration.why,
      above !== null && `Sound tiles put it above ${figures(above, 2)}.`,
      below !== null && `Crazed ones put it below ${figures(below, 2)}.`,
    ]
      .filter(Boolean)
      .join(' ');
  }
  const { value, low, high, tiles, tilesOf, crazed, sound } = calibration.limit;
  const glazes = Object.keys(tilesOf).length;
  const shift = measured === null ? null : value - measured;
  return [
    `From ${tiles} tiles of ${glazes} glazes, with ${crazed} zones crazed and ${sound} sound so far, this clay behaves like ${figures(value, 2)} (${figures(low, 2)} to ${figures(high, 2)}).`,
    shift !== null &&
      `That is ${figures(Math.abs(shift), 2)} ${shift < 0 ? 'below' : 'above'} its data sheet; verdicts on this clay are shifted by as much.`,
  ]
    .filter(Boolean)
    .join(' ');
}
