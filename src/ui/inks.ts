'use client';
import { useColorScheme } from '@mui/material/styles';

/** The colours of the page as a canvas needs them. */
const INKS = {
  light: {
    ink: '#17191D',
    quiet: '#5B5F66',
    line: '#CFCFCD',
    heat: '#B4441A',
    accent: '#21409A',
    paper: '#FFFFFF',
  },
  dark: {
    ink: '#F1F1F0',
    quiet: '#B9BDC4',
    line: '#44474B',
    heat: '#F0925F',
    accent: '#8FA8F0',
    paper: '#232527',
  },
} as const;
export type Inks = (typeof INKS)[keyof typeof INKS];

/** The type of a chart. */
export const CHART_FONT = { family: "'Atkinson Hyperlegible Next Variable', sans-serif", size: 13 };

/** The inks of the theme in view. */
export function useInks(): Inks {
  const { mode, systemMode } = useColorScheme();
  return INKS[(mode === 'system' ? systemMode : mode) ?? 'light'];
}
