import { counted, celsius, spaceOf } from '@/core/units';
import { QuantityText } from '@/ui/units';
import Link from 'next/link';
import { Suspense, type ReactNode } from 'react';
import { ForRole } from '@/ui/ForRole';
import { LinkButton } from '@/ui/LinkButton';
import { defectName, heatName } from '@/core/vocabulary';
import type { TestRequest } from '@/records/dictionary';
import type { Firing, Kiln } from '@/records/firings';
import type { ListedPiece } from '@/records/pieces';
import type { todayIn } from '@/records/rounds';
import { Flame } from '@/ui/Flame';
import { Acts, PageHeader } from '@/ui/kit';
import { PieceThumb } from '@/ui/PieceThumb';
import { ProofMarks } from '@/ui/ProofMarks';
import { Swatch } from '@/ui/Swatch';
import type { FirstSteps as Steps } from '@/records/rounds';
import { ageWords, dayOf, dayWords } from '@/core/time';
import { clockWords } from '@/features/shared/clock';
import { wayOut } from '@/features/firings';
import { isLate, Progress } from '@/features/rounds';
import { FirstSteps } from './FirstSteps';
import { Requests } from './Requests';
import css from './today.module.css';

type TodayData = Awaited<ReturnType<typeof todayIn>>;

const STEP: Readonly<Record<string, { word: string; act?: string; href: (id: string) => string }>> = {
  loading: { word: 'being loaded', act: 'Continue loading', href: (id) => `/firings/${id}` },
  firing: { word: 'firing', act: 'See the firing', href: (id) => `/firings/${id}` },
  cooling: { word: 'cooling', act: 'See cooling', href: (id) => `/firings/${id}` },
  cool: { word: 'cooling', href: (id) => `/firings/${id}/opening` },
  open: { word: 'being opened', act: 'Continue opening', href: (id) => `/firings/${id}/opening` },
};

/** What is in the kilns, what waits, and what the dictionary is least sure of; one click to each. */
export function Today({
  data,
  steps,
  rises,
  requests,
  orders,
  now,
  member: { id: memberId, name },
}: {
  data: TodayData;
  /** What a new studio does first; null when it is past that. */
  steps: Steps | null;
  /** What is on the rise; may come later than the rest. */
  rises: ReactNode;
  /** What was asked for: of everybody for staff, the own for students. */
  requests: readonly TestRequest[];
  /** What was ordered and is not done. */
  orders: ReactNode;
  now: Date;
  member: { readonly id: string; readonly name: string };
}) {
  const { kilns, heat, firings, glazed, refires, unread, toWriteUp, rounds, cases, weak, job, lastClosed } =
    data;
  return (
    <>
      <PageHeader first="Today">
        <h1>{dayWords(now)}</h1>
        <p className="quiet">Good day, {name.split(' ')[0]}.</p>
        <Acts>
          <ForRole least="student">
            <LinkButton href="/pieces/photo">Photo first</LinkButton>
            <LinkButton href="/pieces/sheet">Many at once</LinkButton>
            <LinkButton variant="contained" href="/pieces/new" title="New piece (n)">
              New piece
            </LinkButton>
          </ForRole>
        </Acts>
      </PageHeader>
      {job && (
        <p className={css.job} role="status">
          {job.name}: <span className="figures">{job.done}</span> of{' '}
          <span className="figures">{job.total}</span>. The rest appear as they are done.
        </p>
      )}
      {steps && <FirstSteps {...steps} />}
      <section className={css.kilns} aria-label="Kilns">
        {kilns.map((kiln) => (
          <KilnCard
            key={kiln.id}
            kiln={kiln}
            heat={heat}
            live={firings.filter((firing) => firing.kilnId === kiln.id)}
            last={lastClosed.find((firing) => firing.kilnId === kiln.id)}
            now={now}
          />
        ))}
        {kilns.length === 0 && (
          <div className={css.kiln}>
            <p>No kiln yet.</p>
            <LinkButton variant={steps ? 'outlined' : 'contained'} href="/kilns?at=new">
              Add the first kiln
            </LinkButton>
          </div>
        )}
      </section>
      <div className={css.columns}>
        <div>
          <Waiting
            title="Ready to look at"
            empty="No opened piece is waiting."
            pieces={unread.pieces}
            count={unread.count}
            href="/pieces?stage=fired"
          />
          <Waiting
            title="Ready to load"
            empty="No glazed piece is waiting."
            pieces={glazed.pieces}
            count={glazed.count}
            href="/pieces?stage=glazed"
          />
          <Waiting
            title="To refire"
            empty="Nothing to refire."
            pieces={refires.pieces}
            count={refires.count}
            href="/pieces?fate=refire"
          />
          {toWriteUp.count > 0 && (
            <Waiting
              title="To be written up"
              empty=""
              pieces={toWriteUp.pieces}
              count={toWriteUp.count}
              href="/pieces?todo=write-up"
            />
          )}
          {orders}
        </div>
        <section aria-label="Rounds and least certain entries">
          <UnderWay {...{ rounds, cases, now }} />
          <Suspense>{rises}</Suspense>
          <Requests requests={requests} memberId={memberId} />
          <LeastCertain entries={weak} />
        </section>
      </div>
    </>
  );
}

