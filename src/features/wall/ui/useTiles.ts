import { useEffect, useMemo, useState } from 'react';

/** Photos of whole tiles by entry id, fetched for the entries that are in view and kept. */
export function useTiles(entryIds: readonly string[]): ReadonlyMap<string, string> {
  const [tiles, setTiles] = useState<ReadonlyMap<string, string>>(new Map());
  const asked = useMemo(() => [...new Set(entryIds)].sort().join(','), [entryIds]);
  useEffect(() => {
    if (!asked) return;
    const stop = new AbortController();
    const ask = async () => {
      try {
        const response = await fetch(`/api/v1/entries/photos?of=${asked}`, { signal: stop.signal });
        const found = (await response.json()) as Record<string, string>;
        setTiles((before) => new Map([...before, ...Object.entries(found)]));
      } catch {
        // Without them the swatches stay.
      }
    };
    const timer = setTimeout(() => void ask(), 120);
    return () => {
      clearTimeout(timer);
      stop.abort();
    };
  }, [asked]);
  return tiles;
}
