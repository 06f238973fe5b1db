'use client';
import Button from '@mui/material/Button';
import { FormErrors, ToggleRow } from '@/ui/kit';
import { useChooseUnits, useUnits } from '@/ui/units';
import { useMutation } from '@/ui/useMutation';
import { chooseUnits } from '../actions';
import { UNIT_ROWS } from '../model/unitRows';
import css from './people.module.css';

/** The units a member reads and types in, on every device. */
export function UnitChoice() {
  const units = useUnits();
  const choose = useChooseUnits();
  const { run, isBusy, errors } = useMutation();
  return (
    <section aria-label="Units">
      <h2>Units</h2>
      <div className={css.units}>
        {UNIT_ROWS.map(({ name, label, options }) => (
          <ToggleRow
            key={name}
            label={label}
            options={options}
            value={units[name]}
            onChange={(value) => choose({ [name]: value })}
          />
        ))}
        <Button disabled={isBusy} onClick={() => void run(() => chooseUnits({ units: null }))}>
          As the studio
        </Button>
      </div>
      <p className="small quiet">A field takes any unit: 4 1/2 in, 11,4 cm, 2232 F, 1 lb 4 oz.</p>
      <FormErrors errors={errors} />
    </section>
  );
}
