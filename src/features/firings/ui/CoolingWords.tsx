'use client';
import type { FiringLog } from '@/records/firings';
import { celsius, sayQuantity } from '@/core/units';
import { clockWords } from '@/features/shared/clock';
import { useUnits } from '@/ui/units';

/** How hot a cooling kiln is by now, when it may be cracked, and when it is cool enough to open. */
export function CoolingWords({
  log: { inside, crack, open, cooling },
}: {
  log: Pick<FiringLog, 'inside' | 'crack' | 'open' | 'cooling'>;
}) {
  const units = useUnits();
  if (!crack) return null;
  const safe = sayQuantity(celsius(200), units);
  const now = new Date();
  const estimated = inside !== null && inside.high - inside.low > 1;
  const isLikelyBelow = inside !== null && inside.high < 200;
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
      {inside === null && crack.reached
        ? `Below ${safe}: may be cracked.`
        : isLikelyBelow || crack.reached
          ? `Likely below ${safe} by now: read the pyrometer before you crack it.`
          : `Safe to crack (${safe}) ${clockWords(crack, now)}.`}{' '}
      {open &&
        (opened
          ? `Cool enough to open${inside ? ' by now: read the pyrometer first' : ''}.`
          : `Cool enough to open ${clockWords(open, now)}.`)}
      {cooling && !(crack.reached && opened) && <span className="quiet"> {basisWords(cooling)}</span>}
    </p>
  );
}

/** What the times rest on, and how often they hold. */
function basisWords({ earlierFirings, isPaceChanged }: NonNullable<FiringLog['cooling']>): string {
  const last = earlierFirings === 1 ? 'its last firing' : `its last ${earlierFirings} firings`;
  const basis =
    earlierFirings === 0 ? 'from this log alone' : `from this log and how the kiln cooled in ${last}`;
  const changed = isPaceChanged ? ' The pace changed on the way: only what came after counts.' : '';
  return `Times are ${basis}; 4 times in 5 the true one lies within the range.${changed}`;
}
