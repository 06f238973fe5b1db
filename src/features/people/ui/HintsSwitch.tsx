'use client';
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import { FormErrors } from '@/ui/kit';
import { useMutation } from '@/ui/useMutation';
import { tellHints } from '../actions';

/** Whether a screen says what it is for when one comes to it for the first time; on again means all of them again. */
export function HintsSwitch({ isOff }: { readonly isOff: boolean }) {
  const { run, isBusy, errors } = useMutation();
  return (
    <section aria-label="Hints">
      <h2>Hints</h2>
      <FormControlLabel
        label="Say what a screen is for, the first time"
        control={
          <Switch
            checked={!isOff}
            disabled={isBusy}
            onChange={(event) => void run(() => tellHints({ isOff: !event.target.checked }))}
          />
        }
      />
      <FormErrors errors={errors} />
    </section>
  );
}
