'use client';
import { pieceWords } from '@/features/shared/pieceWords';
import type { ListedPiece } from '@/records/pieces';
import { PieceThumb } from '@/ui/PieceThumb';
import css from './pieces.module.css';

interface Props {
  readonly rows: readonly ListedPiece[];
  /** Ids of those that are chosen. */
  readonly chosen: ReadonlySet<string>;
  readonly isLarge: boolean;
  readonly onTurn: (piece: ListedPiece, isRange: boolean) => void;
}

/** The list of pieces as pictures, each with its number, to be looked over and chosen from. */
export function PieceGallery({ rows, chosen, isLarge, onTurn }: Props) {
  return (
    <ul className={css.gallery} aria-label="Pieces as pictures">
      {rows.map((piece) => (
        <li key={piece.id} data-chosen={chosen.has(piece.id) || undefined}>
          <PieceThumb piece={piece} size={isLarge ? 224 : 108} />
          {isLarge && <span className="small quiet">{pieceWords(piece)}</span>}
          <label className={css.pick}>
            <input
              type="checkbox"
              checked={chosen.has(piece.id)}
              onChange={(event) => onTurn(piece, (event.nativeEvent as unknown as MouseEvent).shiftKey)}
              aria-label={`Choose ${piece.label}`}
            />
          </label>
        </li>
      ))}
    </ul>
  );
}
