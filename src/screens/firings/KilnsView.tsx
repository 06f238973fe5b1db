'use client';
import Button from '@mui/material/Button';
import dayjs from 'dayjs';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { ulid } from 'ulid';
import { coneIndex } from '@/core/firing';
import type { Firing } from '@/records/firings';
import type { Kiln } from '@/records/kilns';
import type { Programme } from '@/records/programmes';
import { shortDay } from '@/ui/dates';
import { Flame } from '@/ui/Flame';
import { GuideWords } from '@/ui/frame';
import { LinkButton } from '@/ui/LinkButton';
import css from './firings.module.css';
import { FiringForm } from './FiringForm';
import { KilnForm } from './KilnForm';

/** The kilns with their firings, newest first, and the form that plans the next one. */
export function KilnsView({
  kilns,
  firings,
  programmes,
  mayPlan,
  adding,
}: {
  kilns: readonly Kiln[];
  firings: readonly Firing[];
  programmes: readonly Programme[];
  mayPlan: boolean;
  adding: boolean;
}) {
  const router = useRouter();
  const [planning, setPlanning] = useState<string | null>(null);
  const [newKiln, setNewKiln] = useState(adding);
  return (
    <>
      <GuideWords first={kilns[0]?.name ?? 'Kilns'} last={kilns.at(-1)?.name} />
      <div className={css.titleRow}>
        <h1>Kilns</h1>
        {mayPlan && <Button onClick={() => setNewKiln(!newKiln)}>Add a kiln</Button>}
      </div>
      {newKiln && <KilnForm kiln={null} onSaved={() => setNewKiln(false)} />}
      {kilns.length === 0 && !newKiln && <p>No kiln yet. Add the first one to plan a firing.</p>}
      {kilns.map((kiln) => {
        const own = firings.filter((firing) => firing.kilnId === kiln.id);
        return (
          <section key={kiln.id} className={css.kiln} aria-label={kiln.name}>
            <div className={css.kilnHead}>
              <h2>{kiln.name}</h2>
              <span className="quiet">
                {kiln.heat}, <span className="figures">{kiln.litres}</span> L,{' '}
                <span className="figures">{kiln.shelves}</span> shelves
              </span>
              {mayPlan && (
                <Button
                  variant={planning === kiln.id ? 'text' : 'contained'}
                  onClick={() => setPlanning(planning === kiln.id ? null : kiln.id)}
                  sx={{ ml: 'auto' }}
                >
                  {planning === kiln.id ? 'Not now' : 'Plan a firing'}
                </Button>
              )}
            </div>
            {planning === kiln.id && (
              <FiringForm
                kilns={kilns}
                programmes={programmes}
                version={null}
                values={{
                  id: ulid(),
                  kilnId: kiln.id,
                  kind: 'glaze',
                  cone: own[0]?.kind === 'glaze' ? (own[0].cone as '6') : '6',
                  atmosphere: own[0]?.atmosphere ?? 'oxidation',
                  plannedOn: dayjs().format('YYYY-MM-DD'),
                  startsAt: own[0]?.startsAt ?? '18:00',
                  programmeId: own[0]?.programmeId ?? null,
                  segments: own[0]?.segments ? [...own[0].segments] : null,
                  programme: own[0]?.programme ?? '',
                  remarks: '',
                }}
                onSaved={(id) => router.push(`/firings/${id}`)}
              />
            )}
            {own.length === 0 ? (
              <p className="quiet">Never fired yet.</p>
            ) : (
              <div className={css.scroll}>
                <table className={css.table}>
                  <thead>
                    <tr>
                      <th>Firing</th>
                      <th>Day</th>
                      <th>Kind</th>
                      <th>Cone</th>
                      <th>Reached</th>
                      <th>Atmosphere</th>
                      <th className={css.right}>Pieces</th>
                      <th>State</th>
                      <th />
                    </tr>
                  </thead>
                  <tbody>
                    {own.map((firing) => (
                      <tr key={firing.id}>
                        <td>
                          <Link href={`/firings/${firing.id}`}>
                            <b className="figures">{firing.number}</b>
                          </Link>
                        </td>
                        <td>{shortDay(firing.plannedOn)}</td>
                        <td>{firing.kind}</td>
                        <td className="figures">{firing.cone}</td>
                        <td>{reached(firing)}</td>
                        <td>
                          <Flame atmosphere={firing.atmosphere} />
                        </td>
                        <td className={`figures ${css.right}`}>{firing.pieces}</td>
                        <td
                          className={
                            firing.state === 'firing' || firing.state === 'cooling' ? 'heat' : undefined
                          }
                        >
                          {firing.state}
                        </td>
                        <td className={css.right}>
                          {(firing.state === 'cooling' || firing.state === 'open') && (
                            <LinkButton size="small" href={`/firings/${firing.id}/opening`}>
                              Open
                            </LinkButton>
                          )}
                        </td>
                      </tr>
                    ))}
                  </tbody>
                </table>
              </div>
            )}
          </section>
        );
      })}
    </>
  );
}

function reached(firing: Firing): string {
  if (firing.achievedCone === null) return '';
  const off = firing.achievedCone - (coneIndex(firing.cone) ?? firing.achievedCone);
  return Math.abs(off) < 0.05 ? 'on target' : `${off > 0 ? '+' : '−'}${Math.abs(off)} cone`;
}
