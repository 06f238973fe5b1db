'use client';
import TextField from '@mui/material/TextField';
import Link from 'next/link';
import { useState } from 'react';
import type { Glaze } from '@/records/materials';
import { Acts, PageHeader, TwoColumns } from '@/ui/kit';
import { NamesForm } from '@/features/shared/NamesForm';
import { LinkButton } from '@/ui/LinkButton';
import { addGlazes } from '../actions';
import { Swatch } from '@/ui/Swatch';
import css from '@/ui/cards.module.css';
import { GlazeCard } from './GlazeCard';

interface Props {
  readonly glazes: readonly Glaze[];
  readonly swatches: ReadonlyMap<string, string>;
  /** Whether a new glaze is being added, or "several" by their names. */
  readonly adding: string | null;
  readonly mayChange: boolean;
}

/** The buckets: swatch from the newest proof, kind, how it behaves, and the advice that goes with it. */
export function GlazesView({ glazes, swatches, adding, mayChange }: Props) {
  const [wanted, setWanted] = useState('');
  const shown = glazes.filter((glaze) => matches(glaze, wanted));
  return (
    <>
      <PageHeader first={shown[0]?.name ?? 'Glazes'} last={shown.at(-1)?.name}>
        <h1>Glazes</h1>
        <TextField
          label="Name, kind, surface or advice"
          value={wanted}
          onChange={(event) => setWanted(event.target.value)}
          sx={{ maxWidth: 300 }}
        />
        <Acts>
          <LinkButton href="/glazes/materials">Materials</LinkButton>
          <LinkButton href="/glazes/blend">Triaxial blend</LinkButton>
          {mayChange && (
            <LinkButton variant="contained" href="/glazes?add=1">
              Add a glaze
            </LinkButton>
          )}
        </Acts>
      </PageHeader>
      <TwoColumns
        at="right"
        aside={
          mayChange &&
          adding &&
          (adding === 'several' ? (
            <NamesForm
              what="glaze"
              known={glazes.map(({ name }) => name)}
              save={(named) => addGlazes({ named })}
            />
          ) : (
            <>
              <GlazeCard glaze={null} />
              <LinkButton href="/glazes?add=several">Several at once</LinkButton>
            </>
          ))
        }
      >
        <ul className={css.list}>
          {glazes.length === 0 && <li className={css.empty}>No glaze yet. Add the first one.</li>}
          {glazes.length > 0 && shown.length === 0 && <li className={css.empty}>No glaze matches.</li>}
          {shown.map((glaze) => (
            <li key={glaze.id}>
              <Link href={`/glazes/${glaze.id}`} className={css.row}>
                <Swatch hash={swatches.get(glaze.id) ?? null} colour={glaze.colour} width={64} height={44} />
                <span>
                  <b className={css.name}>{glaze.name}</b>
                  <span className="small quiet">
                    {[
                      glaze.kind,
                      glaze.surface,
                      glaze.movement,
                      glaze.opaque === false ? 'see-through' : null,
                    ]
                      .filter(Boolean)
                      .join(', ')}
                  </span>
                </span>
                <span>
                  {glaze.advice} {glaze.caution && <span className="heat">{glaze.caution}</span>}
                </span>
              </Link>
            </li>
          ))}
        </ul>
      </TwoColumns>
    </>
  );
}

/** Whether every typed word stands somewhere in what is said about a glaze. */
function matches(glaze: Glaze, wanted: string): boolean {
  const text = [glaze.name, glaze.kind, glaze.surface, glaze.movement, glaze.advice].join(' ').toLowerCase();
  return wanted
    .toLowerCase()
    .split(/\s+/)
    .every((word) => text.includes(word));
}
