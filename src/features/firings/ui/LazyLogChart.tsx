'use client';
import { lazily } from '@/ui/lazily';
import css from './log.module.css';

/** The chart of a firing; its script comes after the page works. */
export const LogChart = lazily(
  async () => (await import('./LogChart')).LogChart,
  <figure className={css.chart} aria-hidden>
    <canvas />
  </figure>,
);
