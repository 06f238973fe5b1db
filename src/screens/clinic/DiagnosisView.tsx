import Link from 'next/link';
import type { ReactNode } from 'react';
import { askNext, causeOf, foundWords, rank, type Evidence, type RankedCause } from '@/core/clinic';
import { DEFECTS, defectName, type Defect, type NaturalExperiment } from '@/core/evidence';
import type { PieceCase, piecesWith } from '@/records/clinic';
import { DefectGlyph } from '@/ui/DefectGlyph';
import { GuideWords } from '@/ui/frame';
import { LinkButton } from '@/ui/LinkButton';
import { Photo } from '@/ui/Photo';
import css from './clinic.module.css';
import { toldEvidence, writeTold, type Told } from './told';
import { experimentWords, worthWords } from './words';

interface Props {
  readonly defect: Defect;
  readonly told: readonly Told[];
  readonly found: PieceCase | null;
  readonly experiments: readonly NaturalExperiment[];
  readonly pieces: Awaited<ReturnType<typeof piecesWith>>;
  /** What earlier cases of this defect ended with. */
  readonly earlier: readonly { readonly id: string; readonly number: number; readonly words: string }[];
  /** Where a round that tests the first cause begins; empty when none does. */
  readonly testAt: string;
  /** The address of this page without what was told. */
  readonly at: string;
  /** The case, or the button that opens one. */
  readonly children: ReactNode;
}

/** Why a piece has a defect: three voices kept apart, causes ranked with their reasons, what to look at next. */
export function DiagnosisView(props: Props) {
  const { defect, told, found, experiments, pieces, earlier, testAt, children } = props;
  const evidence = { ...found?.evidence, ...toldEvidence(told) };
  const { causes, other, enough } = rank(defect.id, evidence);
  const at = (next: readonly Told[]) => addressOf(props.at, next, found?.piece.label);
  return (
    <>
      <GuideWords first="Clinic" last={defect.name} />
      <div className={css.head}>
        <DefectGlyph id={defect.id} size={72} labelled />
        <div>
          <h1>
            {found ? (
              <>
                <Link href={`/pieces/${found.piece.label}`} className="figures">
                  {found.piece.label}
                </Link>{' '}
                {defect.name}
              </>
            ) : (
              <>Why: {defect.name}</>
            )}
          </h1>
          <p>
            {defect.look}; {defect.toldApart}.
          </p>
          {defect.caution && <p className="heat small">{defect.caution}</p>}
          <p className="small">
            Not this?{' '}
            {likes(defect).map((one) => (
              <Link
                key={one.id}
                href={addressOf(`/clinic/${one.id}`, [], found?.piece.label)}
                className={css.like}
              >
                <DefectGlyph id={one.id} size={22} labelled /> {one.name}: {one.toldApart}
              </Link>
            ))}
          </p>
        </div>
        {found?.piece.photos[0] && (
          <Photo
            hash={found.piece.photos[0].hash}
            alt={`Photo of ${found.piece.label}`}
            width={150}
            height={170}
          />
        )}
      </div>
      <section className={css.causes} aria-label="Causes">
        <h2>
          {enough ? `First of all: ${causes[0]!.cause.name}` : 'Not enough to tell yet; the order so far'}
        </h2>
        <ol>
          {causes.map((one, i) => (
            <Cause key={one.cause.id} ranked={one} open={i === 0 && enough} />
          ))}
        </ol>
        <p className="small quiet">
          Something else: {percent(other)}. The weights are judgement of the trade, in one table; what your
          own tiles say stands beside them below, never mixed in.
        </p>
        {testAt && (
          <LinkButton variant="contained" href={testAt}>
            Test it in a round
          </LinkButton>
        )}
        {children}
      </section>
      <div className={css.voices}>
        <ToldVoice defect={defect} evidence={evidence} told={told} at={at} />
        <TilesVoice experiments={experiments} earlier={earlier} />
        <RecordVoice defect={defect} found={found} pieces={pieces} told={told} />
      </div>
    </>
  );
}

function addressOf(base: string, told: readonly Told[], label: string | undefined): string {
  const asked = new URLSearchParams();
  if (label) asked.set('piece', label);
  if (told.length) asked.set('told', writeTold(told));
  return `${base}${asked.size ? `?${asked}` : ''}`;
}

/** The two defects it is most easily taken for. */
function likes(defect: Defect): Defect[] {
  const CONFUSED: Readonly<Partial<Record<Defect['id'], readonly Defect['id'][]>>> = {
    pinholing: ['pitting', 'blistering'],
    pitting: ['pinholing', 'blistering'],
    blistering: ['pitting', 'bloating'],
    bloating: ['blistering', 'pop-out'],
    crazing: ['dunting', 'shivering'],
    shivering: ['slip-lifting', 'crazing'],
    dunting: ['crazing', 'body-crack'],
    crawling: ['patchy', 'raw-flaking'],
    'slip-lifting': ['shivering', 'crawling'],
  };
  const named = CONFUSED[defect.id]?.map((id) => DEFECTS.find((one) => one.id === id)!);
  return named ?? DEFECTS.filter((one) => one.group === defect.group && one !== defect).slice(0, 2);
}

