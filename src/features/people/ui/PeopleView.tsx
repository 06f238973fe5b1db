'use client';
import Button from '@mui/material/Button';
import Link from 'next/link';
import { useState } from 'react';
import type { Group, Invitation, Person } from '@/records/people';
import { Acts, DataTable, FormErrors, PageHeader, SelectField, TwoColumns } from '@/ui/kit';
import { ageWords, shortDay } from '@/core/time';
import { LinkButton } from '@/ui/LinkButton';
import { RefreshOnChange } from '@/ui/RefreshOnChange';
import { useMutation } from '@/ui/useMutation';
import { endInvite } from '../actions';
import { GroupCard } from './GroupCard';
import { InviteCard } from './InviteCard';
import { MakerCard } from './MakerCard';
import { PersonCard } from './PersonCard';
import css from './people.module.css';

interface Props {
  readonly people: readonly Person[];
  readonly groups: readonly Group[];
  readonly invitations: readonly Invitation[];
  readonly me: { readonly id: string; readonly isTechnician: boolean };
  /** Which card stands beside: "invite", "maker", "group", the id of a person or of a group; null for none. */
  readonly card: string | null;
  readonly now: Date;
}

/** Who is in the studio, with roles, groups and when they were last here; who may still come. */
export function PeopleView({ people, groups, invitations, me, card, now }: Props) {
  const [groupId, setGroupId] = useState('');
  const there = people.filter(({ endedAt }) => endedAt === null);
  const left = people.filter(({ endedAt }) => endedAt !== null);
  const inGroup = groups.find((group) => group.id === groupId);
  const shown = inGroup ? there.filter(({ id }) => inGroup.memberIds.includes(id)) : there;
  return (
    <>
      <RefreshOnChange from="/api/v1/live" />
      <PageHeader first={shown[0]?.name ?? 'People'} last={shown.at(-1)?.name}>
        <h1>People</h1>
        {groups.length > 0 && (
          <SelectField
            label="Show"
            value={groupId}
            onChange={setGroupId}
            className={css.choice}
            options={[['', 'everybody'], ...groups.map(({ id, name }) => [id, name] as const)]}
          />
        )}
        <Acts>
          <LinkButton href="/people?card=group">New group</LinkButton>
          <LinkButton href="/people?card=maker">Add a maker</LinkButton>
          <LinkButton variant="contained" href="/people?card=invite">
            Invite
          </LinkButton>
        </Acts>
      </PageHeader>
      <TwoColumns at="right" aside={cardOf({ people, groups, me, card })}>
        <DataTable
          label="People"
          columns={[
            { name: 'Name', isHead: true, isSortable: true },
            { name: 'Role', isSortable: true },
            { name: 'Groups' },
            { name: 'Pieces', align: 'right', isSortable: true },
            { name: 'Last here', isSortable: true },
          ]}
          rows={shown.map((person) => rowOf(person, groups, now))}
          {...(there.length > 12 && { filter: 'Name or group' })}
          empty={inGroup ? 'Nobody is in this group yet.' : 'Nobody is here yet.'}
        />
        <Groups groups={groups} />
        <Invitations invitations={invitations} now={now} />
        {left.length > 0 && (
          <details className={css.section}>
            <summary>{left.length === 1 ? 'One who left' : `${left.length} who left`}</summary>
            <ul>
              {left.map((person) => (
                <li key={person.id} className={css.line}>
                  <Link href={`/people?card=${person.id}`}>{person.name}</Link>
                  <span className="quiet">
                    {piecesWords(person)}, left {shortDay(person.endedAt!)}
                  </span>
                </li>
              ))}
            </ul>
          </details>
        )}
      </TwoColumns>
    </>
  );
}

const piecesWords = ({ pieces }: Person) => (pieces === 1 ? '1 piece' : `${pieces} pieces`);

function rowOf(person: Person, groups: readonly Group[], now: Date) {
  const href = `/people?card=${person.id}`;
  const role = person.signIn === null ? 'maker' : person.role;
  const names = groups.filter(({ memberIds }) => memberIds.includes(person.id)).map(({ name }) => name);
  const seen = person.seenAt
    ? ageWords(person.seenAt, now)
    : person.signIn === null
      ? 'no sign-in'
      : 'not yet';
  return {
    key: person.id,
    href,
    cells: [
      <Link key="name" href={href} scroll={false}>
        {person.name}
      </Link>,
      role,
      names.join(', '),
      <span key="pieces" className="figures">
        {person.pieces}
      </span>,
      seen,
    ],
    values: [person.name, role, names.join(', '), person.pieces, person.seenAt?.getTime() ?? 0],
  };
}

/** The card that stands beside the list; null for none. */
function cardOf({ people, groups, me, card }: Pick<Props, 'people' | 'groups' | 'me' | 'card'>) {
  const open = groups.filter(({ endedAt }) => endedAt === null);
  const person = people.find(({ id }) => id === card);
  const group = groups.find(({ id }) => id === card);
  const [kind, makerId = ''] = (card ?? '').split(' ');
  if (kind === 'invite')
    return (
      <InviteCard
        key={card}
        groups={open}
        me={me}
        maker={people.find(({ id, signIn }) => id === makerId && signIn === null) ?? null}
      />
    );
  if (card === 'maker') return <MakerCard key={card} groups={open} me={me} />;
  if (card === 'group' || group)
    return <GroupCard key={card} group={group ?? null} people={people} me={me} />;
  return person ? (
    <PersonCard key={`${person.id}.${person.version}`} {...{ person, people, groups, me }} />
  ) : null;
}

function Groups({ groups }: Pick<Props, 'groups'>) {
  if (groups.length === 0) return null;
  return (
    <section className={css.section} aria-label="Groups">
      <h2>Groups</h2>
      <ul>
        {groups.map((group) => (
          <li key={group.id} className={css.line}>
            <Link href={`/people/groups/${group.id}`}>{group.name}</Link>
            <span className="quiet">
              {group.teacher},{' '}
              {group.memberIds.length === 1 ? '1 member' : `${group.memberIds.length} members`}
              {group.dueOn && `, fired by ${shortDay(group.dueOn)}`}
              {group.endedAt && `, ended ${shortDay(group.endedAt)}`}
            </span>
            <LinkButton size="small" href={`/people?card=${group.id}`}>
              Change
            </LinkButton>
          </li>
        ))}
      </ul>
    </section>
  );
}

function Invitations({ invitations, now }: Pick<Props, 'invitations' | 'now'>) {
  const { run, isBusy, errors } = useMutation();
  if (invitations.length === 0) return null;
  const days = (until: Date) => Math.max(1, Math.round((until.getTime() - now.getTime()) / 86_400_000));
  return (
    <section className={css.section} aria-label="Invitations">
      <h2>Invitations</h2>
      <FormErrors errors={errors} />
      <ul>
        {invitations.map((one) => (
          <li key={one.id} className={css.line}>
            <span>
              {one.maker ? `A sign-in for ${one.maker}` : one.role}
              {one.group && `, ${one.group}`}
            </span>
            <span className="quiet">
              {one.uses} of {one.most} used,{' '}
              {days(one.until) === 1 ? 'one more day' : `${days(one.until)} more days`}, by {one.by}
            </span>
            <Button size="small" disabled={isBusy} onClick={() => void run(() => endInvite({ id: one.id }))}>
              End invitation
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
