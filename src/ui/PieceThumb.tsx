import Link from 'next/link';
import type { ListedPiece } from '@/records/pieces';
import { drawnPiece } from './drawn';
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
    <Link href={href} style={{ color: 'inherit', textDecoration: 'none', display: 'block', width: size }}>
      <span
        style={{
          background: 'var(--n8)',
          height: size * 1.15,
          display: 'grid',
          placeItems: 'center',
          overflow: 'hidden',
          color: 'var(--on-n8)',
        }}
      >
        {piece.photoHash ? (
          <img
            src={`/api/v1/photos/${piece.photoHash}?width=${size > 100 ? 320 : 96}`}
            alt={`${what} ${piece.label}`}
            style={{ width: '100%', height: '100%', objectFit: 'cover' }}
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