function percent(share: number): string {
  return share < 0.01 ? '< 1 %' : `${Math.round(share * 100)} %`;
}

function Cause({ ranked, open }: { ranked: RankedCause; open: boolean }) {
  const { cause, score, because, against, with: partner } = ranked;
  return (
    <li>
      <details open={open}>
        <summary>
          <span className={css.bar} aria-hidden>
            <i style={{ width: `${score * 100}%` }} />
          </span>
          <span className="figures">{percent(score)}</span>
          <b>
            {cause.name}
            {partner && <span className="quiet">, together with {causeOf(partner).name}</span>}
          </b>
        </summary>
        <div className={css.reasons}>
          {because.length > 0 && <p>For it: {because.map(({ words }) => words).join('; ')}.</p>}
          {against.length > 0 && <p>Against it: {against.map(({ words }) => words).join('; ')}.</p>}
          {because.length + against.length === 0 && <p className="quiet">Nothing told speaks of it yet.</p>}
          <h3>What to do, in this order</h3>
          <ol>
            {cause.remedies.map(({ act, cost, risk, caution }) => (
              <li key={act}>
                {act}
                <span className="quiet">
                  {cost !== 'none' && ` (${cost === 'much' ? 'much work' : 'some work'})`}
                  {risk && `; may: ${risk}`}
                </span>
                {caution && <span className="heat small"> {caution}</span>}
              </li>
            ))}
          </ol>
          <p>
            <b>The test:</b> {cause.test}
          </p>
          {cause.school && <p className="small">{cause.school}</p>}
        </div>
      </details>
    </li>
  );
}

/** Questions shown at a time. */
const ASKED = 3;

function ToldVoice({
  defect,
  evidence,
  told,
  at,
}: {
  defect: Defect;
  evidence: Evidence;
  told: readonly Told[];
  at: (told: readonly Told[]) => string;
}) {
  const next = askNext(defect.id, evidence).slice(0, ASKED);
  return (
    <section aria-label="What you told">
      <h2>What you told</h2>
      {told.length > 0 && (
        <ul className={css.told}>
          {foundWords(defect.id, toldEvidence(told)).map((words) => (
            <li key={words}>{words}</li>
          ))}
        </ul>
      )}
      {told.length > 0 && <Link href={at(told.slice(0, -1))}>Take the last answer back</Link>}
      <h3>{next.length ? 'Look at this next' : 'Nothing more to look at that would change the order'}</h3>
      {next.map(({ question, drop }) => (
        <div key={question.id} className={css.ask}>
          <p>
            {question.words}{' '}
            <span className="quiet small" title="Expected drop of the doubt, bits">
              {drop.toFixed(1)} bits
            </span>
          </p>
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

function TilesVoice({ experiments, earlier }: Pick<Props, 'experiments' | 'earlier'>) {
  return (
    <section aria-label="What your tiles say">
      <h2>What your tiles say</h2>
      {experiments.length === 0 && (
        <p className="quiet">No two sets of your pieces differ in one thing only with this on one side.</p>
      )}
      <ul className={css.tiles}>
        {experiments.map((one) => (
          <li key={`${one.factor} ${one.about} ${one.levels.join()}`}>
            <b>{experimentWords(one)}</b>
            <span className="quiet">{worthWords(one)}</span>
          </li>
        ))}
      </ul>
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

function RecordVoice({ defect, found, pieces, told }: Pick<Props, 'defect' | 'found' | 'pieces' | 'told'>) {
  return (
    <section aria-label="What chemistry and firing say">
      <h2>What chemistry and firing say</h2>
      {found ? (
        <>
          <p className="small quiet">
            From the record of {found.piece.label}: {found.headwords.join(', ')}.
          </p>
          <ul className={css.told}>
            {foundWords(defect.id, found.evidence).map((words) => (
              <li key={words}>{words}</li>
            ))}
          </ul>
        </>
      ) : (
        <>
          <p className="quiet">
            {pieces.length
              ? 'Begin from a piece, and its recipe, coats and firing are looked up:'
              : `No piece of yours shows plain ${defectName(defect.id)}.`}
          </p>
          <ul className={css.told}>
            {pieces.map((piece) => (
              <li key={piece.label}>
                <Link href={addressOf(`/clinic/${defect.id}`, told, piece.label)} className="figures">
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
