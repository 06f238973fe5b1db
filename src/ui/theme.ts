import { createTheme, type Theme, shouldSkipGeneratingVar } from '@mui/material/styles';
import { PALETTES, type Palette } from './palette';

declare module '@mui/material/styles' {
  interface CssThemeVariables {
    enabled: true;
  }
}

const SANS = "'Atkinson Hyperlegible Next Variable', system-ui, sans-serif";

/** What holds on a phone; `--phone` in the style sheets (breakpoints.css). */
export const PHONE = createTheme().breakpoints.down('md');

const scheme = (c: Palette) => ({
  palette: {
    primary: { main: c.accent, contrastText: c.onAccent },
    error: { main: c.heat, contrastText: c.onAccent },
    success: { main: c.good, contrastText: c.onAccent },
    background: { default: c.page, paper: c.paper },
    text: { primary: c.ink, secondary: c.quiet },
    divider: c.hairline,
  },
});

/** Parts of MUI that we do not use: every page would carry their colours twice. */
const UNUSED = /^(AppBar|Avatar|FilledInput|Skeleton|SpeedDialIcon|StepConnector|StepContent)$/;

/** Whether no page needs a variable of the theme. */
const isUnneeded = ([kind, part]: string[]) =>
  kind === 'overlays' || kind === 'font' || (kind === 'palette' && UNUSED.test(part ?? ''));

/** MUI in the manner of the book: hairlines, square corners, no shadow, no ripple, words as written. */
export const theme = createTheme({
  cssVariables: {
    colorSchemeSelector: 'data-theme',
    shouldSkipGeneratingVar: (keys) => shouldSkipGeneratingVar(keys) || isUnneeded(keys),
  },
  shadows: Array<'none'>(25).fill('none') as Theme['shadows'],
  colorSchemes: { light: scheme(PALETTES.light), dark: scheme(PALETTES.dark) },
  shape: { borderRadius: 2 },
  typography: {
    fontFamily: SANS,
    fontSize: 14,
    body1: { fontSize: 15 },
    body2: { fontSize: 15 },
    button: { textTransform: 'none', fontWeight: 650, fontSize: 15 },
  },
  components: {
    MuiButtonBase: { defaultProps: { disableRipple: true } },
    MuiButton: {
      defaultProps: { disableElevation: true, variant: 'outlined' },
      styleOverrides: {
        root: {
          padding: '5px 14px',
          minHeight: 36,
          lineHeight: 1.3,
          borderColor: 'var(--accent)',
          [PHONE]: { minHeight: 48 },
        },
        sizeSmall: { minHeight: 28, padding: '2px 10px', fontSize: 14 },
      },
    },
    MuiToggleButtonGroup: { styleOverrides: { root: { background: 'var(--paper)', flexWrap: 'wrap' } } },
    MuiToggleButton: {
      styleOverrides: {
        root: {
          padding: '4px 12px',
          minHeight: 36,
          fontWeight: 600,
          fontSize: 14,
          textTransform: 'none',
          color: 'var(--ink)',
          borderColor: 'var(--ink)',
          '&.Mui-selected, &.Mui-selected:hover': { background: 'var(--ink)', color: 'var(--paper)' },
          [PHONE]: { minHeight: 48 },
        },
      },
    },
    MuiTextField: { defaultProps: { size: 'small', variant: 'outlined', fullWidth: true } },
    MuiInputLabel: { styleOverrides: { root: { color: 'var(--quiet)' } } },
    MuiOutlinedInput: {
      styleOverrides: {
        root: {
          background: 'var(--paper)',
          fontSize: 15,
          [PHONE]: { minHeight: 48, fontSize: 16 },
        },
        notchedOutline: { borderColor: 'var(--quiet)' },
      },
    },
    MuiPaper: { defaultProps: { elevation: 0 }, styleOverrides: { root: { backgroundImage: 'none' } } },
    MuiMenu: { styleOverrides: { paper: { border: '1px solid var(--ink)' } } },
    MuiAutocomplete: { styleOverrides: { paper: { border: '1px solid var(--ink)' } } },
    MuiDialog: { styleOverrides: { paper: { border: '1px solid var(--ink)' } } },
    MuiChip: {
      styleOverrides: {
        root: { borderRadius: 2, background: 'transparent', border: '1px solid var(--ink)', fontSize: 14 },
        deleteIcon: { color: 'var(--ink)' },
      },
    },
    MuiTooltip: {
      defaultProps: { enterDelay: 500 },
      styleOverrides: {
        tooltip: { background: 'var(--ink)', color: 'var(--paper)', fontSize: 13, borderRadius: 2 },
      },
    },
    MuiSnackbarContent: {
      styleOverrides: { root: { background: 'var(--ink)', color: 'var(--paper)', borderRadius: 2 } },
    },
  },
});

const linesOf = (rules: object): string =>
  Object.entries(rules)
    .map(([name, value]) => `  ${name === 'colorScheme' ? 'color-scheme' : name}: ${value as string};\n`)
    .join('');

/** The variables of the theme as a style sheet, theme.css: with it no page carries them. `npm run theme` writes it. */
export const themeSheet = (): string =>
  theme
    .generateStyleSheets()
    .flatMap((sheet) =>
      Object.entries(sheet).map(([selector, rules]) => `${selector} {\n${linesOf(rules as object)}}\n`),
    )
    .join('');
