'use client';
import { lazily } from '@/ui/lazily';
import css from './clinic.module.css';

/** The chart of a rise; its script comes after the page works. */
export const RiseChart = lazily(
  async () => (await import('./RiseChart')).RiseChart,
  <div className={css.chart} />,
);
