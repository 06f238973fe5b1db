import { heldText } from '@/core/units';
import { Said } from '@/ui/units';
import Link from 'next/link';
import { askNext, foundWords, type Cure, type Evidence } from '@/core/clinic';
import { defectName, type Defect } from '@/core/vocabulary';
import { shareWords, type NaturalExperiment, type Proportion } from '@/core/evidence';
import type { DefectProof, PieceCase } from '@/records/clinic';
import { LinkButton } from '@/ui/LinkButton';
import css from './clinic.module.css';
import { evidenceFromAnswers, type GivenAnswer } from '../model/answers';
import { cureWords, experimentWords, reachedWords, worthWords } from '../model/words';

/** Questions shown at a time. */
const ASKED = 3;

/** What was answered, and what to look at next. */
export function ToldVoice({
  defect,
  evidence,
  told,
  at,
}: {
  defect: Defect;
  evidence: Evidence;
  told: readonly GivenAnswer[];
  at: (told: readonly GivenAnswer[]) => string;
}) {
  const next = askNext(defect.id, evidence).slice(0, ASKED);
  return (
    <section aria-label="What you told">
      <h2>What you told</h2>
      {told.length > 0 && (
        <ul className={css.told}>
          {foundWords(defect.id, evidenceFromAnswers(told)).map((words) => (
            <li key={heldText(words)}>
              <Said of={words} />
            </li>
          ))}
        </ul>
      )}
      {told.length > 0 && <Link href={at(told.slice(0, -1))}>Undo last answer</Link>}
      <h3>{next.length ? 'Most useful question' : 'No further question would change the order'}</h3>
      {next.map(({ question }) => (
        <div key={question.id} className={css.ask}>
          <p>{question.words}</p>
          <div>
            {question.answers.map(({ words }, answer) => (
              <LinkButton
                key={words}
                href={at([...told, { question: question.id, answer }])}
                scroll={false}
                sx={{ minHeight: 48 }}
              >
                {words}
              </LinkButton>
            ))}
          </div>
        </div>
      ))}
    </section>
  );
}

/** What the studio's own pieces say: matched contrasts, the firing in question shelf by shelf, earlier cases. */
export function TilesVoice({
  experiments,
  shelves,
  cures,
  earlier,
}: {
  experiments: readonly NaturalExperiment[];
  /** Pieces with the defect on each shelf of the firing that is asked about; empty when none is. */
  shelves: readonly (readonly [string, Proportion])[];
  /** What firing again did to it. */
  cures: readonly Cure[];
  /** What earlier cases of this defect ended with. */
  earlier: readonly { readonly id: string; readonly number: number; readonly words: string }[];
}) {
  return (
    <section aria-label="What your tiles say">
      <h2>What your tiles say</h2>
      {shelves.length > 0 && (
        <ul className={css.told} aria-label="Shelf by shelf">
          {shelves.map(([shelf, share]) => (
            <li key={shelf}>
              {shelf}: {shareWords(share)}
            </li>
          ))}
        </ul>
      )}
      {experiments.length === 0 && (
        <p className="quiet">
          No sets of your pieces that differ in only one thing show this defect plainly more on one side.
        </p>
      )}
      <ul className={css.tiles}>
        {experiments.map((one) => (
          <li key={`${one.factor} ${one.about} ${one.levels.join()}`}>
            <b>{experimentWords(one)}</b>
            <details>
              <summary className="quiet">{worthWords(one)}</summary>
              <p className="small">{reachedWords(one)}</p>
            </details>
          </li>
        ))}
      </ul>
      {cures.length > 0 && (
        <>
          <h3>Fired again</h3>
          <ul className={css.told}>
            {cures.map((cure) => (
              <li key={String(cure.isGlazed)}>{cureWords(cure)}</li>
            ))}
          </ul>
        </>
      )}
      {earlier.length > 0 && (
        <>
          <h3>Your closed cases of this</h3>
          <ul className={css.told}>
            {earlier.map(({ id, number, words }) => (
              <li key={id}>
                <Link href={`/clinic/cases/${id}`}>Case {number}</Link>: {words}
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}

/** What recipe, fit, bucket, cones and cooling say of the piece; or pieces to begin from. */
export function RecordVoice({
  defect,
  found,
  record,
  alike,
  pieces,
  at,
}: {
  defect: Defect;
  found: PieceCase | null;
  /** What the pieces looked up have in common, and how many they are. */
  record: Evidence;
  alike: number;
  pieces: readonly DefectProof[];
  at: (label: string) => string;
}) {
  const counted = foundWords(defect.id, record);
  return (
    <section aria-label="What chemistry and firing say">
      <h2>What chemistry and firing say</h2>
      {found ? (
        <>
          <p className="small quiet">
            From the record of {found.piece.label}: {found.headwords.join(', ')}.
            {!found.isMarked && ` Nobody has marked ${defectName(defect.id)} on it yet.`}
          </p>
          <ul className={css.tiles}>
            {found.voice.sentences.map((words) => (
              <li key={heldText(words)}>
                <Said of={words} />
              </li>
            ))}
          </ul>
          {counted.length > 0 && (
            <h3>
              {alike > 1 ? `Common to the newest ${alike}, counted above` : 'Of this piece, counted above'}
            </h3>
          )}
          <ul className={css.told}>
            {counted.map((words) => (
              <li key={heldText(words)}>
                <Said of={words} />
              </li>
            ))}
          </ul>
        </>
      ) : (
        <>
          <p className="quiet">
            {pieces.length
              ? 'Start from a piece, and its recipe, coats and firing are filled in:'
              : `No piece of yours shows plain ${defectName(defect.id)}.`}
          </p>
          <ul className={css.told}>
            {pieces.map((piece) => (
              <li key={piece.label}>
                <Link href={at(piece.label)} className="figures">
                  {piece.label}
                </Link>{' '}
                {piece.headword}
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}
