'use client';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import QRCode from 'qrcode';
import { useEffect, useState } from 'react';
import type { Control, FieldPathByValue, FieldValues } from 'react-hook-form';
import type { Account, FactorOffer, Session } from '@/records/people';
import { Form, FormErrors, PageHeader, TextInput, useSavedForm } from '@/ui/kit';
import { ageWords } from '@/core/time';
import { useMutation } from '@/ui/useMutation';
import { HintsSwitch } from './HintsSwitch';
import { UnitChoice } from './UnitChoice';
import {
  confirmFactor,
  endAllOwnSessions,
  endOwnSession,
  offerFactor,
  removeFactor,
  saveOwnName,
  saveOwnPassword,
  saveOwnPin,
} from '../actions';
import { confirmSchema, ownCodeSchema, ownNameSchema, ownPasswordSchema, ownPinFormSchema } from '../schema';
import css from './people.module.css';

interface Props {
  readonly account: Account;
  readonly sessions: readonly Session[];
  /** The session of this device. */
  readonly current: string | null;
  /** Whether the studio has a shared tablet. */
  readonly hasTablet: boolean;
  /** Whether a second factor must be set up before anything else. */
  readonly isFactorDue: boolean;
  readonly areHintsOff: boolean;
  readonly now: Date;
}

/** A member's own account: names, password, second factor, and where one is signed in. */
export function AccountView({ account, sessions, current, hasTablet, isFactorDue, areHintsOff, now }: Props) {
  return (
    <>
      <PageHeader first="Account">
        <h1>Account</h1>
      </PageHeader>
      {isFactorDue && (
        <p role="alert" className="heat">
          This studio asks its technicians for a second factor. Set yours up below; the rest opens then.
        </p>
      )}
      <div className={css.account}>
        <Names account={account} />
        <Password />
        <SecondFactor account={account} />
        {(hasTablet || account.hasPin) && <Pin hasPin={account.hasPin} />}
        <UnitChoice />
        <HintsSwitch isOff={areHintsOff} />
        <Devices {...{ sessions, current, now }} />
      </div>
    </>
  );
}

/** Says that something was saved, until the next try. */
function useSaid(): [string, (words: string) => void] {
  return useState('');
}

/** The password again, before something that matters. */
function OwnPassword<V extends FieldValues & { password: string }>({
  control,
}: {
  control: Control<V, unknown, never>;
}) {
  return (
    <TextInput
      control={control}
      name={'password' as FieldPathByValue<V, string>}
      label="Your password"
      type="password"
      autoComplete="current-password"
    />
  );
}

function Names({ account }: Pick<Props, 'account'>) {
  const [said, say] = useSaid();
  const values = { name: account.name, signIn: account.signIn ?? '', password: '' };
  const form = useSavedForm({
    schema: ownNameSchema,
    values,
    save: saveOwnName,
    onSaved: ({ name, signIn }) => {
      form.form.reset({ name, signIn, password: '' });
      say('Saved.');
    },
  });
  const { control } = form;
  return (
    <section aria-label="Name">
      <h2>Name</h2>
      <Form of={form} label="Name" button="Save" beside={<span role="status">{said}</span>}>
        <TextInput control={control} name="name" label="Your name" autoComplete="name" />
        <TextInput control={control} name="signIn" label="Sign-in name" autoComplete="username" />
        <OwnPassword control={control} />
      </Form>
    </section>
  );
}

function Password() {
  const [said, say] = useSaid();
  const form = useSavedForm({
    schema: ownPasswordSchema,
    values: { password: '', next: '' },
    save: saveOwnPassword,
    onSaved: () => {
      form.form.reset({ password: '', next: '' });
      say('Changed. Your other devices are signed out.');
    },
  });
  const { control } = form;
  return (
    <section aria-label="Password">
      <h2>Password</h2>
      <Form of={form} label="Password" button="Change password" beside={<span role="status">{said}</span>}>
        <TextInput
          control={control}
          name="password"
          label="Current password"
          type="password"
          autoComplete="current-password"
        />
        <TextInput
          control={control}
          name="next"
          label="New password"
          type="password"
          autoComplete="new-password"
        />
      </Form>
    </section>
  );
}

/** Sign-in in two steps: offered, scanned, confirmed with a code; recovery codes are shown once. */
function SecondFactor({ account }: Pick<Props, 'account'>) {
  const [offer, setOffer] = useState<FactorOffer | null>(null);
  const [codes, setCodes] = useState<readonly string[]>([]);
  return (
    <section aria-label="Second factor">
      <h2>Second factor</h2>
      {codes.length > 0 ? (
        <>
          <p>
            In use from now on. <b>Keep these codes apart from your phone.</b> Each signs you in once without
            it; they are not shown again.
          </p>
          <ul className={css.codes} aria-label="Recovery codes">
            {codes.map((code) => (
              <li key={code}>{code}</li>
            ))}
          </ul>
          <Button onClick={() => window.print()}>Print</Button>{' '}
          <Button variant="contained" onClick={() => setCodes([])}>
            I have saved them
          </Button>
        </>
      ) : account.hasSecondFactor ? (
        <>
          <p>
            Signing in asks for a code of your authenticator.{' '}
            {account.codesLeft === 1 ? 'One recovery code is' : `${account.codesLeft} recovery codes are`}{' '}
            left.
          </p>
          <Confirm label="Remove second factor" button="Remove it" save={removeFactor} />
        </>
      ) : offer ? (
        <Scan offer={offer} onCodes={setCodes} />
      ) : (
        <>
          <p>
            After the password you type a code from an app on your phone, so that a stolen password opens
            nothing.
          </p>
          <Confirm label="Set up second factor" button="Set it up" save={offerFactor} onSaved={setOffer} />
        </>
      )}
    </section>
  );
}

