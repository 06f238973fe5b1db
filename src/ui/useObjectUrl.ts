import { useEffect, useState } from 'react';

/** An address for a picture in memory, given back when it is no longer shown; null without a picture. */
export function useObjectUrl(blob: Blob | null): string | null {
  const [url, setUrl] = useState<string | null>(null);
  useEffect(() => {
    if (!blob) return;
    const made = URL.createObjectURL(blob);
    // An address of a picture in memory exists in the browser only.
    // eslint-disable-next-line react-hooks/set-state-in-effect
    setUrl(made);
    return () => URL.revokeObjectURL(made);
  }, [blob]);
  return blob && url;
}
