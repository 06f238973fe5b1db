'use client';
import { useRef, useState } from 'react';
import { ulid } from 'ulid';
import type { Group, Person } from '@/records/people';
import { Card, NumberInput, SelectInput, useSavedForm } from '@/ui/kit';
import { NewLink } from '@/ui/NewLink';
import { newToken } from '@/ui/newToken';
import { invite } from '../actions';
import { groupOptions } from '../model/groupOptions';
import { INVITATION_DAYS, INVITED_ROLES, inviteSchema } from '../schema';
import { z } from 'zod';

interface Props {
  readonly groups: readonly Group[];
  readonly me: { readonly id: string; readonly isTechnician: boolean };
  /** A maker without a sign-in, who is to have one. */
  readonly maker: Person | null;
}

const DAY_WORDS: Readonly<Record<(typeof INVITATION_DAYS)[number], string>> = {
  1: 'a day',
  7: 'a week',
  30: 'a month',
};

const fieldsSchema = inviteSchema.shape.invitation
  .pick({ role: true, groupId: true, most: true })
  .extend({ days: z.literal([...INVITATION_DAYS]) });

/** A link by which people join: which role, which group, how many, how long. Sent by hand or scanned; no mail is needed. */
export function InviteCard({ groups, me, maker }: Props) {
  const [made, setMade] = useState<string | null>(null);
  // Asked for again, because its answer was lost, it is the same link with the same key.
  const key = useRef({ id: ulid(), token: newToken() });
  const form = useSavedForm({
    schema: fieldsSchema,
    values: {
      role: maker?.role === 'teacher' ? 'teacher' : 'student',
      groupId: me.isTechnician ? null : (groups[0]?.id ?? null),
      most: maker ? 1 : 12,
      days: 7,
    },
    under: 'invitation',
    save: async ({ days, ...typed }) => {
      const { id, token } = key.current;
      const outcome = await invite({ invitation: { ...typed, id, makerId: maker?.id ?? null }, token, days });
      if (outcome.ok) {
        setMade(`${window.location.origin}/join/${token}`);
        key.current = { id: ulid(), token: newToken() };
      }
      return outcome;
    },
  });
  const { control } = form;
  const roles = me.isTechnician ? INVITED_ROLES : (['student'] as const);
  return (
    <>
      {made && <NewLink address={made} />}
      <Card of={form} title={maker ? `A sign-in for ${maker.name}` : 'Invite'} button="Make link">
        <p className="small quiet">
          {maker
            ? 'Whoever opens the link chooses a sign-in name and a password, and gets all pieces of this maker.'
            : 'Whoever opens the link chooses a name, a sign-in name and a password. To let people just look, share the wall instead.'}
        </p>
        <SelectInput
          control={control}
          name="role"
          label="Role"
          options={roles.map((role) => [role, role] as const)}
        />
        <SelectInput control={control} name="groupId" label="Group" options={groupOptions(groups, me)} />
        {!maker && <NumberInput control={control} name="most" label="How many may use it" />}
        <SelectInput
          control={control}
          name="days"
          label="Works for"
          options={INVITATION_DAYS.map((days) => [days, DAY_WORDS[days]] as const)}
        />
      </Card>
    </>
  );
}
