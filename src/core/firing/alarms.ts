/** One line of a controller's log as alarms need it. */
export interface LogLine {
  readonly minutes: number;
  /** °C; null where the sensor said nothing. */
  readonly celsius: number | null;
  /** What the programme asked for, °C; null when none runs. */
  readonly target: number | null;
}

/** Something about a running firing that somebody should look at. */
export type Alarm = 'sensor break' | 'over target' | 'over the kiln’s limit' | 'behind the programme';

/** How far off counts, °C, and for how long a kiln may be behind before it is said, minutes (judgement). */
const OFF = { over: 15, behind: 25, minutes: 15 };

/**
 * What is wrong with a running firing.
 *
 * @param lines its log in order of time
 * @param most the kiln's limit, °C
 */
export function alarmsOf(lines: readonly LogLine[], most: number): Alarm[] {
  const last = lines.at(-1);
  if (!last) return [];
  const { celsius, target } = last;
  if (celsius === null) return ['sensor break'];
  const alarms: Alarm[] = [];
  if (celsius > most) alarms.push('over the kiln’s limit');
  if (target !== null && celsius - target > OFF.over && target >= (lines.at(-10)?.target ?? target))
    alarms.push('over target');
  const since = lines.filter((line) => line.minutes > last.minutes - OFF.minutes);
  const isBehind = (line: LogLine) =>
    line.celsius !== null && line.target !== null && line.target - line.celsius > OFF.behind;
  if (last.minutes - lines[0]!.minutes >= OFF.minutes && since.every(isBehind))
    alarms.push('behind the programme');
  return alarms;
}
