'use client';
import Link from 'next/link';
import type { Body } from '@/records/materials';
import { Acts, PageHeader, TwoColumns } from '@/ui/kit';
import { NamesForm } from '@/features/shared/NamesForm';
import { LinkButton } from '@/ui/LinkButton';
import { addClays } from '../actions';
import { bodyWords } from '../model/bodyWords';
import css from '@/ui/cards.module.css';
import { BodyCard } from './BodyCard';

/** The clays: colour in oxidation and reduction, range, and what was measured. */
export function ClaysView({
  bodies,
  adding,
  mayChange,
}: {
  bodies: readonly Body[];
  adding: string | null;
  mayChange: boolean;
}) {
  return (
    <>
      <PageHeader first={bodies[0]?.name ?? 'Clays'} last={bodies.at(-1)?.name}>
        <h1>Clays</h1>
        {mayChange && (
          <Acts>
            <LinkButton variant="contained" href="/clays?add=1">
              Add a clay
            </LinkButton>
          </Acts>
        )}
      </PageHeader>
      <TwoColumns
        at="right"
        aside={
          mayChange &&
          adding &&
          (adding === 'several' ? (
            <NamesForm
              what="clay"
              known={bodies.map(({ name }) => name)}
              save={(named) => addClays({ named })}
            />
          ) : (
            <>
              <BodyCard body={null} />
              <LinkButton href="/clays?add=several">Several at once</LinkButton>
            </>
          ))
        }
      >
        <ul className={css.list}>
          {bodies.length === 0 && <li className={css.empty}>No clay yet. Add the first one.</li>}
          {bodies.map((body) => (
            <li key={body.id}>
              <Link href={`/clays/${body.id}`} className={css.row}>
                <span
                  style={{ display: 'flex', width: 64, height: 44 }}
                  role="img"
                  aria-label="Colour in oxidation and in reduction"
                >
                  <span style={{ flex: 1, background: body.colourOxidation }} />
                  <span style={{ flex: 1, background: body.colourReduction }} />
                </span>
                <span>
                  <b className={css.name}>{body.name}</b>
                  <span className="small quiet">{bodyWords(body)}</span>
                </span>
                <span>
                  {body.note}{' '}
                  <span className="small quiet figures">
                    {[
                      body.shrinkage !== null && `shrinks ${body.shrinkage} %`,
                      body.absorption !== null && `absorbs ${body.absorption} %`,
                      body.expansion !== null && `${body.expansion} e-6/K`,
                    ]
                      .filter(Boolean)
                      .join('  ')}
                  </span>
                </span>
              </Link>
            </li>
          ))}
        </ul>
      </TwoColumns>
    </>
  );
}
