'use client';
import { studioTime, wordsOf } from '@/core/time';
import TextField from '@mui/material/TextField';
import { coneEquivalents, energyOf, sayCone, untilPeak, type predict } from '@/core/firing';
import { LogChart, type ChartLog } from '@/features/firings';
import { hours } from '@/features/shared/clock';
import type { Kiln } from '@/records/firings';
import { Choice } from '@/ui/kit';
import { celsius, perHour, text, type Message } from '@/core/units';
import { QuantityText, Said } from '@/ui/units';
import css from './programmes.module.css';

type Forecast = ReturnType<typeof predict>;

interface Props {
  readonly kilns: readonly Kiln[];
  readonly kilnName: string | null;
  readonly setKilnName: (name: string | null) => void;
  /** When it is started, as the browser's field has it. */
  readonly start: string;
  readonly setStart: (start: string) => void;
  /** Null while a step is blank or wrong. */
  readonly forecast: Forecast | null;
  /** Hours that this kiln takes to cool; null while not known. */
  readonly coolHours: number | null;
  readonly name: string;
}

/** The curve that a programme draws in a kiln, the cone it comes to, and when the kiln can be opened. */
export function ProgrammeForecast(props: Props) {
  const { kilns, kilnName, setKilnName, start, setStart, forecast, coolHours, name } = props;
  const kiln = kilns.find((one) => one.name === kilnName);
  return (
    <div className={css.result}>
      <div className={css.where}>
        <Choice label="Kiln" options={kilns.map((one) => one.name)} value={kilnName} onChange={setKilnName} />
        <TextField
          label="Started"
          type="datetime-local"
          value={start}
          onChange={(event) => setStart(event.target.value)}
          slotProps={{ inputLabel: { shrink: true } }}
        />
      </div>
      {forecast && kiln ? (
        <>
          <p className={css.answer} role="status">
            {forecast.coneIndex === null ? (
              <>
                <QuantityText of={celsius(forecast.peakCelsius)} />, outside the cones
              </>
            ) : (
              `Reaches cone ${sayCone(forecast.coneIndex)}`
            )}
            , {hours(forecast.minutes)} h.
          </p>
          <p>
            <Said of={whenWords(forecast.minutes, coolHours, start, kiln)} />
          </p>
          {forecast.behind.map(({ segment, celsius: above, asked, can }) => (
            <p key={segment} className="heat">
              Step {segment + 1} asks <QuantityText of={perHour(asked)} />; above{' '}
              <QuantityText of={celsius(above)} /> {kiln.name} has not done more than{' '}
              <QuantityText of={perHour(can)} />. It will fall behind.
            </p>
          ))}
          <LogChart log={drawnOf(forecast)} name={name} />
          <p className="small quiet">
            About {Math.round(energyOf(forecast.curve, kiln.litres) / 5) * 5} kWh of heat, an estimate to a
            third either way. The cone is calculated from heat work along the curve; the kiln’s own offset is
            on its page.
          </p>
        </>
      ) : (
        <p className="quiet">Fill in the steps to see the curve.</p>
      )}
    </div>
  );
}

/** A forecast as the chart draws it: no readings, the cone equivalent climbing beside it. */
function drawnOf({ curve, minutes, coneIndex }: Forecast): ChartLog {
  const fine = untilPeak(curve).flatMap((to, i, all) => {
    const from = all[i - 1];
    if (!from) return [to];
    return Array.from({ length: 24 }, (_, k) => ({
      minutes: from.minutes + ((to.minutes - from.minutes) * (k + 1)) / 24,
      celsius: from.celsius + ((to.celsius - from.celsius) * (k + 1)) / 24,
    }));
  });
  return {
    minutes,
    last: null,
    sensors: [],
    gaps: [],
    events: [],
    planned: curve,
    cone: coneIndex === null ? null : sayCone(coneIndex),
    equivalents: coneEquivalents(fine).flatMap((index, i) =>
      index === null ? [] : [{ minutes: fine[i]!.minutes, index }],
    ),
  };
}

/** When it ends and when the kiln can be opened, as its last firings cooled. */
function whenWords(
  minutes: number,
  coolHours: number | null,
  start: string,
  { name, openBelow }: Kiln,
): Message {
  const begin = studioTime(start);
  if (!begin.isValid) return '';
  const end = begin.plus({ minutes });
  const ends = `Ends ${wordsOf(end, 'weekday', 'time')}`;
  if (coolHours === null) return `${ends}. How ${name} cools is not known yet.`;
  const cool = end.plus({ hours: coolHours }).startOf('hour');
  return text`${ends}; ready to open (below ${celsius(openBelow)}) ${wordsOf(cool, 'weekday')} about ${wordsOf(cool, 'time')}.`;
}
