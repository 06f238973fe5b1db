'use client';
import { useSyncExternalStore } from 'react';

const never = () => () => {};

/** Sends the time zone of the browser along with a form. */
export function BrowserZone() {
  const zone = useSyncExternalStore(
    never,
    () => Intl.DateTimeFormat().resolvedOptions().timeZone,
    () => '',
  );
  return <input type="hidden" name="zone" value={zone} readOnly />;
}
