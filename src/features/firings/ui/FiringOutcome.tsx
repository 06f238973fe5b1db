'use client';
import { counted } from '@/core/units';
import Button from '@mui/material/Button';
import { ATMOSPHERES_REACHED, type AtmosphereReached, heatName, isCone } from '@/core/vocabulary';
import { sayCone } from '@/core/firing';
import type { Firing, FiringOutcome as Outcome } from '@/records/firings';
import { FormErrors, ToggleRow } from '@/ui/kit';
import { useMutation } from '@/ui/useMutation';
import { fileUnderCone, saveAtmosphereReached } from '../actions';
import css from './firings.module.css';

interface Props {
  readonly firing: Firing;
  readonly outcome: Outcome;
  readonly mayDecide: boolean;
}

/** What a firing came to: another cone than planned, another atmosphere than meant. People decide, and may take it back. */
export function FiringOutcome({ firing, outcome, mayDecide }: Props) {
  return (
    <>
      {outcome.otherCone && <OtherCone {...{ firing, mayDecide }} other={outcome.otherCone} />}
      {firing.atmosphere === 'reduction' && <Atmosphere {...{ firing, outcome, mayDecide }} />}
    </>
  );
}

function OtherCone({
  firing,
  other,
  mayDecide,
}: Pick<Props, 'firing' | 'mayDecide'> & { other: NonNullable<Outcome['otherCone']> }) {
  const { run, isBusy, errors } = useMutation();
  const file = (cone: Firing['filedCone']) => void run(() => fileUnderCone({ firingId: firing.id, cone }));
  const pieces = counted(other.pieces, 'piece');
  return (
    <section aria-label="Cone reached">
      <h3>Cone reached</h3>
      <p>
        These came to <b>{sayCone(firing.achievedCone!)}</b>, not {firing.cone}.{' '}
        {firing.filedCone === null
          ? 'Until you say, the dictionary shows them apart.'
          : firing.filedCone === firing.cone
            ? `${pieces} left apart under ${heatName(firing.cone)}.`
            : `${pieces} filed under cone ${firing.filedCone}.`}
      </p>
      {mayDecide &&
        (firing.filedCone === null ? (
          <>
            <Button variant="contained" fullWidth disabled={isBusy} onClick={() => file(other.cone)}>
              File {pieces} under {other.cone}
            </Button>
            <Button fullWidth disabled={isBusy} onClick={() => isCone(firing.cone) && file(firing.cone)}>
              Leave them apart
            </Button>
          </>
        ) : (
          <Button disabled={isBusy} onClick={() => file(null)}>
            Take this back
          </Button>
        ))}
      <FormErrors errors={errors} />
    </section>
  );
}

const UNKNOWN = 'unknown';

const REACHED_WORDS: Readonly<Record<AtmosphereReached | typeof UNKNOWN, string>> = {
  'as meant': 'as meant',
  weak: 'weak',
  heavy: 'heavy',
  oxidised: 'oxidised',
  unknown: 'not known',
};

function Atmosphere({ firing, outcome, mayDecide }: Props) {
  const { run, isBusy, errors } = useMutation();
  const { suggestion } = outcome;
  const reached = firing.atmosphereReached;
  const choices = [...ATMOSPHERES_REACHED, UNKNOWN] as const;
  const decide = (next: AtmosphereReached | typeof UNKNOWN) =>
    void run(() => saveAtmosphereReached({ firingId: firing.id, reached: next === UNKNOWN ? null : next }));
  return (
    <section aria-label="Atmosphere reached">
      <h3>Atmosphere reached</h3>
      {mayDecide ? (
        <ToggleRow
          label="Atmosphere reached"
          className={css.reached}
          value={reached ?? UNKNOWN}
          onChange={(next) => !isBusy && decide(next)}
          options={choices.map((one) => [one, REACHED_WORDS[one]] as const)}
        />
      ) : (
        <p>{REACHED_WORDS[reached ?? UNKNOWN]}</p>
      )}
      {suggestion && suggestion.reached !== reached && (
        <p className="small">
          Probably <b>{REACHED_WORDS[suggestion.reached]}</b>: {suggestion.because.join('; ')}. You decide.
        </p>
      )}
      {reached !== null && reached !== 'as meant' && (
        <p className="small">The dictionary shows these pieces apart and does not count them.</p>
      )}
      <FormErrors errors={errors} />
    </section>
  );
}
