'use client';
import {
  Chart,
  Filler,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  Tooltip,
  type ChartData,
  type ChartOptions,
} from 'chart.js';
import annotation, { type AnnotationOptions } from 'chartjs-plugin-annotation';
import { useMemo } from 'react';
import { Line } from 'react-chartjs-2';
import { CONES, heatName } from '@/core/vocabulary';
import { coneIndex, sayCone } from '@/core/firing';
import { celsius, sayQuantity, shownValue, type Units } from '@/core/units';
import { useUnits } from '@/ui/units';
import type { FiringLog } from '@/records/firings';
import { CHART_FONT as font, useInks } from '@/ui/inks';
import type { Palette } from '@/ui/palette';
import { hours } from '@/features/shared/clock';
import css from './log.module.css';

Chart.register(LinearScale, LineController, LineElement, PointElement, Filler, Tooltip, annotation);

type Pair = { x: number; y: number | null };

/** Measured points with a break wherever nothing was heard. */
function withGaps(points: readonly Pair[], gaps: FiringLog['gaps']): Pair[] {
  return points.flatMap((point, i) => {
    const before = points[i - 1];
    const gap =
      before && gaps.some(({ from, to }) => before.x >= from - 0.5 && before.x < to && point.x >= to);
    return gap ? [{ x: (before.x + point.x) / 2, y: null }, point] : [point];
  });
}

/** What a chart draws of a log; a programme alone has no readings. */
export type ChartLog = Pick<
  FiringLog,
  'minutes' | 'last' | 'sensors' | 'gaps' | 'equivalents' | 'planned' | 'events' | 'cone'
>;

/** The measured curve against its programme, the cone equivalent climbing beside it, events across. */
export function LogChart({ log, name }: { log: ChartLog; name: string }) {
  const inks = useInks();
  const units = useUnits();
  const { data, options } = useMemo(() => drawn(log, units, inks), [log, units, inks]);
  return (
    <figure className={css.chart}>
      <Line data={data} options={options} role="img" aria-label={`${name}: ${inWords(log, units)}`} />
      <figcaption className="small quiet">
        {log.last && <Key colour={inks.heat}>measured</Key>}
        {log.planned && (
          <Key colour={inks.quiet} dashed>
            programme
          </Key>
        )}
        <Key colour={inks.accent}>cone equivalent</Key>
      </figcaption>
    </figure>
  );
}

function Key({ colour, dashed = false, children }: { colour: string; dashed?: boolean; children: string }) {
  return (
    <span>
      <svg width="26" height="8" aria-hidden>
        <line
          x1="0"
          x2="26"
          y1="4"
          y2="4"
          stroke={colour}
          strokeWidth="2.5"
          strokeDasharray={dashed ? '5 4' : 'none'}
        />
      </svg>{' '}
      {children}
    </span>
  );
}

function inWords({ last, cone, minutes }: ChartLog, units: Units): string {
  if (!last) return cone ? `planned to ${heatName(cone)}` : 'nothing measured yet';
  return `${sayQuantity(celsius(last.celsius), units)} after ${hours(minutes)} h${cone ? `, cone equivalent ${cone}` : ''}`;
}

function drawn(log: ChartLog, units: Units, inks: Palette) {
  const shown = (celsius: number) => shownValue('temperature', celsius, units);
  const hand = log.events.filter(({ kind }) => kind === 'hand reading');
  const sensors = log.sensors.map((lines) =>
    withGaps(
      lines.map(({ minutes, celsius }) => ({ x: minutes, y: celsius === null ? null : shown(celsius) })),
      log.gaps,
    ),
  );
  const plain = { borderWidth: 2, pointRadius: 0, pointHitRadius: 6, tension: 0, spanGaps: false };
  const data: ChartData<'line', Pair[]> = {
    datasets: [
      ...(log.planned
        ? [
            {
              ...plain,
              label: 'programme',
              data: log.planned.map(({ minutes, celsius }) => ({ x: minutes, y: shown(celsius) })),
              borderColor: inks.quiet,
              borderDash: [5, 4],
              borderWidth: 1.5,
            },
          ]
        : []),
      ...sensors.map((points) => ({ ...plain, label: 'measured', data: points, borderColor: inks.heat })),
      {
        ...plain,
        label: 'read by hand',
        data: hand.map(({ minutes, value }) => ({ x: minutes, y: shown(value!) })),
        borderColor: inks.heat,
        backgroundColor: inks.paper,
        pointRadius: 4,
        pointBorderWidth: 2,
        showLine: sensors.length === 0,
      },
      {
        ...plain,
        label: 'cone',
        yAxisID: 'cone',
        data: log.equivalents.map(({ minutes, index }) => ({ x: minutes, y: index })),
        borderColor: inks.accent,
      },
    ],
  };
  return { data, options: optionsOf(log, units, inks) };
}

