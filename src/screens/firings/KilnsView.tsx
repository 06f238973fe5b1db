'use client';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import dayjs from 'dayjs';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { ulid } from 'ulid';
import { coneIndex } from '@/core/firing';
import type { Firing, Kiln } from '@/records/firings';
import { shortDay } from '@/ui/dates';
import { Faults } from '@/ui/Faults';
import { Flame } from '@/ui/Flame';
import { GuideWords } from '@/ui/frame';
import { LinkButton } from '@/ui/LinkButton';
import { NumberField } from '@/ui/NumberField';
import { useAct } from '@/ui/useAct';
import { saveKiln } from './actions';
import css from './firings.module.css';
import { FiringForm } from './FiringForm';

/** The kilns with their firings, newest first, and the form that plans the next one. */
export function KilnsView({
  kilns,
  firings,
  mayPlan,
  adding,
}: {
  kilns: readonly Kiln[];
  firings: readonly Firing[];
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
      {newKiln && <KilnForm onSaved={() => setNewKiln(false)} />}
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
                version={null}
                values={{
                  id: ulid(),
                  kilnId: kiln.id,
                  kind: 'glaze',
                  cone: own[0]?.kind === 'glaze' ? (own[0].cone as '6') : '6',
                  atmosphere: own[0]?.atmosphere ?? 'oxidation',
                  plannedOn: dayjs().format('YYYY-MM-DD'),
                  programme: own[0]?.programme ?? '',
                  remarks: '',
                }}
                onSaved={(id) => router.push(`/kilns/${id}`)}
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
                          <Link href={`/kilns/${firing.id}`}>
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
                            <LinkButton size="small" href={`/kilns/${firing.id}/opening`}>
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

function KilnForm({ onSaved }: { onSaved: () => void }) {
  const [kiln, setKiln] = useState({
    id: ulid(),
    name: '',
    heat: 'electric',
    litres: 150 as number | null,
    shelves: 4 as number | null,
  });
  const { act, busy, faults } = useAct();
  const of = (field: string) => faults.find((fault) => fault.field === field)?.message;
  return (
    <form
      className={css.form}
      aria-label="Kiln"
      onSubmit={async (event) => {
        event.preventDefault();
        if ((await act(() => saveKiln(kiln))) === null) onSaved();
      }}
    >
      <TextField
        label="Name"
        value={kiln.name}
        onChange={(event) => setKiln({ ...kiln, name: event.target.value })}
        error={Boolean(of('name'))}
        helperText={of('name')}
        autoFocus
      />
      <TextField
        select
        label="Heat"
        value={kiln.heat}
        onChange={(event) => setKiln({ ...kiln, heat: event.target.value })}
      >
        {['electric', 'gas', 'wood'].map((heat) => (
          <MenuItem key={heat} value={heat}>
            {heat}
          </MenuItem>
        ))}
      </TextField>
      <NumberField
        label="Litres"
        value={kiln.litres}
        onChange={(litres) => setKiln({ ...kiln, litres })}
        fault={of('litres')}
      />
      <NumberField
        label="Shelves"
        value={kiln.shelves}
        onChange={(shelves) => setKiln({ ...kiln, shelves })}
        fault={of('shelves')}
      />
      <div className={css.wide}>
        <Faults faults={faults.filter((fault) => fault.field === '')} />
        <Button type="submit" variant="contained" disabled={busy}>
          Add this kiln
        </Button>
      </div>
    </form>
  );
}
