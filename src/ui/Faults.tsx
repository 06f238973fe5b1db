import Alert from '@mui/material/Alert';
import type { Fault } from '@/auth';

/** What was wrong with a write, in words; nothing when nothing was. */
export function Faults({ faults }: { faults: readonly Fault[] }) {
  if (faults.length === 0) return null;
  return (
    <Alert severity="error" variant="outlined" sx={{ my: 1.5 }}>
      {faults.map((fault) => fault.message).join(' ')}
    </Alert>
  );
}
