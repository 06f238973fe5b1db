import { figures } from '@/core/units';
import { Said } from '@/ui/units';
import Link from 'next/link';
import { historyWords, stackWords } from '@/core/coats';
import { labOf } from '@/core/colour';
import { defectName, heatName } from '@/core/vocabulary';
import { describe, type Description, bestProof } from '@/core/evidence';
import { piecesOf } from '../model/pieces';
import { zoneBracket } from '@/core/photo';
import { type Apart, type Found, type Headword, type Sense, type Correction } from '@/records/dictionary';
import type { Glaze } from '@/records/materials';
import { DefectLine } from '@/ui/DefectLine';
import { Flame } from '@/ui/Flame';
import { GuideWords } from '@/ui/frame';
import { Photo } from '@/ui/Photo';
import { PickUp } from '@/ui/PickUp';
import { ProofMarks } from '@/ui/ProofMarks';
import { Swatch } from '@/ui/Swatch';
import { WhyThisNumber } from '@/ui/WhyThisNumber';
import { findAddress } from '../model/findQuery';
import { RequestTest } from './RequestTest';
import { Corrections } from './Corrections';
import css from './entry.module.css';
import { History } from './History';
import { TeacherNote } from './TeacherNote';
import { textureWords } from '../model/textureWords';
import { Fold } from './Fold';
import { VersionSenses } from './VersionSenses';

interface Props {
  readonly headword: Headword;
  readonly glazes: readonly Glaze[];
  /** Senses on the reader's own clay and from their own fire; they stand first. */
  readonly ownIds: readonly string[];
  /** Other entries with a colour like the first sense's, nearest first. */
  readonly near: readonly Found[];
  readonly corrections: readonly Correction[];
  readonly mayTeach: boolean;
}

/** One headword with its numbered senses, as a printed dictionary sets it; advice and cautions in the margin. */
export function EntryView({ headword, glazes, ownIds, near, corrections, mayTeach }: Props) {
  const own = glazes.filter((glaze) => headword.glazeIds.includes(glaze.id));
  const nameOf = (id: string) => glazes.find((glaze) => glaze.id === id)?.name ?? '?';
  const [top, ...below] = headword.text.split(' over ');
  return (
    <>
      <GuideWords first={headword.text} />
      <div className={css.columns}>
        <aside className={css.margin}>
          {own.map((glaze) => (
            <div key={glaze.id}>
              <h2>
                <Link href={`/glazes/${glaze.id}`}>{glaze.name}</Link>
              </h2>
              {glaze.advice && <p>{glaze.advice}</p>}
              {glaze.caution && <p className="heat">{glaze.caution}</p>}
              {glaze.decorative && <p className="heat">For decorative ware only.</p>}
            </div>
          ))}
          {own.length === 2 && headword.layerIds.length === 2 && (
            <div>
              <h2>Other order</h2>
              {headword.reverse ? (
                <Link href={`/entry/${headword.reverse.id}`}>{headword.reverse.text}</Link>
              ) : (
                <>
                  <p className="quiet">No tile yet.</p>
                  <RequestTest
                    baseId={headword.layerIds[1]!}
                    topId={headword.layerIds[0]!}
                    grounds={[
                      ...new Map(
                        headword.senses.map(({ groundId, ground }) => [
                          groundId,
                          { id: groundId, name: ground },
                        ]),
                      ).values(),
                    ]}
                  />
                </>
              )}
            </div>
          )}
          {near.length > 0 && (
            <div>
              <h2>Near in colour</h2>
              <ul className={css.near}>
                {near.map((entry) => (
                  <li key={entry.id}>
                    <Swatch hash={entry.swatchHash} colour={entry.colour} width={36} height={36} />
                    <span>
                      <Link href={`/entry/${entry.headwordId}`}>{entry.headword}</Link>
                      <br />
                      <span className="quiet small">
                        {entry.ground}, colour difference {figures(entry.difference, 1)}
                      </span>
                    </span>
                  </li>
                ))}
              </ul>
            </div>
          )}
        </aside>
        <div>
          <h1>
            {top}
            {below.map((name) => (
              <span key={name}>
                {' '}
                <i className="quiet">over</i> {name}
              </span>
            ))}
          </h1>
          <ol>
            {headword.senses.map((sense, i) => (
              <SenseRow
                key={sense.id}
                sense={sense}
                headwordId={headword.id}
                number={i + 1}
                isOwn={ownIds.includes(sense.id)}
                nameOf={nameOf}
                corrections={corrections.filter(({ entryId }) => entryId === sense.id)}
                mayTeach={mayTeach}
              />
            ))}
          </ol>
          {headword.senses.length === 0 && <p>No tile yet.</p>}
        </div>
      </div>
    </>
  );
}

