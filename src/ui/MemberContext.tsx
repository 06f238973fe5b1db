'use client';
import { createContext, use, type ReactNode } from 'react';
import type { Role } from '@/core/vocabulary';
import { ANYBODY } from './deviceStorage';

const Context = createContext<{ readonly id: string; readonly role: Role }>({ id: ANYBODY, role: 'visitor' });

/** Tells the components within who is signed in. */
export function MemberProvider({
  member,
  children,
}: {
  member: { readonly id: string; readonly role: Role };
  children: ReactNode;
}) {
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
