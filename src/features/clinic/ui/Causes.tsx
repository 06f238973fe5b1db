import { Said } from '@/ui/units';
import { heldText } from '@/core/units';
import { causeOf, type RankedCause, type Ranking } from '@/core/clinic';
import css from './clinic.module.css';
import { percentWords } from '../model/words';

/** Causes by how likely they are, each with what speaks for and against it, what to do, and the test for it. */
export function Causes({ causes, other, enough }: Ranking) {
  return (
    <>
      <h2>{enough ? `Most likely: ${causes[0]!.cause.name}` : 'Not enough to tell yet; the order so far'}</h2>
      <ol>
        {causes.map((one, i) => (
          <Cause key={one.cause.id} ranked={one} open={i === 0 && enough} />
        ))}
      </ol>
      <p className="small quiet">
        Something else: {percentWords(other)}. The weights are trade judgement, kept in one table. What your
        own tiles say is shown separately below.
      </p>
    </>
  );
}

/** A cause with its reasons, remedies and test one click open. */
function Cause({ ranked, open }: { ranked: RankedCause; open: boolean }) {
  const { cause, score, because, against, with: partner } = ranked;
  return (
    <li>
      <details open={open}>
        <summary>
          <span className={css.bar} aria-hidden>
            <i style={{ width: `${score * 100}%` }} />
          </span>
          <span className="figures">{percentWords(score)}</span>
          <b>
            {cause.name}
            {partner && <span className="quiet">, together with {causeOf(partner).name}</span>}
          </b>
        </summary>
        <div className={css.reasons}>
          {because.length > 0 && <p>For it: {because.map(({ words }) => words).join('; ')}.</p>}
          {against.length > 0 && <p>Against it: {against.map(({ words }) => words).join('; ')}.</p>}
          {because.length + against.length === 0 && (
            <p className="quiet">None of your answers points to this yet.</p>
          )}
          <h3>What to do, in order</h3>
          <ol>
            {cause.remedies.map(({ act, cost, risk, caution }) => (
              <li key={heldText(act)}>
                <Said of={act} />
                <span className="quiet">
                  {cost !== 'none' && ` (${cost === 'much' ? 'much work' : 'some work'})`}
                  {risk && `; may: ${risk}`}
                </span>
                {caution && <span className="heat small"> {caution}</span>}
              </li>
            ))}
          </ol>
          <p>
            <b>The test:</b> <Said of={cause.test} />
          </p>
          {cause.school && <p className="small">{cause.school}</p>}
        </div>
      </details>
    </li>
  );
}
