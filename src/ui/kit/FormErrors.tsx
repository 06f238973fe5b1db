import Alert from '@mui/material/Alert';
import type { FieldError } from '@/auth';

/** What was wrong with a write, in words; nothing when nothing was. */
export function FormErrors({ errors }: { errors: readonly FieldError[] }) {
  if (errors.length === 0) return null;
  return (
    <Alert severity="error" variant="outlined" sx={{ my: 1.5 }}>
      {errors.map((error) => error.message).join(' ')}
    </Alert>
  );
}
