'use client';
import BackspaceOutlined from '@mui/icons-material/BackspaceOutlined';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useActionState, useState } from 'react';
import type { Outcome } from '@/auth';
import type { DeviceName } from '@/records/people';
import { LinkButton } from '@/ui/LinkButton';
import { signInByPin } from '../signInActions';
import css from './signIn.module.css';

interface Props {
  readonly studio: string;
  readonly device: string;
  readonly names: readonly DeviceName[];
}

const FIGURES = ['1', '2', '3', '4', '5', '6', '7', '8', '9', '', '0'] as const;
const MOST = 8;

/** The studio's tablet while nobody is at it: tap your name, type your PIN. */
export function DeviceNames({ studio, device, names }: Props) {
  const [chosen, setChosen] = useState<DeviceName | null>(null);
  return (
    <main className={css.device}>
      <h1>{studio || 'Jiten'}</h1>
      {chosen ? (
        <Pin of={chosen} onBack={() => setChosen(null)} />
      ) : (
        <>
          <p className="quiet">
            {names.length
              ? 'Tap your name.'
              : 'Nobody has a PIN yet. Sign in with your password and set one on your account page.'}
          </p>
          <ul className={css.names} aria-label="Names">
            {names.map((one) => (
              <li key={one.id}>
                <button type="button" onClick={() => setChosen(one)}>
                  {one.name}
                </button>
              </li>
            ))}
          </ul>
        </>
      )}
      <p className={css.foot}>
        <LinkButton href="/sign-in?by=password">Sign in with a password</LinkButton>
        <span className="small quiet">{device}</span>
      </p>
    </main>
  );
}

/** Figures large enough for a dusty thumb; a keyboard works as well. */
function Pin({ of, onBack }: { of: DeviceName; onBack: () => void }) {
  const [pin, setPin] = useState('');
  const [outcome, submit, isBusy] = useActionState<Outcome<null> | null, FormData>(async (_before, form) => {
    const said = await signInByPin(null, form);
    setPin('');
    return said;
  }, null);
  const error = outcome && !outcome.ok ? outcome.errors[0]?.message : undefined;
  if (of.isLocked)
    return (
      <>
        <p role="alert" className="heat">
          {of.name}: too many wrong PINs. Sign in with your password; then the PIN works again.
        </p>
        <Button onClick={onBack}>Back to the names</Button>
      </>
    );
  const type = (figure: string) => setPin((before) => (before + figure).slice(0, MOST));
  return (
    <form action={submit} className={css.pin} aria-label={`PIN of ${of.name}`}>
      <h2>{of.name}</h2>
      <input type="hidden" name="memberId" value={of.id} />
      <TextField
        name="pin"
        label="PIN"
        type="password"
        autoComplete="off"
        autoFocus
        value={pin}
        onChange={(event) => setPin(event.target.value.replace(/\D/g, '').slice(0, MOST))}
        slotProps={{ htmlInput: { inputMode: 'none' } }}
        error={Boolean(error)}
      />
      <p role="alert" className="heat">
        {error}
      </p>
      <div className={css.pad}>
        {FIGURES.map((figure, i) =>
          figure === '' ? (
            <span key={i} />
          ) : (
            <button key={figure} type="button" onClick={() => type(figure)}>
              {figure}
            </button>
          ),
        )}
        <button type="button" aria-label="Delete the last figure" onClick={() => setPin(pin.slice(0, -1))}>
          <BackspaceOutlined />
        </button>
      </div>
      <Button type="submit" variant="contained" size="large" disabled={isBusy || pin.length < 4}>
        {isBusy ? 'One moment' : 'Sign in'}
      </Button>
      <Button onClick={onBack}>I am somebody else</Button>
    </form>
  );
}
