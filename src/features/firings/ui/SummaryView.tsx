'use client';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Link from 'next/link';
import { useState } from 'react';
import { AGAIN_OUTCOMES, defectName, reasonName } from '@/core/vocabulary';
import { shareWords } from '@/core/evidence';
import type { Firing } from '@/records/firings';
import type { FiringSummary } from '@/records/openings';
import { Acts, FormErrors, PageHeader, TwoColumns } from '@/ui/kit';
import { DefectGlyph } from '@/ui/DefectGlyph';
import { LinkButton } from '@/ui/LinkButton';
import { PrintButton } from '@/ui/PrintButton';
import { Swatch } from '@/ui/Swatch';
import { useMutation } from '@/ui/useMutation';
import { loadFiring, closeOpening, markRepaired } from '../actions';
import { WhyThisNumber } from '@/ui/WhyThisNumber';
import css from './summary.module.css';
import { GLAZE_AGAIN, readOut } from '../model/summaryWords';

interface Props {
  readonly summary: FiringSummary;
  /** The group whose pieces are summed up; null for all. */
  readonly group: string | null;
  /** Firings of the same cone and atmosphere that are being loaded. */
  readonly next: readonly Firing[];
  readonly mayWrite: boolean;
}

/** What a firing gave: to be read out, looked into, and acted on. */
export function SummaryView({ summary, group, next, mayWrite }: Props) {
  const { firing, unread } = summary;
  const { run, isBusy, errors } = useMutation();
  const [link, setLink] = useState('');
  const copy = async () => {
    const address = window.location.href;
    // There is a clipboard on secure pages only; elsewhere the address is shown to be copied by hand.
    const copied = await navigator.clipboard?.writeText(address).then(
      () => true,
      () => false,
    );
    setLink(copied ? 'copied' : address);
  };
  return (
    <>
      <PageHeader first={`${firing.kilnName} ${firing.number}`} last="what came out">
        <h1>
          {firing.kilnName} <span className="figures">{firing.number}</span>
          {group ? `: ${group}` : ': what came out'}
        </h1>
        <Acts>
          {group === null && (
            <Button href={`/api/v1/firings/${firing.id}/summary`} target="_blank">
              Download PDF
            </Button>
          )}
          <Button onClick={() => void copy()}>{link === 'copied' ? 'Link copied' : 'Copy link'}</Button>
          <PrintButton quiet>Print</PrintButton>
        </Acts>
      </PageHeader>
      {link.startsWith('http') && (
        <TextField
          label="Link to copy"
          value={link}
          fullWidth
          sx={{ mb: 2 }}
          onFocus={(event) => event.target.select()}
        />
      )}
      <TwoColumns
        at="left"
        isMarginLast
        aside={
          <>
            <h3>Next</h3>
            {unread > 0 && (
              <LinkButton variant="contained" href={`/firings/${firing.id}/opening`} fullWidth>
                {unread} still to read
              </LinkButton>
            )}
            {unread === 0 && firing.state === 'open' && mayWrite && (
              <>
                <p className="small">When the kiln is empty and swept, it is free for the next load.</p>
                <Button
                  variant="contained"
                  fullWidth
                  disabled={isBusy}
                  onClick={() => void run(() => closeOpening({ firingId: firing.id }))}
                >
                  The kiln is empty
                </Button>
              </>
            )}
            <LinkButton href={`/firings/${firing.id}`} fullWidth>
              The firing
            </LinkButton>
            <FormErrors errors={errors} />
          </>
        }
      >
        <div className={css.parts}>
          <section className={css.readOut} aria-label="Summary to read out">
            {readOut(summary).map((line) => (
              <p key={line}>{line}</p>
            ))}
          </section>
          <Surprises {...summary} />
          <Defects {...summary} />
          <Fresh {...summary} />
          <Returned {...summary} />
          <Again {...summary} next={next} mayWrite={mayWrite} />
          <Shelves {...summary} />
        </div>
      </TwoColumns>
    </>
  );
}

/** Surprises shown before the rest is asked for. */
const FIRST = 8;

function Surprises({ surprises, sound }: FiringSummary) {
  const [all, setAll] = useState(false);
  if (sound.of === 0) return null;
  return (
    <section>
      <h2>Surprises</h2>
      {surprises.length > 0 && (
        <p className="small quiet">
          Left: expected. Right: result. <WhyThisNumber />
        </p>
      )}
      {surprises.length === 0 && <p>No surprises.</p>}
      <ol className={css.surprises}>
        {surprises.slice(0, all ? undefined : FIRST).map((one) => (
          <li key={`${one.kind} ${one.zoneIds.join()} ${one.words}`}>
            <span className={css.labels}>
              {one.pieces.map((label) => (
                <Link key={label} href={`/pieces/${label}`} className="figures">
                  {label}
                </Link>
              ))}
            </span>
            <span>
              <b>{one.headword}</b> on {one.ground}: {one.words}
            </span>
            <span className={css.swatches}>
              {one.swatches
                .slice(0, 4)
                .map(
                  (hash, i) =>
                    hash && (
                      <Swatch
                        key={i}
                        hash={hash}
                        colour={null}
                        width={52}
                        height={40}
                        alt={one.kind === 'twins disagree' ? 'twin' : i ? 'now' : 'before'}
                      />
                    ),
                )}
            </span>
            <span className={css.bits} title="How rarely this would be expected, from what was known">
              1 in {Math.round(2 ** one.bits)}
            </span>
          </li>
        ))}
      </ol>
      {surprises.length > FIRST && !all && (
        <Button onClick={() => setAll(true)}>{surprises.length - FIRST} smaller ones</Button>
      )}
    </section>
  );
}

