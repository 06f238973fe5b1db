'use client';
import Alert from '@mui/material/Alert';
import { useSyncExternalStore } from 'react';
import { storageFailure } from '../deviceStorage';

/** Says that this device cannot keep what is typed, once that was seen. */
export function StorageNotice() {
  const hasFailed = useSyncExternalStore(storageFailure.subscribe, storageFailure.get, () => false);
  if (!hasFailed) return null;
  return (
    <Alert severity="warning" variant="outlined" sx={{ mb: 2 }}>
      This device cannot keep drafts: its storage is full or blocked. Save before you leave this page.
    </Alert>
  );
}
