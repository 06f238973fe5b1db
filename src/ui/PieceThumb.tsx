import Link from 'next/link';
import type { ListedPiece } from '@/records/pieces';
import { drawnPiece } from './drawn';
import css from './pieceThumb.module.css';
import { Silhouette } from './silhouette';

/** A piece as a small picture with its number: its photo, or its silhouette until there is one. */
export function PieceThumb({
  piece,
  size = 96,
  href = `/pieces/${piece.label}`,
}: {
  piece: ListedPiece;
  size?: number;
  href?: string;
}) {
  const what = piece.isDescribed ? piece.form : 'piece';
  return (
    <Link href={href} className={css.thumb} style={{ width: size }}>
      <span className={css.picture} style={{ height: Math.round(size * 1.15) }}>
        {piece.photoHash ? (
          <img
            src={`/api/v1/photos/${piece.photoHash}?width=${size > 100 ? 320 : 96}`}
            alt={`${what} ${piece.label}`}
            loading="lazy"
            decoding="async"
          />
        ) : (
          <Silhouette
            {...drawnPiece(piece)}
            size={Math.round(Math.min(size * 0.8, (size * 0.85 * piece.heightMm) / piece.widthMm))}
            title={`${what} ${piece.label}, not photographed`}
          />
        )}
      </span>
      <span className="figures small">{piece.label}</span>
    </Link>
  );
}
