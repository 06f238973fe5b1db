import { figures } from '@/core/units';
import Link from 'next/link';
import { stackWords } from '@/core/coats';
import type { PiecePage } from '@/records/pieces';
import { Swatch } from '@/ui/Swatch';
import { nearWords } from '@/features/dictionary';
import { besideModel } from '../model/againstModel';
import css from './piece.module.css';

/** How a piece came out beside the one that it was made after. */
export function AgainstModel({ piece, model }: { piece: PiecePage; model: PiecePage }) {
  const rows = besideModel(piece, model);
  const nameOf = (id: string) => piece.coats.find((coat) => coat.glazeId === id)?.glazeName ?? '?';
  return (
    <section className={css.firing} aria-label="Compared with its model">
      <h2>
        Made like{' '}
        <Link href={`/pieces/${model.label}`} className="figures">
          {model.label}
        </Link>
      </h2>
      {rows.length === 0 && <p className="quiet">Compared when both have been read.</p>}
      {rows.map(({ zone, model: other, away, otherwise }) => (
        <div key={zone.id} className={css.beside}>
          <Swatch hash={zone.swatchHash} colour={zone.colour} width={72} height={54} alt={piece.label} />
          <Swatch hash={other.swatchHash} colour={other.colour} width={72} height={54} alt={model.label} />
          <p>
            {stackWords(zone.stack, nameOf)}
            <br />
            <b>
              {away === null
                ? 'colour not measured'
                : `colour difference ${figures(away, 1)} (${nearWords(away)})`}
            </b>
            {otherwise.length > 0 && `; ${otherwise.join('; ')}`}
          </p>
        </div>
      ))}
    </section>
  );
}
