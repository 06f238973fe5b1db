import { capital } from '@/core/units';
import { heatName } from '@/core/vocabulary';
import type { Share } from '@/records/dictionary';
import { DefectGlyph } from '@/ui/DefectGlyph';
import { Flame } from '@/ui/Flame';
import { ProofMarks } from '@/ui/ProofMarks';
import { shortDay } from '@/core/time';
import { cellKey, cellsOf, type WallCell } from '../model/cells';
import type { Wall } from '../server/wallOf';
import { smallRows } from '../model/smallRows';
import { cellName, cellWords } from '../model/shareWords';
import css from './share.module.css';

/** Widths of a column, px, by the word in the address. */
const SIZES = { small: 34, medium: 62, large: 120 } as const;
export type Size = keyof typeof SIZES;

/** From so many glazes a wall begins small: its colours, without pictures and marks. */
const MANY = 20;

/** The size a wall begins at. */
export function usualSize({ glazes }: Wall): Size {
  return glazes.length > MANY ? 'small' : 'medium';
}

/** A wall as a visitor sees it: no more script than the page itself needs. */
export function SharedWall({ wall, share, at, size }: { wall: Wall; share: Share; at: string; size: Size }) {
  const cells = cellsOf(wall.entries, wall.choice.grounds);
  const grounds = wall.choice.grounds.map(
    (id) => wall.grounds.find((ground) => ground.id === id)?.name ?? '',
  );
  return (
    <main className={css.page}>
      <header className={css.head}>
        <h1>{share.name}</h1>
        <p>
          {capital(heatName(wall.choice.cone))}, <Flame atmosphere={wall.choice.atmosphere} />.
          {grounds[0] && ` Left half on ${grounds[0]}`}
          {grounds[1] && `, right half on ${grounds[1]}`}
          {grounds[0] && '; the upper glaze once below, twice above.'}
        </p>
        <nav aria-label="Size">
          {(Object.keys(SIZES) as Size[]).map((one) => (
            <a key={one} href={`?size=${one}`} aria-current={one === size || undefined}>
              {one}
            </a>
          ))}
          <a href="?kiosk=1">walk through what is new</a>
        </nav>
      </header>
      {wall.glazes.length === 0 && <p>No tile on this wall yet.</p>}
      <div className={css.scroll} style={{ '--cell': `${SIZES[size]}px` } as React.CSSProperties}>
        <table className={css.wall}>
          <thead>
            <tr>
              <td className={css.corner}>
                over →<br />
                base ↓
              </td>
              {wall.glazes.map((glaze) => (
                <th key={glaze.id} scope="col">
                  <span>{glaze.name}</span>
                </th>
              ))}
            </tr>
          </thead>
          {size === 'small' ? (
            <tbody dangerouslySetInnerHTML={{ __html: smallRows(wall, cells, at) }} />
          ) : (
            <tbody>
              {wall.glazes.map((below) => (
                <tr key={below.id}>
                  <th scope="row">{below.name}</th>
                  {wall.glazes.map((over) => {
                    const cell = cells.get(cellKey(below.id, over.id));
                    const name = cellName(below, over);
                    return (
                      <td key={over.id}>
                        {cell?.headwordId ? (
                          <a
                            href={`${at}/entry/${cell.headwordId}`}
                            aria-label={`${name}: ${cellWords(cell)}`}
                          >
                            <Picture cell={cell} at={at} />
                            <span className={css.marks}>
                              <ProofMarks proofs={cell.proofs} agreeing={cell.agreeing} height={9} most={5} />
                            </span>
                            {cell.worst?.worstDefect && (
                              <span className={css.glyph}>
                                <DefectGlyph id={cell.worst.worstDefect} size={15} />
                              </span>
                            )}
                          </a>
                        ) : (
                          <span className={css.bare} role="img" aria-label={`${name}: not tried`} />
                        )}
                      </td>
                    );
                  })}
                </tr>
              ))}
            </tbody>
          )}
        </table>
      </div>
      <footer className={css.foot}>
        Shared by the studio until {shortDay(share.expiresAt)}. Colours are of test tiles: another kiln gives
        another result. Nothing here says that a surface may touch food.
      </footer>
    </main>
  );
}

function Picture({ cell, at }: { cell: WallCell; at: string }) {
  return (
    <span className={css.picture}>
      {cell.quarters.map(({ once, twice }, i) => (
        <span key={i}>
          {[twice, once].map((entry, level) => (
            <span
              key={level}
              className={entry ? undefined : css.bare}
              style={entry?.colour ? { background: entry.colour } : undefined}
            >
              {entry?.swatchHash && (
                <img
                  src={`${at}/photos/${entry.swatchHash}?width=96`}
                  alt=""
                  loading="lazy"
                  decoding="async"
                />
              )}
            </span>
          ))}
        </span>
      ))}
    </span>
  );
}
