'use client';
import { createContext, use, type ReactNode } from 'react';
import { rightOf } from '@/auth/rights';
import { ROLES, type Role } from '@/core/vocabulary';
import { ANYBODY } from './deviceStorage';

/** Who is signed in, and whether by a PIN, with which nothing is managed. */
interface Here {
  readonly id: string;
  readonly role: Role;
  readonly isByPin: boolean;
}

const Context = createContext<Here>({ id: ANYBODY, role: 'visitor', isByPin: false });

/** Tells the components within who is signed in. */
export function MemberProvider({ member, children }: { member: Here; children: ReactNode }) {
  return <Context value={member}>{children}</Context>;
}

/** The id of the member who is signed in; one for all who are not. */
export function useMemberId(): string {
  return use(Context).id;
}

/** The role of the member who is signed in; that of a visitor for all who are not. */
export function useRole(): Role {
  return use(Context).role;
}

/** Whether the member who is signed in may open an address of the house. */
export function useMayOpen(): (href: string) => boolean {
  const { role, isByPin } = use(Context);
  return (href) => {
    const right = rightOf(href);
    return (
      right === null || (ROLES.indexOf(role) <= ROLES.indexOf(right.least) && !(isByPin && right.isManaging))
    );
  };
}
