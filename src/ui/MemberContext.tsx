'use client';
import { createContext, use, type ReactNode } from 'react';
import { ANYBODY } from './deviceStorage';

const Context = createContext<string>(ANYBODY);

/** Tells the components within who is signed in. */
export function MemberProvider({ memberId, children }: { memberId: string; children: ReactNode }) {
  return <Context value={memberId}>{children}</Context>;
}

/** The id of the member who is signed in; one for all who are not. */
export function useMemberId(): string {
  return use(Context);
}
