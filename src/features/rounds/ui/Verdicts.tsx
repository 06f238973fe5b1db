'use client';
import { verdictLine, type FactorVerdict } from '../model/parts';
import css from './rounds.module.css';

/** So many tests that a factor matters for are told at once. */
const FEW = 6;

/** Whether clay, texture and firing matter, with what differs in numbers. */
export function Verdicts({ verdicts }: { readonly verdicts: readonly FactorVerdict[] }) {
  const told = verdicts.filter(({ tests }) => tests.some(({ matters }) => matters !== null));
  const open = verdicts.filter((one) => !told.includes(one)).map(({ factor }) => factor);
  return (
    <section className={css.verdicts} aria-label="What matters">
      {open.length > 0 && (
        <p className="small quiet">
          Once two of them are read, the verdict on the {open.join(' and the ')} stands here.
        </p>
      )}
      {told.map((one) => {
        const differing = one.tests.filter(({ matters }) => matters === 'plainly' || matters === 'may');
        const hardly = one.tests.filter(({ matters }) => matters === 'hardly');
        const list = (
          <ul>
            {differing.map(({ words, differences }) => (
              <li key={words}>
                {one.tests.length > 1 && <b>{words}: </b>}
                {differences.join('; ')}
              </li>
            ))}
          </ul>
        );
        return (
          <div key={one.factor}>
            <h2>{verdictLine(one)}</h2>
            {differing.length > FEW ? (
              <details>
                <summary>What differs</summary>
                {list}
              </details>
            ) : (
              list
            )}
            {hardly.length > 0 && hardly.length <= FEW && (
              <p className="small quiet">
                {hardly
                  .map(
                    ({ words, differences }) => `${words}: ${differences.join('; ') || 'no difference seen'}`,
                  )
                  .join('. ')}
              </p>
            )}
          </div>
        );
      })}
    </section>
  );
}
