import Link from 'next/link';
import type { Glaze } from '@/records/glazes';
import { GuideWords } from '@/ui/frame';
import { LinkButton } from '@/ui/LinkButton';
import { Swatch } from '@/ui/Swatch';
import css from '@/ui/cards.module.css';
import { Batches } from './Batches';
import { GlazeCard } from './GlazeCard';

interface Props {
  readonly glazes: readonly Glaze[];
  readonly swatches: ReadonlyMap<string, string>;
  readonly at: string | null;
  readonly mayChange: boolean;
}

/** The buckets: swatch from the newest proof, kind, how it behaves, and the advice that goes with it. */
export function GlazesView({ glazes, swatches, at, mayChange }: Props) {
  const chosen = glazes.find((glaze) => glaze.id === at) ?? null;
  return (
    <>
      <GuideWords first={glazes[0]?.name ?? 'Glazes'} last={glazes.at(-1)?.name} />
      <div className={css.titleRow}>
        <h1>Glazes</h1>
        {mayChange && (
          <LinkButton variant="contained" href="/glazes?at=new" sx={{ ml: 'auto' }}>
            Add a glaze
          </LinkButton>
        )}
      </div>
      <div className={css.columns} style={at && mayChange ? undefined : { gridTemplateColumns: '1fr' }}>
        <ul className={css.list}>
          {glazes.length === 0 && <li className={css.row}>No glaze yet. Add the first one.</li>}
          {glazes.map((glaze) => (
            <li key={glaze.id}>
              <Link
                href={`/glazes?at=${glaze.id}`}
                className={css.row}
                aria-current={glaze.id === at}
                scroll={false}
              >
                <Swatch hash={swatches.get(glaze.id) ?? null} colour={glaze.colour} width={64} height={44} />
                <span>
                  <b className={css.name}>{glaze.name}</b>
                  <span className="small quiet">
                    {[glaze.kind, glaze.surface, glaze.movement, glaze.opaque ? null : 'see-through']
                      .filter(Boolean)
                      .join(', ')}
                  </span>
                </span>
                <span>
                  {glaze.advice} {glaze.caution && <span className="heat">{glaze.caution}</span>}
                </span>
              </Link>
            </li>
          ))}
        </ul>
        {mayChange && (chosen || at === 'new') && (
          <div>
            <GlazeCard key={chosen ? `${chosen.id}${chosen.version}` : 'new'} glaze={chosen} />
            {chosen && <Batches key={chosen.id} glaze={chosen} />}
          </div>
        )}
      </div>
    </>
  );
}
