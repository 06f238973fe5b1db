import { heatName } from '@/core/vocabulary';
import { BUILT_IN, cautionsIn } from '@/core/chemistry';
import { timesWords } from '@/core/coats';
import type { BucketCardFacts } from '@/records/materials';
import { Flame } from '@/ui/Flame';
import { GuideWords } from '@/ui/frame';
import { LinkButton } from '@/ui/LinkButton';
import { Swatch } from '@/ui/Swatch';
import { PrintButton } from '@/ui/PrintButton';
import css from './card.module.css';

/** The cards of all buckets, one a page when printed. */
export function BucketCards({ cards }: { cards: readonly BucketCardFacts[] }) {
  return (
    <>
      <GuideWords first="Bucket cards" />
      <p className={`${css.tools} no-print`}>
        <LinkButton href="/wall/print">Back to print</LinkButton>
        <PrintButton>{`Print ${cards.length} cards`}</PrintButton>
      </p>
      {cards.map((card) => (
        <CardOf key={card.glaze.id} {...card} />
      ))}
    </>
  );
}

/** The card on the bucket, made to be printed. */
export function BucketCard({ card }: { card: BucketCardFacts }) {
  const { glaze } = card;
  return (
    <>
      <GuideWords first={glaze.name} />
      <p className={`${css.tools} no-print`}>
        <LinkButton href={`/glazes/${glaze.id}`}>Back to {glaze.name}</LinkButton>
        <PrintButton>Print the card</PrintButton>
      </p>
      <CardOf {...card} />
    </>
  );
}

/** Name, how it behaves, what to mind, and how it comes out. how it behaves, what to mind, and how it comes out */
function CardOf({ glaze, materials, looks }: BucketCardFacts) {
  const cautions = cautionsIn(materials, BUILT_IN);
  const behaves = [
    glaze.kind,
    glaze.opaque === null ? null : glaze.opaque ? 'opaque' : 'transparent',
    glaze.surface,
    glaze.movement && { stable: 'does not move', moves: 'moves', runs: 'runs' }[glaze.movement],
  ];
  return (
    <article className={css.card}>
      <h1>{glaze.name}</h1>
      <p className={css.behaves}>{behaves.filter(Boolean).join(', ')}</p>
      <ul className={css.looks}>
        {looks.map((look, i) => (
          <li key={i}>
            <Swatch
              hash={look.swatchHash}
              colour={look.colour}
              width={120}
              height={80}
              alt={`Fired on ${look.ground}`}
            />
            <span>
              <b>{look.ground}</b>, {timesWords(look.times)}
              <br />
              {heatName(look.cone)}, <Flame atmosphere={look.atmosphere} />
              <br />
              {[look.surface, look.movement].filter(Boolean).join(', ')}
            </span>
          </li>
        ))}
        {looks.length === 0 && <li>No tile of it alone has been read yet.</li>}
      </ul>
      {glaze.advice && <p className={css.advice}>{glaze.advice}</p>}
      {glaze.caution && <p className="heat">{glaze.caution}</p>}
      {cautions.length > 0 && <p className={css.mind}>Dry materials: {cautions.join(' ')}</p>}
      <p className={css.mind}>Stir before every use, even if somebody stirred ten minutes ago.</p>
    </article>
  );
}
