'use client';
import { useColorScheme } from '@mui/material/styles';
import { PALETTES, type Palette } from './palette';

/** The type of a chart. */
export const CHART_FONT = { family: "'Atkinson Hyperlegible Next Variable', sans-serif", size: 13 };

/** The colours of the theme in view, as a canvas needs them. */
export function useInks(): Palette {
  const { mode, systemMode } = useColorScheme();
  return PALETTES[(mode === 'system' ? systemMode : mode) ?? 'light'];
}
