'use client';
import Button, { type ButtonProps } from '@mui/material/Button';
import Link from 'next/link';

/** A button that goes somewhere; usable in server components. */
export function LinkButton(props: ButtonProps & { href: string; scroll?: boolean }) {
  return <Button component={Link} {...props} />;
}
