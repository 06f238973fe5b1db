'use client';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { FORMER_MEMBER, ROLES } from '@/core/vocabulary';
import type { Group, Person } from '@/records/people';
import {
  Card,
  ConflictNotice,
  FormErrors,
  SelectField,
  SelectInput,
  TextInput,
  useSavedForm,
} from '@/ui/kit';
import { LinkButton } from '@/ui/LinkButton';
import { NewLink } from '@/ui/NewLink';
import { newToken } from '@/ui/newToken';
import { useMutation } from '@/ui/useMutation';
import { useUndo } from '@/ui/Undo';
import { dropFactor, letLeave, letReturn, makePasswordLink, mergeMakers, savePersonCard } from '../actions';
import { personSchema } from '../schema';
import page from '@/ui/cards.module.css';
import css from './people.module.css';

interface Props {
  readonly person: Person;
  readonly people: readonly Person[];
  readonly groups: readonly Group[];
  readonly me: { readonly id: string; readonly isTechnician: boolean };
}

/** One person: name and role, a link to a new password, who a maker is, and leaving. */
export function PersonCard({ person, people, groups, me }: Props) {
  const form = useSavedForm<
    Pick<Person, 'id' | 'name' | 'role'>,
    Pick<Person, 'id' | 'name' | 'role'>,
    null,
    Person
  >({
    schema: personSchema,
    values: { id: person.id, name: person.name, role: person.role },
    under: 'person',
    version: person.version,
    save: (typed, version) => savePersonCard({ person: typed, version: version! }),
  });
  const { control, theirs } = form;
  if (!me.isTechnician || person.endedAt)
    return (
      <section className={page.card}>
        <h2>{person.name}</h2>
        <p>
          {person.signIn === null ? 'maker without a sign-in' : person.role},{' '}
          {person.pieces === 1 ? '1 piece' : `${person.pieces} pieces`}
        </p>
        {me.isTechnician && person.endedAt && person.name !== FORMER_MEMBER && <Return person={person} />}
      </section>
    );
  return (
    <>
      <Card of={form} title={person.name} button="Save">
        {theirs && (
          <ConflictNotice
            rows={[
              { name: 'Name', mine: form.form.getValues('name'), theirs: theirs.name },
              { name: 'Role', mine: form.form.getValues('role'), theirs: theirs.role },
            ]}
            onKeepMine={() => void form.submit(theirs.version)}
          />
        )}
        <TextInput control={control} name="name" label="Name" />
        {person.signIn !== null && (
          <>
            <p className="small quiet">
              Signs in as <b>{person.signIn}</b>
              {person.hasSecondFactor && ', with a second factor'}.
            </p>
            <SelectInput
              control={control}
              name="role"
              label="Role"
              options={ROLES.map((role) => [role, role] as const)}
            />
          </>
        )}
      </Card>
      {person.signIn === null ? (
        <MakerActs {...{ person, people, groups }} />
      ) : (
        <ForgottenPassword person={person} />
      )}
      <Leave person={person} />
    </>
  );
}

/** A maker without a sign-in gets one, or turns out to be somebody who is there. */
function MakerActs({ person, people }: Omit<Props, 'me'>) {
  const { run, isBusy, errors } = useMutation();
  const [intoId, setIntoId] = useState('');
  const others = people.filter(({ id, endedAt }) => id !== person.id && endedAt === null);
  const into = others.find(({ id }) => id === intoId);
  return (
    <section className={page.card} aria-label="Maker">
      <p>A maker without a sign-in.</p>
      <LinkButton href={`/people?card=invite+${person.id}`}>Invite {person.name}</LinkButton>
      <SelectField
        label="Is the same as"
        value={intoId}
        onChange={setIntoId}
        options={others.map(({ id, name }) => [id, name] as const)}
      />
      {into && (
        <Button
          disabled={isBusy}
          onClick={() => void run(() => mergeMakers({ fromId: person.id, intoId: into.id }))}
        >
          {person.pieces === 0
            ? `Join ${person.name} to ${into.name}`
            : `Give ${into.name} ${person.pieces === 1 ? 'the piece' : `all ${person.pieces} pieces`} of ${person.name}`}
        </Button>
      )}
      <FormErrors errors={errors} />
    </section>
  );
}

function ForgottenPassword({ person }: { person: Person }) {
  const { run, isBusy, errors } = useMutation();
  const [made, setMade] = useState<string | null>(null);
  const make = async () => {
    const token = newToken();
    if ((await run(() => makePasswordLink({ id: person.id, token }))) !== undefined)
      setMade(`${window.location.origin}/password/${token}`);
  };
  return (
    <section className={page.card} aria-label="Forgotten password">
      <p>Forgot the password? A link to set another works once, within an hour.</p>
      {made ? (
        <NewLink address={made} />
      ) : (
        <Button disabled={isBusy} onClick={() => void make()}>
          Link to a new password
        </Button>
      )}
      {person.hasSecondFactor && (
        <Button disabled={isBusy} onClick={() => void run(() => dropFactor({ id: person.id }))}>
          Remove second factor
        </Button>
      )}
      <FormErrors errors={errors} />
    </section>
  );
}

/** Leaving is taken back for a while when the name stays; taking the name off the work is for good, and asked twice. */
function Leave({ person }: { person: Person }) {
  const { run, isBusy, errors } = useMutation();
  const { offer, bar } = useUndo();
  const [isAsked, setIsAsked] = useState(false);
  const leave = async (isNameKept: boolean) => {
    if ((await run(() => letLeave({ id: person.id, isNameKept }))) === undefined) return;
    if (isNameKept) offer(`${person.name} left`, () => void run(() => letReturn({ id: person.id })));
  };
  return (
    <details className={css.leave}>
      <summary>{person.name} leaves</summary>
      <p>Their pieces and readings stay. Ask them under which name.</p>
      <Button disabled={isBusy} onClick={() => void leave(true)}>
        Keep the name on the work
      </Button>
      {isAsked ? (
        <>
          <p className="heat">The name is taken off everything and cannot be put back.</p>
          <Button variant="contained" disabled={isBusy} onClick={() => void leave(false)}>
            Take the name off for good
          </Button>
        </>
      ) : (
        <Button disabled={isBusy} onClick={() => setIsAsked(true)}>
          As {FORMER_MEMBER}
        </Button>
      )}
      <FormErrors errors={errors} />
      {bar}
    </details>
  );
}

function Return({ person }: { person: Person }) {
  const { run, isBusy, errors } = useMutation();
  return (
    <>
      <Button disabled={isBusy} onClick={() => void run(() => letReturn({ id: person.id }))}>
        {person.name} is back
      </Button>
      <FormErrors errors={errors} />
    </>
  );
}
