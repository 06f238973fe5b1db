'use client';
import Button from '@mui/material/Button';
import Link from 'next/link';
import { LinkButton } from '@/ui/LinkButton';
import { useUndo } from '@/ui/Undo';
import { ForRole } from '@/ui/ForRole';
import { ScanButton } from '@/ui/scan';
import { pieceOrWords, type FindPiece } from './findPiece';
import { compareAddress, isSame, useBench } from './BenchContext';
import css from './frame.module.css';

/** The strip at the foot of every page with what was picked up and what can be done with it. */
export function Bench({ findPiece }: { readonly findPiece: FindPiece }) {
  const { held, open, setOpen, toggle, clear, lay } = useBench();
  const pickUp = async (number: string) => {
    const piece = await pieceOrWords(findPiece, number);
    if (typeof piece === 'string') return piece;
    if (!held.some((one) => isSame(one, piece))) toggle(piece);
    return `${piece.label} lies on the bench. The next label, or Close.`;
  };
  const { offer, bar } = useUndo();
  const ids = [...new Set(held.map((piece) => piece.id))].join(',');
  return (
    <section className={css.bench} data-empty={held.length === 0 || undefined} aria-label="Bench">
      <button
        type="button"
        className={css.tool}
        onClick={() => setOpen(!open)}
        aria-expanded={open}
        title="Bench (b)"
      >
        Bench{' '}
        <span className="figures" style={{ marginLeft: 6 }}>
          {held.length}
        </span>
      </button>
      {open && (
        <ForRole least="student">
          <ScanButton className={css.tool} label="Pick up by label" onNumber={pickUp} />
        </ForRole>
      )}
      {open && held.length === 0 && (
        <span className="quiet small">Pick pieces up with p to compare them or make them again.</span>
      )}
      {open && held.length > 0 && (
        <>
          <ul className={css.benchItems}>
            {held.map((piece) => (
              <li key={`${piece.id} ${piece.zoneId}`} className={css.benchItem}>
                <Link href={`/pieces/${piece.label}`} title={piece.label}>
                  {piece.photoHash ? (
                    <img src={`/api/v1/photos/${piece.photoHash}?width=96`} alt={piece.label} />
                  ) : (
                    <span className="small figures">{piece.label.split('-')[1]}</span>
                  )}
                </Link>
                <button
                  type="button"
                  className={css.drop}
                  onClick={() => toggle(piece)}
                  aria-label={`Put ${piece.label} back`}
                >
                  ×
                </button>
              </li>
            ))}
          </ul>
          {held.length > 1 && (
            <LinkButton size="small" variant="contained" href={compareAddress(held)} title="Compare (c)">
              Compare
            </LinkButton>
          )}
          <Button size="small" component="a" href={`/api/v1/handout?pieces=${ids}`} target="_blank">
            Handout
          </Button>
          <LinkButton size="small" href={`/pieces/new?like=${held.at(-1)!.id}`}>
            Make one like it
          </LinkButton>
          <Button
            size="small"
            variant="text"
            onClick={() => {
              offer('Bench cleared', () => lay(held));
              clear();
            }}
          >
            Clear
          </Button>
        </>
      )}
      {bar}
    </section>
  );
}