function Defects({ firing, defects, fates, sound }: FiringSummary) {
  const read = sound.of;
  return (
    <section className={css.two}>
      <div>
        <h2>Fates</h2>
        <dl className={css.bars}>
          {fates.map(({ fate, count }) => (
            <div key={fate}>
              <dt>{fate}</dt>
              <dd>
                <i style={{ width: `${(count / Math.max(1, read)) * 100}%` }} />
                <span className="figures">{count}</span>
              </dd>
            </div>
          ))}
        </dl>
      </div>
      <div>
        <h2>Defects</h2>
        {defects.length === 0 && <p>No obvious defects.</p>}
        <ul className={css.defects}>
          {defects.map(({ defect, pieces }) => (
            <li key={defect}>
              <DefectGlyph id={defect} size={28} labelled />
              <Link href={`/clinic/${defect}?about=firing.${firing.id}`}>
                <b>{defectName(defect)}</b>
              </Link>
              <span className="figures">{shareWords(pieces)}</span>
            </li>
          ))}
        </ul>
        {defects.length > 0 && (
          <p className="small quiet">
            In brackets: the range the true share may lie in (95 %, exact), if every piece were independent.
          </p>
        )}
      </div>
    </section>
  );
}

function Fresh({ fresh }: FiringSummary) {
  if (fresh.length === 0) return null;
  return (
    <section>
      <h2>New in the dictionary</h2>
      <ul className={css.fresh}>
        {fresh.map(({ id, text, pieces }) => (
          <li key={id}>
            <Link href={`/entry/${id}`}>{text}</Link> <span className="quiet figures">{pieces}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** What this firing did about what pieces had come back for. */
function Returned({ outcomes }: FiringSummary) {
  if (outcomes.length === 0) return null;
  return (
    <section>
      <h2>What became of those that came back</h2>
      <ul className={css.fresh}>
        {outcomes.map(({ reason, pieces, counts }) => (
          <li key={reason}>
            <b>{reasonName(reason)}</b>:{' '}
            {AGAIN_OUTCOMES.flatMap((outcome) =>
              counts[outcome] ? `${outcome} ${counts[outcome]}` : [],
            ).join(', ')}{' '}
            <span className="quiet">of {pieces}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}

function Again({ again, next, mayWrite }: FiringSummary & Pick<Props, 'next' | 'mayWrite'>) {
  const { run, isBusy, errors } = useMutation();
  if (again.length === 0) return null;
  const ready = again.filter(({ fate, stage }) => fate === 'refire' && stage === 'read');
  return (
    <section>
      <h2>Refires</h2>
      <ul className={css.fresh}>
        {again.map(({ label, fate, body, stage, why }) => (
          <li key={label}>
            <Link href={`/pieces/${label}`} className="figures">
              {label}
            </Link>{' '}
            {body}, {fate}
            {why.length > 0 && `: ${why.map(reasonName).join(', ')}`}
            {stage === 'loaded' && <span className="quiet">, loaded</span>}
            {fate === 'reglaze' && stage === 'read' && (
              <>
                ; <Link href={`/pieces/${label}/edit`}>add its coats</Link>
              </>
            )}
          </li>
        ))}
      </ul>
      {again.some(({ fate }) => fate === 'reglaze') &&
        GLAZE_AGAIN.map((line) => (
          <p key={line} className="small">
            {line}
          </p>
        ))}
      {mayWrite &&
        ready.length > 0 &&
        (next.length === 0 ? (
          <p className="small">
            No firing of this cone and atmosphere is being loaded: plan one at its kiln.
          </p>
        ) : (
          next.map((firing) => (
            <Button
              key={firing.id}
              disabled={isBusy}
              sx={{ mr: 1, mt: 1 }}
              onClick={() =>
                void run(() =>
                  loadFiring({
                    firingId: firing.id,
                    places: ready.map(({ id }) => ({ pieceId: id, shelf: 1 })),
                  }),
                )
              }
            >
              {ready.length} to refire into {firing.kilnName} {firing.number}
            </Button>
          ))
        ))}
      <FormErrors errors={errors} />
    </section>
  );
}

function Shelves({ repairs }: FiringSummary) {
  const { run, isBusy, errors } = useMutation();
  if (repairs.length === 0) return null;
  return (
    <section>
      <h2>Shelves to repair</h2>
      <ul className={css.shelves}>
        {repairs.map(({ id, shelf, what, note, done }) => (
          <li key={id}>
            <label>
              <input
                type="checkbox"
                checked={done}
                disabled={isBusy}
                onChange={() => void run(() => markRepaired({ repairId: id, done: !done }))}
              />
              <span data-done={done || undefined}>
                Shelf {shelf}: {what}
                {note && `, ${note}`}
              </span>
            </label>
          </li>
        ))}
      </ul>
      <p className="small quiet">Grinding: eye protection and a respirator, out of doors, the dust wetted.</p>
      <FormErrors errors={errors} />
    </section>
  );
}
