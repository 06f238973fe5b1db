import Link from 'next/link';
import { targetWords } from '@/core/rounds';
import { ROUND_STEPS } from '@/core/vocabulary';
import type { RoundSummary } from '@/records/rounds';
import { Acts, PageHeader } from '@/ui/kit';
import { LinkButton } from '@/ui/LinkButton';
import { shortDay } from '@/core/time';
import { isLate } from '../model/progress';
import css from './rounds.module.css';

/** All rounds: what was asked, and how far the pieces have come. */
export function RoundsView({
  rounds,
  mayChange,
  today,
}: {
  rounds: readonly RoundSummary[];
  mayChange: boolean;
  /** "YYYY-MM-DD" */
  today: string;
}) {
  return (
    <>
      <PageHeader first="Rounds">
        <h1>Rounds</h1>
        <Acts>
          {mayChange && <LinkButton href="/rounds/suggest">Suggest one</LinkButton>}
          {mayChange && (
            <LinkButton variant="contained" href="/rounds/new">
              Plan a round
            </LinkButton>
          )}
        </Acts>
      </PageHeader>
      {rounds.length === 0 ? (
        <p>
          No round yet. Say what you want to know, and Jiten lays out the tests, numbers the pieces and prints
          their labels.
        </p>
      ) : (
        <ul className={css.list}>
          {rounds.map((round) => (
            <li key={round.id}>
              <Link href={`/rounds/${round.id}`}>
                <span className="figures">R{round.number}</span>
                <span>
                  <b>{round.name}</b>
                  <span className="small quiet">
                    {round.targets.map(targetWords).join(' and ')}; {round.by}, {shortDay(round.createdAt)}
                  </span>
                </span>
                <Progress round={round} />
                <span className={isLate(round, round.steps, today) ? 'heat small' : 'small quiet'}>
                  {round.dueOn &&
                    `${isLate(round, round.steps, today) ? 'late: ' : 'by '}${shortDay(round.dueOn)}`}
                </span>
              </Link>
            </li>
          ))}
        </ul>
      )}
    </>
  );
}

/** How many pieces stand at each step, the furthest darkest. */
export function Progress({ round }: { round: Pick<RoundSummary, 'steps'> }) {
  const words = ROUND_STEPS.filter((step) => round.steps[step]).map((step) => `${round.steps[step]} ${step}`);
  return (
    <span>
      <span className={css.bar} role="img" aria-label={words.join(', ')}>
        {[...ROUND_STEPS].reverse().map((step, i) => (
          <span key={step} style={{ flexGrow: round.steps[step] ?? 0, opacity: 1 - i * 0.17 }} />
        ))}
      </span>
      <span className="small">{words.join(', ')}</span>
    </span>
  );
}
