'use client';
import Button, { type ButtonProps } from '@mui/material/Button';
import Link from 'next/link';
import { useMayOpen } from './MemberContext';

/** A button that goes somewhere, for those who may go there; usable in server components. */
export function LinkButton(props: ButtonProps & { href: string; scroll?: boolean }) {
  return useMayOpen()(props.href) ? <Button component={Link} {...props} /> : null;
}