/** Asks for the password before something that matters. */
function Confirm<T>({
  label,
  button,
  save,
  onSaved,
}: {
  label: string;
  button: string;
  save: (typed: { password: string }) => ReturnType<typeof offerFactor> | ReturnType<typeof removeFactor>;
  onSaved?: (value: T) => void;
}) {
  const form = useSavedForm({
    schema: confirmSchema,
    values: { password: '' },
    save: async (typed) => {
      const outcome = await save(typed);
      if (outcome.ok) onSaved?.(outcome.value as T);
      return outcome as { ok: true; value: null };
    },
  });
  return (
    <Form of={form} label={label} button={button}>
      <OwnPassword control={form.control} />
    </Form>
  );
}

function Scan({ offer, onCodes }: { offer: FactorOffer; onCodes: (codes: string[]) => void }) {
  const [picture, setPicture] = useState('');
  useEffect(() => {
    void QRCode.toDataURL(offer.address, { margin: 2, width: 200 }).then(setPicture);
  }, [offer]);
  const form = useSavedForm({
    schema: ownCodeSchema,
    values: { code: '' },
    save: async (typed) => {
      const outcome = await confirmFactor(typed);
      if (outcome.ok) onCodes(outcome.value);
      return outcome;
    },
  });
  return (
    <>
      <div className={css.scan}>
        {picture && <img src={picture} width={200} height={200} alt="The secret as a QR code" />}
        <p>
          Scan this with an authenticator app, or type
          <br />
          <b className="figures">{offer.secret.replace(/(.{4})/g, '$1 ').trim()}</b>
          <br />
          and then the six figures it shows.
        </p>
      </div>
      <Form of={form} label="Code" button="Use it">
        <TextInput
          control={form.control}
          name="code"
          label="Code"
          autoComplete="one-time-code"
          slotProps={{ htmlInput: { inputMode: 'numeric' } }}
          autoFocus
        />
      </Form>
    </>
  );
}

/** The PIN for the studio's tablet. */
function Pin({ hasPin }: { hasPin: boolean }) {
  const [said, say] = useSaid();
  const form = useSavedForm({
    schema: ownPinFormSchema,
    values: { password: '', pin: '' },
    save: ({ password, pin }) => saveOwnPin({ password, pin: pin || null }),
    onSaved: ({ pin }) => {
      form.form.reset({ password: '', pin: '' });
      say(pin ? 'Saved. Tap your name on the tablet.' : 'Removed.');
    },
  });
  const { control } = form;
  return (
    <section aria-label="PIN">
      <h2>PIN for the studio’s tablet</h2>
      <p>
        {hasPin ? 'You have one; type another, or leave it blank to remove it. ' : ''}Four to eight figures.
        It opens the shared tablet only, and there nothing that is managed.
      </p>
      <Form of={form} label="PIN" button="Save PIN" beside={<span role="status">{said}</span>}>
        <TextInput
          control={control}
          name="pin"
          label="PIN"
          type="password"
          autoComplete="off"
          slotProps={{ htmlInput: { inputMode: 'numeric' } }}
        />
        <OwnPassword control={control} />
      </Form>
    </section>
  );
}

/** Where a member is signed in, each with a button that ends it. */
function Devices({ sessions, current, now }: Pick<Props, 'sessions' | 'current' | 'now'>) {
  const { run, isBusy, errors } = useMutation();
  const router = useRouter();
  const everywhere = async () => {
    if ((await run(() => endAllOwnSessions({ isEverywhere: true }))) !== undefined) router.push('/sign-in');
  };
  return (
    <section aria-label="Signed-in devices">
      <h2>Signed-in devices</h2>
      <p>
        <Button disabled={isBusy} onClick={() => void everywhere()}>
          Sign out everywhere
        </Button>
      </p>
      <FormErrors errors={errors} />
      <ul>
        {sessions.map((session) => (
          <li key={session.id} className={css.line}>
            <span>
              <b>{/mobile|android|iphone/i.test(session.agent) ? 'A phone' : 'A computer'}</b>
              {session.id === current && ', this one'}{' '}
              <span className="quiet">last used {ageWords(session.seen_at, now)}</span>
            </span>
            <Button
              size="small"
              disabled={isBusy}
              onClick={() => void run(() => endOwnSession({ sessionId: session.id }))}
            >
              Sign out this device
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
