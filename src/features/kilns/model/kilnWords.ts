import dayjs from 'dayjs';
import type { Drift, Estimate } from '@/core/firing';

function signed(value: number): string {
  return `${value < 0 ? '−' : '+'}${Math.abs(Math.round(value))}`;
}

function between({ low, high }: Estimate): string {
  return `${signed(low)} to ${signed(high)} °C`;
}

/** A day number as a date of the calendar. */
export function dateOf(day: number): dayjs.Dayjs {
  return dayjs(new Date(day * 86_400_000));
}

/** How a thermocouple stands, in sentences; the first is the answer. */
export function driftWords({ offset, offsets, since, trend, steps }: Drift): string[] {
  if (!offset)
    return [
      'No firing has both a log and witness cones yet. Two or three of them show how true the thermocouple is.',
    ];
  const recent = offsets.filter(({ day }) => day >= since).length;
  const of = `${recent} ${recent === 1 ? 'firing' : 'firings'} since ${dateOf(since).format('D MMM YYYY')}`;
  const size = Math.round(Math.abs(offset.value));
  const plain = offset.low > 0 || offset.high < 0;
  const first =
    !plain || size < 3
      ? `The thermocouple agrees with the cones (${between(offset)}, ${of}).`
      : `The thermocouple reads about ${size} °C ${offset.value > 0 ? 'hot' : 'cold'} (${between(offset)}, ${of}). Aim ${size} °C ${offset.value > 0 ? 'higher' : 'lower'} for the same cone.`;
  const creeps =
    trend && (trend.low > 0 || trend.high < 0)
      ? [`It drifts by ${signed(trend.value)} °C in 30 days (${between(trend)}): plan to change it.`]
      : [];
  const seen = steps
    .filter(({ step }) => step.low > 0 || step.high < 0)
    .map(
      ({ day, part, step }) =>
        `A step of ${signed(step.value)} °C (${between(step)}) ${part ? `with the new ${part}` : 'with no reason noted'}, ${dateOf(day).format('D MMM YYYY')}.`,
    );
  return [first, ...creeps, ...new Set(seen)];
}
