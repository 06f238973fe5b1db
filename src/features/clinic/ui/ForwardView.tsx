import { counted, figures } from '@/core/units';
import Link from 'next/link';
import { DataTable } from '@/ui/kit';
import { RISK_LIMIT, type Risk } from '@/core/clinic';
import { shareWords } from '@/core/evidence';
import { FitMark } from '@/ui/FitMark';
import css from './clinic.module.css';
import type { FiredRung } from '@/records/rounds';
import { againstForecast } from '../model/contradictions';
import type { Forward } from '../model/forwardOf';

/** What is likely to come of doing it otherwise: the ladder, the order and the partner, or the number of coats. */
export function ForwardView({ forward }: { forward: Forward }) {
  return (
    <section className={css.forward} aria-label="What-if">
      <h2>What-if</h2>
      {forward.kind === 'ladder' && <Ladder {...forward} />}
      {forward.kind === 'layers' && (
        <>
          <Risks title="The two orders, from your tiles" risks={forward.risk.orders} />
          <Risks title="With other partners" risks={forward.risk.partners} />
        </>
      )}
      {forward.kind === 'coats' && (
        <>
          <Risks title={`${forward.glaze}, by coats`} risks={forward.risk.steps} />
          <p>
            {forward.risk.above === null
              ? `No number of coats you have tried is above ${percent(RISK_LIMIT)}.`
              : `The risk is above ${percent(RISK_LIMIT)} from ${counted(forward.risk.above, 'coat')} upwards.`}{' '}
            <span className="quiet small">
              Neighbouring counts that would fall are pooled; the limit of {percent(RISK_LIMIT)} is a
              judgement.
            </span>
          </p>
        </>
      )}
    </section>
  );
}

const percent = (share: number) => `${Math.round(share * 100)} %`;

function Ladder({ glaze, body, rungs }: Extract<Forward, { kind: 'ladder' }>) {
  const isFired = rungs.some(({ fired }) => fired !== null);
  const against = rungs.filter(({ band, fired }) => againstForecast(band.verdict, fired));
  return (
    <>
      <DataTable
        label="Crazing ladder, predicted"
        caption={`${glaze} crazing ladder on ${body}, predicted${isFired ? ' and fired' : ''}`}
        columns={[
          { name: 'Step' },
          { name: 'Expansion, 1e-6/K' },
          { name: 'Likely' },
          ...(isFired ? [{ name: 'Fired' }] : []),
        ]}
        rows={rungs.map(({ words, expansion, band, fired }) => ({
          key: words,
          cells: [
            words,
            <span key="expansion" className="figures">
              {figures(expansion, 2)}
            </span>,
            <span key="likely">
              <svg width={16} height={14} viewBox="-8 -7 16 14" aria-hidden>
                <FitMark crazed={band.verdict.startsWith('crazes')} bold />
              </svg>{' '}
              {band.verdict}
              {!band.sure && <span className="quiet">, not sure</span>}
            </span>,
            ...(isFired ? [<FiredWords key="fired" fired={fired} />] : []),
          ],
        }))}
      />
      {against.length > 0 && (
        <p role="note">
          {new Intl.ListFormat('en').format(against.map(({ words }) => words))} came out otherwise than
          calculated. What was fired counts; crazing may still come after weeks, so look at these tiles again.
        </p>
      )}
    </>
  );
}

/** What came of a rung, and in which round. */
function FiredWords({ fired }: { fired: FiredRung | null }) {
  if (!fired) return <span className="quiet">not fired</span>;
  const { read, crazed, round } = fired;
  return (
    <>
      {crazed === 0 ? 'sound' : 'crazed'}, {crazed || read} of {read} {read === 1 ? 'tile' : 'tiles'},{' '}
      <Link href={`/rounds/${round.id}`}>{round.name}</Link>
    </>
  );
}

/** Shares as bars with their intervals, the least first or in order of coats. */
function Risks({ title, risks }: { title: string; risks: readonly Risk[] }) {
  if (risks.length === 0) return null;
  return (
    <DataTable
      label={title}
      caption={title}
      hasHeadings={false}
      columns={[{ name: 'What' }, { name: 'Range' }, { name: 'Share' }]}
      rows={risks.map(({ words, share }) => ({
        key: words,
        cells: [
          words,
          <svg key="range" viewBox="0 0 100 12" className={css.range} aria-hidden preserveAspectRatio="none">
            <rect x={0} y={5} width={100} height={2} className={css.rail} />
            {share.interval && (
              <rect
                x={share.interval[0] * 100}
                y={2}
                width={Math.max(1, (share.interval[1] - share.interval[0]) * 100)}
                height={8}
                className={css.interval}
              />
            )}
            <rect x={(share.share ?? 0) * 99} y={0} width={1.2} height={12} className={css.mark} />
          </svg>,
          <span key="share" className="figures">
            {shareWords(share)}
          </span>,
        ],
      }))}
    />
  );
}