function SenseRow({
  sense,
  headwordId,
  number,
  isOwn,
  nameOf,
  corrections,
  mayTeach,
}: {
  sense: Sense;
  headwordId: string;
  number: number;
  isOwn: boolean;
  nameOf: (id: string) => string;
  corrections: readonly Correction[];
  mayTeach: boolean;
}) {
  const words = sense.summary && describe(sense.summary, sense.colour);
  const best = bestProof(sense.proofs);
  return (
    <li className={css.sense} id={sense.id}>
      <span className={css.number}>{number}</span>
      {best?.photo && (
        <Photo
          hash={best.photo.hash}
          alt={`${best.label}, a proof of this sense, with a bracket beside it`}
          width={150}
          height={190}
          drawn={{
            ...best.photo,
            strokes: best.area === null ? [zoneBracket(best.photo.frame, best.photo, best)] : [],
          }}
        />
      )}
      <div>
        <p>
          <b>
            On {sense.ground},{' '}
            {sense.history.length > 1 ? (
              historyWords(sense.history)
            ) : (
              <>
                {heatName(sense.cone)}, <Flame atmosphere={sense.atmosphere} />
              </>
            )}
          </b>
          {isOwn && <span className="small quiet"> your clay and fire</span>}
        </p>
        <p>{words?.look}</p>
        <Fold isOpen={number === 1}>
          <SenseFacts {...{ sense, headwordId, nameOf, words, best }} />
          {sense.textured.length > 0 && (
            <p>
              <b>Over texture:</b> {textureWords(sense.textured)}
            </p>
          )}
          <VersionSenses versions={sense.versions} mayChoose={mayTeach} />
          <History proofs={sense.proofs} colour={sense.colour} />
          <p className={css.acts}>
            {best && <Link href={`/make?piece=${best.label}`}>Make it again</Link>}
            {sense.colour && (
              <Link
                href={findAddress({ colour: sense.colour, cone: sense.cone, stays: '1', but: headwordId })}
              >
                Like this, but does not run
              </Link>
            )}
            {sense.colour && (
              <Link
                href={findAddress({ colour: sense.colour, cone: sense.cone, sound: '1', but: headwordId })}
              >
                Like this, without defects
              </Link>
            )}
          </p>
          <TeacherNote
            key={sense.noteVersion}
            entryId={sense.id}
            text={sense.teacherNote}
            version={sense.noteVersion}
            mayWrite={mayTeach}
          />
          <Corrections entryId={sense.id} list={corrections} maySettle={mayTeach} />
          <ProofLinks sense={sense} best={best} hotkey={number === 1} />
        </Fold>
      </div>
    </li>
  );
}

type Best = ReturnType<typeof bestProof<Sense['proofs'][number]>>;

interface FactsProps {
  readonly sense: Sense;
  readonly headwordId: string;
  readonly nameOf: (id: string) => string;
  readonly words: Description | null;
  readonly best: Best;
}

/** What is known of a sense, fact by fact. */
function SenseFacts({ sense, headwordId, nameOf, words, best }: FactsProps) {
  return (
    <dl className={css.facts}>
      {sense.colour && (
        <>
          <dt>Colour</dt>
          <dd className={css.colour}>
            <Swatch hash={best?.swatchHash ?? null} colour={sense.colour} width={84} height={40} />
            <Swatch hash={null} colour={sense.colour} width={40} height={40} />
            <span className="figures">{labWords(sense.colour)}</span>
          </dd>
        </>
      )}
      <dt>Applied</dt>
      <dd>{stackWords(sense.stack, nameOf)}</dd>
      <dt>Moves</dt>
      <dd>{words && <Said of={words.moves} />}</dd>
      <dt>Defects</dt>
      <dd>
        {sense.summary?.defects.length ? (
          <>
            <DefectLine
              defects={sense.summary.defects.map((d) => ({
                ...d,
                place: `${d.count} of ${sense.summary!.proofs}`,
              }))}
            />{' '}
            {sense.summary.defects.map(({ defect }) => (
              <Link key={defect} className={css.why} href={`/clinic/${defect}?about=headword.${headwordId}`}>
                why {defectName(defect)}?
              </Link>
            ))}
          </>
        ) : (
          words?.defects
        )}
      </dd>
      <dt>Proofs</dt>
      <dd>
        <ProofMarks proofs={sense.summary?.proofs ?? 0} agreeing={sense.summary?.agreeing ?? 0} />{' '}
        {words?.proved} <WhyThisNumber />
      </dd>
    </dl>
  );
}

const APART_WORDS: Readonly<Record<Apart, string>> = {
  'other version': 'other recipe version',
  'missed cone': 'firing missed its cone',
  'other atmosphere': 'atmosphere not as meant',
};

/** The pieces that prove a sense, and those that stand apart. */
function ProofLinks({ sense, best, hotkey }: { sense: Sense; best: Best; hotkey: boolean }) {
  const { counted, apart, divided } = piecesOf(sense.proofs);
  return (
    <p className={css.proofs}>
      {best && (
        <PickUp
          piece={{
            id: best.pieceId,
            label: best.label,
            photoHash: best.photo?.hash ?? null,
            zoneId: best.zoneId,
          }}
          hotkey={hotkey}
          small
        />
      )}
      {counted.map((label) => (
        <Link key={label} href={`/pieces/${label}`} className="figures">
          {label}
        </Link>
      ))}
      {divided.map(({ label, words }) => (
        <span key={label} className="quiet">
          <Link href={`/pieces/${label}`} className="figures">
            {label}
          </Link>{' '}
          disagrees with itself, counted neither way: {words}
        </span>
      ))}
      {apart.map(({ reason, labels }) => (
        <span key={reason} className="quiet">
          {APART_WORDS[reason]}: {labels.length} {labels.length === 1 ? 'piece' : 'pieces'}, not counted (
          {labels.join(', ')})
        </span>
      ))}
    </p>
  );
}

function labWords(hex: string): string {
  const { l, a, b } = labOf(hex);
  return `L ${l.toFixed(0)}  a ${a.toFixed(0)}  b ${b.toFixed(0)}`;
}