function UnderWay({ rounds, cases, now }: Pick<TodayData, 'rounds' | 'cases'> & { now: Date }) {
  return (
    <>
      {rounds.length > 0 && <h2 className={css.heading}>Rounds under way</h2>}
      <ul>
        {rounds.map((round) => (
          <li key={round.id} className={css.round}>
            <Link href={`/rounds/${round.id}`}>{round.name}</Link>{' '}
            {isLate(round, round.steps, dayOf(now)) && <b className="heat">late</b>}
            <Progress round={round} />
          </li>
        ))}
      </ul>
      {cases.length > 0 && <h2 className={css.heading}>Open cases</h2>}
      <ul>
        {cases.slice(0, 4).map((one) => (
          <li key={one.id} className={css.round}>
            <Link href={`/clinic/cases/${one.id}`}>
              Case {one.number}: {defectName(one.defect)}
              {one.label && ` on ${one.label}`}
            </Link>
          </li>
        ))}
      </ul>
    </>
  );
}

function LeastCertain({ entries }: { entries: TodayData['weak'] }) {
  return (
    <>
      <h2 className={css.heading}>Least certain</h2>
      {entries.length === 0 && <p className="quiet">No doubtful entry on the wall.</p>}
      <ul>
        {entries.map((entry) => (
          <li key={entry.id}>
            <Link href={`/entry/${entry.headword_id}`} className={css.weak}>
              <Swatch hash={entry.swatch_hash} colour={null} width={64} height={48} />
              <span>
                <b className={css.word}>{entry.text}</b>
                <span className="small quiet">
                  on {entry.ground}, {heatName(entry.cone)}
                </span>
                <span className="small">
                  <ProofMarks proofs={entry.proofs} agreeing={entry.agreeing} height={11} />{' '}
                  {entry.agreeing < entry.proofs
                    ? `${entry.proofs - entry.agreeing} of ${entry.proofs} differ`
                    : 'one piece only'}
                  {entry.worst_defect && `, ${defectName(entry.worst_defect)}`}
                </span>
              </span>
            </Link>
          </li>
        ))}
      </ul>
    </>
  );
}

function KilnCard({
  kiln,
  heat,
  live,
  last,
  now,
}: {
  kiln: Kiln;
  heat: TodayData['heat'];
  live: readonly Firing[];
  last: Firing | undefined;
  now: Date;
}) {
  return (
    <div className={css.kiln}>
      <div className={css.kilnHead}>
        <h2>
          <Link href={`/kilns/${kiln.id}`}>{kiln.name}</Link>
        </h2>
        <span className="quiet small">
          <QuantityText of={spaceOf(kiln.litres)} />
        </span>
      </div>
      {live.map((firing) => {
        const since = firing.endedAt ?? firing.startedAt;
        const log = heat.get(firing.id);
        // A kiln nobody measures is opened by eye and hand.
        const cool = firing.state === 'cooling' && (!log?.open || log.open.reached);
        const step = STEP[cool ? 'cool' : firing.state]!;
        return (
          <div key={firing.id} className={css.live}>
            <p>
              <b
                className={firing.state === 'loading' ? undefined : firing.state === 'open' ? 'good' : 'heat'}
              >
                {step.word}
              </b>
              {since &&
                firing.state !== 'open' &&
                `, ${firing.endedAt ? 'ended' : 'lit'} ${ageWords(since, now)}`}
              <br />
              <span className="quiet">
                {firing.kind}, {heatName(firing.cone)}, <Flame atmosphere={firing.atmosphere} />,{' '}
                {counted(firing.pieces, 'piece')}
              </span>
              {log?.last && (
                <>
                  <br />
                  <b className="heat">
                    <QuantityText of={celsius((log.inside ?? log.last).celsius)} />
                  </b>
                  {log.cone && ` cone ${log.cone}`}
                  {log.open &&
                    (cool
                      ? ', should be cool enough to open now'
                      : `, should be cool enough ${clockWords(log.open, now)}`)}
                  {log.alarms.map((alarm) => (
                    <b key={alarm} className="heat">
                      , {alarm}
                    </b>
                  ))}
                </>
              )}
            </p>
            <LinkButton
              variant={cool || firing.state === 'open' ? 'contained' : 'outlined'}
              href={step.href(firing.id)}
            >
              {step.act ?? wayOut(firing.cone).link}
            </LinkButton>
          </div>
        );
      })}
      {live.length === 0 && (
        <div className={css.live}>
          <p className="quiet">at rest{last && <>, last fired {dayWords(last.plannedOn)}</>}</p>
          <ForRole least="teacher">
            <LinkButton href="/kilns">Plan a firing</LinkButton>
          </ForRole>
        </div>
      )}
    </div>
  );
}

function Waiting({
  title,
  empty,
  pieces,
  count,
  href,
}: {
  title: string;
  empty: string;
  pieces: readonly ListedPiece[];
  count: number;
  href: string;
}) {
  return (
    <section aria-label={title} className={css.waiting}>
      <h2 className={css.heading}>
        {title}{' '}
        {count > 0 && (
          <Link href={href} className={`figures ${css.count}`}>
            {count}
          </Link>
        )}
      </h2>
      {count === 0 ? (
        <p className="quiet">{empty}</p>
      ) : (
        <ul className={css.row}>
          {pieces.map((piece) => (
            <li key={piece.id}>
              <PieceThumb piece={piece} size={78} />
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
