'use client';
import {
  BarController,
  BarElement,
  CategoryScale,
  Chart,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  Tooltip,
} from 'chart.js';
import { Chart as Drawn } from 'react-chartjs-2';
import type { Watched } from '@/core/evidence';
import { CHART_FONT as font, useInks } from '@/ui/inks';
import css from './clinic.module.css';

Chart.register(
  BarController,
  BarElement,
  CategoryScale,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  Tooltip,
);

/** Shares with the defect sample by sample, with the upper limit of usual and the point from which there is more. */
export function RiseChart({ watched }: { watched: Watched }) {
  const inks = useInks();
  const { samples, rise } = watched;
  const most = Math.max(...samples.map(({ count, of, limit }) => Math.max(count / of, limit ?? 0)));
  const percent = (share: number | null) => (share === null ? null : share * 100);
  const said = samples.map(({ words, count, of }) => `${words}: ${count} of ${of}`).join('; ');
  return (
    <div className={css.chart}>
      <Drawn
        type="bar"
        aria-label={said}
        role="img"
        data={{
          labels: samples.map(({ words }) => words),
          datasets: [
            {
              type: 'line' as const,
              label: 'upper limit of usual',
              data: samples.map(({ limit }) => percent(limit)),
              borderColor: inks.heat,
              borderWidth: 1.5,
              pointRadius: 0,
              stepped: 'middle' as const,
              // A limit of nought lies on the axis: it is drawn whole.
              clip: 4,
            },
            {
              type: 'bar' as const,
              label: 'with the defect',
              data: samples.map(({ count, of }) => (count / of) * 100),
              backgroundColor: samples.map((_, i) => (rise && i >= rise.at ? inks.ink : inks.hairline)),
              maxBarThickness: 26,
            },
          ],
        }}
        options={{
          animation: false,
          maintainAspectRatio: false,
          plugins: {
            legend: { display: false },
            tooltip: {
              callbacks: {
                label: ({ dataIndex, datasetIndex, parsed }) =>
                  datasetIndex === 0
                    ? `usual up to ${Math.round(parsed.y ?? 0)} %`
                    : `${samples[dataIndex]!.count} of ${samples[dataIndex]!.of}`,
              },
            },
          },
          scales: {
            x: { ticks: { color: inks.quiet, font }, grid: { display: false } },
            y: {
              min: 0,
              max: Math.min(100, Math.ceil(most * 11) * 10),
              ticks: { color: inks.quiet, font, callback: (value) => `${value} %`, maxTicksLimit: 5 },
              grid: { color: inks.hairline },
            },
          },
        }}
      />
    </div>
  );
}
