'use client';
import type { FiringLog } from '@/records/firings';
import { celsius, sayQuantity } from '@/core/units';
import { clockWords } from '@/features/shared/clock';
import { useUnits } from '@/ui/units';

/** How hot a cooling kiln is by now, when it may be cracked, and when it is cool enough to open. */
export function CoolingWords({
  log: { inside, crack, open },
}: {
  log: Pick<FiringLog, 'inside' | 'crack' | 'open'>;
}) {
  const units = useUnits();
  if (!crack) return null;
  const safe = sayQuantity(celsius(200), units);
  const now = new Date();
  const estimated = inside !== null && inside.high - inside.low > 1;
  const cracked = crack.reached || (inside !== null && inside.high < 200);
  const opened = open?.reached ?? false;
  return (
    <p suppressHydrationWarning>
      {estimated && (
        <>
          Inside by now about <b>{sayQuantity(celsius(inside.celsius), units)}</b> (
          {sayQuantity(celsius(inside.low), units)} to {sayQuantity(celsius(inside.high), units)}), as it
          cooled so far.{' '}
        </>
      )}
      {cracked ? `Below ${safe}: may be cracked.` : `Safe to crack (${safe}) ${clockWords(crack, now)}.`}{' '}
      {open &&
        (opened
          ? `Cool enough to open${inside ? ' by now: read the pyrometer first' : ''}.`
          : `Cool enough to open ${clockWords(open, now)}.`)}
    </p>
  );
}
