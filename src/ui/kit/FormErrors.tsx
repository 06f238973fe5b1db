'use client';
import Alert from '@mui/material/Alert';
import type { FieldError } from '@/auth';
import { sayText } from '@/core/units';
import { useUnits } from '../units';

/** What was wrong with a write, in words; nothing when nothing was. */
export function FormErrors({ errors }: { errors: readonly FieldError[] }) {
  const units = useUnits();
  if (errors.length === 0) return null;
  return (
    <Alert severity="error" variant="outlined" sx={{ my: 1.5 }}>
      {errors.map((error) => sayText(error.message, units)).join(' ')}
    </Alert>
  );
}