function optionsOf(log: ChartLog, units: Units, inks: Palette): ChartOptions<'line'> {
  const top = Math.max(...log.equivalents.map(({ index }) => index), 1) + 0.6;
  const known = Math.max(log.minutes, log.planned?.at(-1)?.minutes ?? 0, 60);
  const step = [60, 120, 240, 480, 1440, 2880].find((minutes) => known / minutes <= 12) ?? 10_080;
  const last = Math.ceil(known / step) * step;
  return {
    animation: false,
    parsing: false,
    normalized: true,
    maintainAspectRatio: false,
    interaction: { mode: 'nearest', axis: 'x', intersect: false },
    scales: {
      x: {
        type: 'linear',
        min: 0,
        max: last,
        grid: { color: inks.hairline },
        border: { color: inks.quiet },
        ticks: {
          color: inks.quiet,
          font,
          stepSize: step,
          callback: (value) => hours(Number(value)),
          maxRotation: 0,
        },
        title: { display: true, text: 'hours from the start', color: inks.quiet, font },
      },
      y: {
        min: 0,
        suggestedMax: Math.ceil(shownValue('temperature', 1300, units) / 100) * 100,
        grid: { color: inks.hairline },
        border: { color: inks.quiet },
        ticks: { color: inks.quiet, font, callback: (value) => String(value) },
        title: { display: true, text: units.temperature, color: inks.quiet, font },
      },
      cone: {
        position: 'right',
        min: Math.min(-8, top - 4),
        max: top,
        grid: { display: false },
        border: { color: inks.accent },
        ticks: { color: inks.accent, font, callback: (value) => coneTick(Number(value)) },
        title: { display: true, text: 'cone', color: inks.accent, font },
        afterBuildTicks: (axis) => {
          axis.ticks = CONES.map((cone) => coneIndex(cone)!)
            .filter((index) => Number.isInteger(index) && index >= axis.min && index <= axis.max)
            .map((value) => ({ value }));
        },
      },
    },
    plugins: {
      legend: { display: false },
      tooltip: {
        displayColors: false,
        titleFont: font,
        bodyFont: font,
        callbacks: {
          title: (items) => `${hours(items[0]?.parsed.x ?? 0)} h`,
          label: ({ dataset, parsed }) =>
            dataset.label === 'cone'
              ? `cone equivalent ${sayCone(parsed.y ?? 0)}`
              : `${dataset.label}: ${Math.round(parsed.y ?? 0)} ${units.temperature}`,
        },
      },
      annotation: { annotations: marksOf(log, inks) },
    },
  };
}

function coneTick(value: number): string {
  return CONES.find((cone) => coneIndex(cone) === value) ?? '';
}

function marksOf(log: ChartLog, inks: Palette): Record<string, AnnotationOptions> {
  const events = log.events.filter(({ kind }) => kind !== 'hand reading' && !kind.startsWith('reduction'));
  return {
    ...Object.fromEntries(
      reductionsOf(log).map(({ from, to, heaviness }): [string, AnnotationOptions] => [
        `reduction ${from}`,
        {
          type: 'box',
          xMin: from,
          xMax: to,
          yScaleID: 'y',
          backgroundColor: `${inks.heat}1c`,
          borderWidth: 0,
          label: {
            display: true,
            content: `${heaviness} reduction`.trim(),
            position: { x: 'center', y: 'start' },
            color: inks.heat,
            font,
          },
        },
      ]),
    ),
    ...Object.fromEntries(
      events.map(({ id, kind, minutes, value, note }, i): [string, AnnotationOptions] => [
        id,
        {
          type: 'line',
          xMin: minutes,
          xMax: minutes,
          borderColor: inks.ink,
          borderWidth: 1,
          borderDash: [2, 3],
          label: {
            display: true,
            content: kind === 'note' ? note.slice(0, 24) : `${kind}${value === null ? '' : ` ${value} %`}`,
            position: 'start',
            yAdjust: -(i % 4) * 20,
            backgroundColor: inks.paper,
            color: inks.ink,
            font: { ...font, size: 12 },
            padding: 3,
          },
        },
      ]),
    ),
    ...Object.fromEntries(
      log.gaps.map(({ from, to }): [string, AnnotationOptions] => [
        `gap ${from}`,
        {
          type: 'box',
          xMin: from,
          xMax: to,
          backgroundColor: `${inks.quiet}22`,
          borderWidth: 0,
          label: { display: true, content: 'no reading', color: inks.quiet, font: { ...font, size: 12 } },
        },
      ]),
    ),
  };
}

/** The atmosphere as it went: each stretch of reduction, from its start to its end or until now. */
function reductionsOf({ events, minutes }: ChartLog) {
  return events
    .filter(({ kind }) => kind === 'reduction starts')
    .map(({ minutes: from, note }) => ({
      from,
      heaviness: note,
      to: events.find((one) => one.kind === 'reduction ends' && one.minutes >= from)?.minutes ?? minutes,
    }));
}
