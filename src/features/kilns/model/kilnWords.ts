import { counted, heldText, kelvins, signed, text, type Message } from '@/core/units';
import { shortDay } from '@/core/time';
import type { Drift, Estimate } from '@/core/firing';

function between({ low, high }: Estimate): Message {
  return text`${signed(kelvins(low))} to ${signed(kelvins(high))}`;
}

/** A day number as a day of the calendar: "2026-11-24". */
export function dateOf(day: number): string {
  return new Date(day * 86_400_000).toISOString().slice(0, 10);
}

/**
 * How a thermocouple stands, in sentences; the first is the answer.
 *
 * @param ranges firings with a log whose cones say no more than a range
 */
export function driftWords({ offset, offsets, since, trend, steps }: Drift, ranges = 0): Message[] {
  if (!offset && ranges > 0)
    return [
      `${ranges === 1 ? 'One firing has' : `${ranges} firings have`} both a log and witness cones, but the cones say only a range. A pack in which one stands half down shows how true the thermocouple is.`,
    ];
  if (!offset)
    return [
      'No firing has both a log and witness cones yet. Two or three of them show how true the thermocouple is.',
    ];
  const recent = offsets.filter(({ day }) => day >= since).length;
  const of = `${counted(recent, 'firing')} since ${shortDay(dateOf(since))}`;
  const size = Math.abs(offset.value);
  const plain = offset.low > 0 || offset.high < 0;
  const first =
    !plain || Math.round(size) < 3
      ? text`The thermocouple agrees with the cones (${between(offset)}, ${of}).`
      : text`The thermocouple now reads about ${kelvins(size)} ${offset.value > 0 ? 'hot' : 'cold'} (${between(offset)}, ${of}). Aim ${kelvins(size)} ${offset.value > 0 ? 'higher' : 'lower'} for the same cone.`;
  const creeps =
    trend && (trend.low > 0 || trend.high < 0)
      ? [
          text`It drifts by ${signed(kelvins(trend.value))} in 30 days (${between(trend)}): plan to change it.`,
        ]
      : [];
  const seen = steps
    .filter(({ step }) => step.low > 0 || step.high < 0)
    .map(
      ({ day, part, step }) =>
        text`A step of ${signed(kelvins(step.value))} (${between(step)}) ${part ? `with the new ${part}` : 'with no reason noted'}, ${shortDay(dateOf(day))}.`,
    );
  return [first, ...creeps, ...new Map(seen.map((one) => [heldText(one), one])).values()];
}
