'use client';
import type { ReactNode } from 'react';
import { ROLES, type Role } from '@/core/vocabulary';
import { useRole } from './MemberContext';

/** What is shown to those only whose role is at least `least`. */
export function ForRole({ least, children }: { least: Role; children: ReactNode }) {
  return ROLES.indexOf(useRole()) <= ROLES.indexOf(least) ? children : null;
}
