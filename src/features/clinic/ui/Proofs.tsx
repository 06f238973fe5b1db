import Link from 'next/link';
import { zoneBracket } from '@/core/photo';
import type { DefectProof } from '@/records/clinic';
import { Photo } from '@/ui/Photo';
import css from './clinic.module.css';

/** The zones that a photo from outside can show. */
function outer(zones: DefectProof['zones']): DefectProof['zones'] {
  return zones.filter(({ area, side }) => area === null && side !== 'inside');
}

/** Pieces that show the defect, their photos to be zoomed; the one in question is marked. */
export function Proofs({
  pieces,
  label,
  at,
}: {
  pieces: readonly DefectProof[];
  label: string | null;
  at: (label: string) => string;
}) {
  if (pieces.length === 0) return null;
  return (
    <ul className={css.proofs} aria-label="Pieces that show it">
      {pieces.map((piece) => (
        <li key={piece.label} aria-current={piece.label === label}>
          {piece.photo ? (
            <Photo
              hash={piece.photo.hash}
              alt={`Photo of ${piece.label}, ${piece.headword}${outer(piece.zones).length ? ', with a bracket where it shows' : ''}`}
              width="100%"
              height={128}
              drawn={{
                ...piece.photo,
                strokes: outer(piece.zones).map((zone) =>
                  zoneBracket(piece.photo!.frame, piece.photo!, zone),
                ),
              }}
            />
          ) : (
            <span className={css.noPhoto}>no photo</span>
          )}
          <Link href={at(piece.label)} className="figures">
            {piece.label}
          </Link>
          <span className="quiet">{piece.headword}</span>
        </li>
      ))}
    </ul>
  );
}
