'use client';
import { QuantityText } from '@/ui/units';
import { spaceOf } from '@/core/units';
import Button from '@mui/material/Button';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Firing, Kiln, Programme } from '@/records/firings';
import { Acts, PageHeader } from '@/ui/kit';
import { LinkButton } from '@/ui/LinkButton';
import css from './kilns.module.css';
import { FiringForm, firstPlan, FiringTable } from '@/features/firings';
import { KilnForm } from './KilnForm';

/** The kilns with their firings, newest first, and the form that plans the next one. */
export function KilnsView({
  kilns,
  firings,
  programmes,
  mayPlan,
  mayAdd,
  adding,
}: {
  kilns: readonly Kiln[];
  firings: readonly Firing[];
  programmes: readonly Programme[];
  mayPlan: boolean;
  mayAdd: boolean;
  adding: boolean;
}) {
  const router = useRouter();
  const [planning, setPlanning] = useState<string | null>(null);
  const [newKiln, setNewKiln] = useState(adding && mayAdd);
  return (
    <>
      <PageHeader first={kilns[0]?.name ?? 'Kilns'} last={kilns.at(-1)?.name}>
        <h1>Kilns</h1>
        <Acts>
          <LinkButton href="/kilns/queue">Queue and calendar</LinkButton>
          <LinkButton href="/kilns/programmes">Programmes</LinkButton>
          {mayAdd && <Button onClick={() => setNewKiln(!newKiln)}>Add a kiln</Button>}
        </Acts>
      </PageHeader>
      {newKiln && <KilnForm kiln={null} onSaved={() => setNewKiln(false)} />}
      {kilns.length === 0 && !newKiln && <p>No kiln yet. Add the first one to plan a firing.</p>}
      {kilns.map((kiln) => {
        const own = firings.filter((firing) => firing.kilnId === kiln.id);
        return (
          <section key={kiln.id} className={css.kiln} aria-label={kiln.name}>
            <div className={css.kilnHead}>
              <h2>
                <Link href={`/kilns/${kiln.id}`}>{kiln.name}</Link>
              </h2>
              <span className="quiet">
                {kiln.heat}, <QuantityText of={spaceOf(kiln.litres)} />,{' '}
                <span className="figures">{kiln.shelves}</span> shelves
              </span>
              {mayPlan && (
                <Button
                  variant={planning === kiln.id ? 'text' : 'contained'}
                  onClick={() => setPlanning(planning === kiln.id ? null : kiln.id)}
                  sx={{ ml: 'auto' }}
                >
                  {planning === kiln.id ? 'Cancel' : 'Plan a firing'}
                </Button>
              )}
            </div>
            {planning === kiln.id && (
              <FiringForm
                kilns={kilns}
                programmes={programmes}
                version={null}
                values={firstPlan(kiln, own)}
                onSaved={(id) => router.push(`/firings/${id}`)}
              />
            )}
            {own.length === 0 ? (
              <p className="quiet">Never fired yet.</p>
            ) : (
              <FiringTable firings={own.slice(0, 6)} />
            )}
          </section>
        );
      })}
    </>
  );
}
