'use client';
import { Chart, LinearScale, PointElement, ScatterController, Tooltip, type ChartOptions } from 'chart.js';
import annotation, { type AnnotationOptions } from 'chartjs-plugin-annotation';
import { kelvins, sayQuantity, shownValue, signed, typedValue, unitOf } from '@/core/units';
import { useUnits } from '@/ui/units';
import { shortDay, studioTime } from '@/core/time';
import { dateOf } from '../model/kilnWords';
import { useMemo } from 'react';
import { Scatter } from 'react-chartjs-2';
import type { Drift } from '@/core/firing';
import { useInks, CHART_FONT as font } from '@/ui/inks';

Chart.register(LinearScale, ScatterController, PointElement, Tooltip, annotation);

/** Days to each side of the last firing over which what holds now is drawn. */
const NOW = 12;

/** Offset of the thermocouple firing by firing, with the days something was changed. */
export function DriftChart({
  drift,
  parts,
}: {
  drift: Drift;
  parts: readonly { day: number; part: string }[];
}) {
  const inks = useInks();
  const units = useUnits();
  const { data, options } = useMemo(() => {
    const shown = (step: number) => shownValue('temperatureStep', step, units);
    const days = drift.offsets.map(({ day }) => day);
    const marks = parts
      .filter(({ day }) => day >= Math.min(...days) - 20)
      .reduce(
        (joined, { day, part }) => joined.set(day, [...(joined.get(day) ?? []), part]),
        new Map<number, string[]>(),
      );
    const annotations: Record<string, AnnotationOptions> = {
      zero: { type: 'line', yMin: 0, yMax: 0, borderColor: inks.ink, borderWidth: 1 },
      ...Object.fromEntries(
        [...marks].map(([day, names]): [string, AnnotationOptions] => [
          `part ${day}`,
          {
            type: 'line',
            xMin: day,
            xMax: day,
            borderColor: inks.accent,
            borderWidth: 1.5,
            borderDash: [4, 3],
            label: {
              display: true,
              content: names.join(', '),
              position: 'start',
              backgroundColor: inks.paper,
              color: inks.accent,
              font,
              padding: 3,
            },
          },
        ]),
      ),
      ...(drift.offset && {
        now: {
          type: 'box',
          // What holds now, not what held on average since the last step.
          xMin: Math.max(drift.since, days.at(-1)! - NOW),
          xMax: days.at(-1)! + NOW,
          yMin: shown(drift.offset.low),
          yMax: shown(drift.offset.high),
          backgroundColor: `${inks.heat}22`,
          borderWidth: 0,
        } satisfies AnnotationOptions,
      }),
    };
    const options: ChartOptions<'scatter'> = {
      animation: false,
      maintainAspectRatio: false,
      scales: {
        x: {
          grid: { display: false },
          border: { color: inks.quiet },
          ticks: {
            color: inks.quiet,
            font,
            maxTicksLimit: 8,
            callback: (day) => studioTime(dateOf(Number(day))).toFormat('LLL yy'),
          },
        },
        y: {
          suggestedMin: shown(-10),
          suggestedMax: shown(20),
          grid: { color: inks.hairline },
          border: { color: inks.quiet },
          ticks: { color: inks.quiet, font },
          title: {
            display: true,
            text: `reads hot by, ${unitOf('temperatureStep', units)}`,
            color: inks.quiet,
            font,
          },
        },
      },
      plugins: {
        legend: { display: false },
        tooltip: {
          displayColors: false,
          callbacks: {
            label: ({ parsed }) =>
              `${shortDay(dateOf(Math.round(parsed.x ?? 0)))}: ${sayQuantity(signed(kelvins(typedValue('temperatureStep', parsed.y ?? 0, units))), units)}`,
          },
        },
        annotation: { annotations },
      },
    };
    return {
      options,
      data: {
        datasets: [
          {
            data: drift.offsets.map(({ day, celsius }) => ({ x: day, y: shown(celsius) })),
            backgroundColor: inks.heat,
            pointRadius: 5,
          },
        ],
      },
    };
  }, [drift, parts, inks, units]);
  return (
    <div style={{ height: 240, background: 'var(--paper)' }}>
      <Scatter data={data} options={options} role="img" aria-label="Offset of the thermocouple by firing" />
    </div>
  );
}
