import { Fold } from '@/ui/Fold';
import { WhoChanged } from '@/ui/WhoChanged';
import Link from 'next/link';
import type { ReactNode } from 'react';
import type { Line } from '@/core/chemistry';
import type { BatchHistory, Glaze, StudioMaterial, RecipeVersion } from '@/records/materials';
import type { Reminder } from '@/records/reminders';
import type { HeadwordOfGlaze, JudgedGlaze } from '@/records/dictionary';
import { GuideWords } from '@/ui/frame';
import { LinkButton } from '@/ui/LinkButton';
import { Swatch } from '@/ui/Swatch';
import { Batches } from './Batches';
import { GlazeCard } from './GlazeCard';
import { JudgePanel } from './JudgePanel';
import type { ClayFit } from './FitRulers';
import { RecipeDesk } from './RecipeDesk';
import css from './glaze.module.css';

interface Props {
  readonly glaze: Glaze;
  readonly swatch: string | null;
  readonly versions: readonly RecipeVersion[];
  readonly materials: readonly StudioMaterial[];
  readonly aliases: Readonly<Record<string, string>>;
  readonly clays: readonly ClayFit[];
  readonly others: readonly { readonly name: string; readonly lines: readonly Line[] }[];
  readonly batches: readonly BatchHistory[];
  readonly bucketNotes: readonly Reminder[];
  readonly headwords: readonly HeadwordOfGlaze[];
  readonly judged: JudgedGlaze;
  /** Notes for the next time it is mixed or used. */
  readonly nextTime: ReactNode;
  readonly mayChange: boolean;
}

/** One glaze: how it is used, and its recipe at work. */
export function GlazeView({ glaze, swatch, headwords, judged, nextTime, mayChange, ...desk }: Props) {
  const facts = [
    glaze.kind,
    glaze.surface,
    glaze.movement,
    glaze.opaque === null ? null : glaze.opaque ? 'opaque' : 'see-through',
  ];
  const dictionary = (
    <section className="no-print">
      <h2>In the dictionary</h2>
      <ul className={css.headwords}>
        {headwords.length === 0 && <li className="quiet">No tile of it has been read yet.</li>}
        {headwords.map((headword) => (
          <li key={headword.id}>
            <Swatch hash={headword.swatchHash} colour={headword.colour} width={44} height={44} />
            <span>
              <Link href={`/entry/${headword.id}`}>{headword.text}</Link>{' '}
              <span className="figures quiet">{headword.proofs}</span>
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
  return (
    <>
      <GuideWords first={glaze.name} />
      <header className={`${css.head} no-print`}>
        <Swatch hash={swatch} colour={glaze.colour} width={150} height={100} />
        <div>
          <h1>{glaze.name}</h1>
          <p className="quiet">{facts.filter(Boolean).join(', ')}</p>
          {glaze.also && <p>Also called {glaze.also}</p>}
          {glaze.advice && <p>{glaze.advice}</p>}
          {glaze.caution && <p className="heat">{glaze.caution}</p>}
        </div>
        <nav aria-label="On this page">
          <a href="#recipe">Recipe</a>
          <a href="#fit">Fit</a>
          <a href="#what-if">What if</a>
          <a href="#batch">Batch</a>
          <a href="#bucket">Bucket</a>
          <a href="#versions">Versions</a>
          <a href="#judge">Judged</a>
          <LinkButton href={`/glazes/${glaze.id}/card`} size="small">
            Bucket card
          </LinkButton>
        </nav>
      </header>
      <div className="no-print">{nextTime}</div>
      {/* Who glazes with it asks how it looks; who mixes it, what is in it. */}
      {!mayChange && dictionary}
      <RecipeDesk glaze={glaze} mayChange={mayChange} {...desk} />
      <div className="no-print">
        <JudgePanel {...{ glaze, judged }} mayJudge={mayChange} />
      </div>
      <div className={`${css.columns} no-print`}>
        {mayChange && dictionary}
        {mayChange && (
          <div>
            <Batches glaze={glaze} />
            <Fold title="Edit details">
              <GlazeCard key={glaze.version} glaze={glaze} />
            </Fold>
            <WhoChanged id={glaze.id} />
          </div>
        )}
      </div>
    </>
  );
}
