import { kelvins, sayMessage, signed, text, type Message } from '@/core/units';
import dayjs from 'dayjs';
import type { Drift, Estimate } from '@/core/firing';

function between({ low, high }: Estimate): Message {
  return text`${signed(kelvins(low))} to ${signed(kelvins(high))}`;
}

/** A day number as a date of the calendar. */
export function dateOf(day: number): dayjs.Dayjs {
  return dayjs(new Date(day * 86_400_000));
}

/** How a thermocouple stands, in sentences; the first is the answer. */
export function driftWords({ offset, offsets, since, trend, steps }: Drift): Message[] {
  if (!offset)
    return [
      'No firing has both a log and witness cones yet. Two or three of them show how true the thermocouple is.',
    ];
  const recent = offsets.filter(({ day }) => day >= since).length;
  const of = `${recent} ${recent === 1 ? 'firing' : 'firings'} since ${dateOf(since).format('D MMM YYYY')}`;
  const size = Math.abs(offset.value);
  const plain = offset.low > 0 || offset.high < 0;
  const first =
    !plain || Math.round(size) < 3
      ? text`The thermocouple agrees with the cones (${between(offset)}, ${of}).`
      : text`The thermocouple reads about ${kelvins(size)} ${offset.value > 0 ? 'hot' : 'cold'} (${between(offset)}, ${of}). Aim ${kelvins(size)} ${offset.value > 0 ? 'higher' : 'lower'} for the same cone.`;
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
        text`A step of ${signed(kelvins(step.value))} (${between(step)}) ${part ? `with the new ${part}` : 'with no reason noted'}, ${dateOf(day).format('D MMM YYYY')}.`,
    );
  return [first, ...creeps, ...new Map(seen.map((one) => [sayMessage(one), one])).values()];
}
