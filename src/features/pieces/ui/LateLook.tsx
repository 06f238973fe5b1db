'use client';
import { Said } from '@/ui/units';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { whereWords, rimFirst } from '@/core/coats';
import { defectOf, type DefectId, LATE_DEFECTS, type Measures } from '@/core/vocabulary';
import type { PieceFiring } from '@/records/pieces';
import { FormErrors, NumberField } from '@/ui/kit';
import { DefectGlyph } from '@/ui/DefectGlyph';
import { useMutation } from '@/ui/useMutation';
import { useIdempotentId } from '@/ui/useIdempotentId';
import { saveLateLook } from '../actions';
import { lateReadings } from '../model/late';
import css from './piece.module.css';

/** What comes after the opening, on the shelf or in use. */
interface Props {
  readonly piece: Measures & { readonly id: string };
  readonly firing: PieceFiring;
  /** Days since the piece came out. */
  readonly days: number;
}

/** A defect that showed later: which, where and after how long; the reading of the opening stays. */
export function LateLook({ piece, firing, days }: Props) {
  const glazed = firing.zones.filter((zone) => zone.stack.length > 0);
  const { run, isBusy, errors } = useMutation();
  const [idOf, kept] = useIdempotentId();
  const [defect, setDefect] = useState<DefectId>('crazing');
  const [chosen, setChosen] = useState<readonly string[]>(glazed.map((zone) => zone.id));
  const [ageDays, setAge] = useState<number | null>(days);
  const [note, setNote] = useState('');
  const save = async () => {
    const zones = glazed.filter((zone) => chosen.includes(zone.id));
    const readings = lateReadings(zones, { defect, ageDays, note }, (zoneId) => idOf([zoneId, defect]));
    const said = { pieceId: piece.id, firingId: firing.firingId, state: 'read', fate: null, readings };
    if ((await run(() => saveLateLook(said))) === undefined) return;
    for (const zone of zones) kept([zone.id, defect]);
  };
  return (
    <details className={css.late}>
      <summary>Report a later fault</summary>
      <div className={css.lateRow} role="group" aria-label="What appeared">
        {LATE_DEFECTS.map((id) => (
          <button key={id} type="button" aria-pressed={defect === id} onClick={() => setDefect(id)}>
            <DefectGlyph id={id} size={28} labelled />
            {defectOf(id)!.name}
          </button>
        ))}
      </div>
      {defectOf(defect)!.caution && <p className="small heat">{defectOf(defect)!.caution}</p>}
      <div className={css.lateRow} role="group" aria-label="Where">
        {rimFirst(glazed).map((zone) => (
          <button
            key={zone.id}
            type="button"
            aria-pressed={chosen.includes(zone.id)}
            onClick={() =>
              setChosen(
                chosen.includes(zone.id) ? chosen.filter((id) => id !== zone.id) : [...chosen, zone.id],
              )
            }
          >
            {zone.headword}
            <small>
              <Said of={whereWords(zone, piece)} />
            </small>
          </button>
        ))}
      </div>
      <div className={css.lateFields}>
        <NumberField label="After how many days" value={ageDays} onChange={setAge} />
        <TextField label="Note" value={note} onChange={(event) => setNote(event.target.value)} />
        <Button
          variant="contained"
          disabled={isBusy || chosen.length === 0 || !Number.isInteger(ageDays)}
          onClick={() => void save()}
        >
          Save later fault
        </Button>
      </div>
      <FormErrors errors={errors} />
    </details>
  );
}
