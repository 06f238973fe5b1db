import type { FiringLog } from '@/records/firings';
import { clockWords, degrees } from '@/features/shared/clock';

/** How hot a cooling kiln is by now, when it may be cracked, and when it is cool enough to open. */
export function CoolingWords({
  log: { inside, crack, open },
  fahrenheit = false,
}: {
  log: Pick<FiringLog, 'inside' | 'crack' | 'open'>;
  fahrenheit?: boolean;
}) {
  if (!crack) return null;
  const now = new Date();
  const estimated = inside !== null && inside.high - inside.low > 1;
  const cracked = crack.reached || (inside !== null && inside.high < 200);
  const opened = open?.reached ?? false;
  return (
    <p suppressHydrationWarning>
      {estimated && (
        <>
          Inside by now about <b>{degrees(inside.celsius, fahrenheit)}</b> ({degrees(inside.low, fahrenheit)}{' '}
          to {degrees(inside.high, fahrenheit)}), as it cooled so far.{' '}
        </>
      )}
      {cracked ? 'Below 200 °C: may be cracked.' : `Safe to crack (200 °C) ${clockWords(crack, now)}.`}{' '}
      {open &&
        (opened
          ? `Cool enough to open${inside ? ' by now: read the pyrometer first' : ''}.`
          : `Cool enough to open ${clockWords(open, now)}.`)}
    </p>
  );
}
