/**
 * The colours of the reference book, once: MUI's theme and the style sheets' variables are both made of them. Fired
 * colour is judged against N8 grey; nothing else is tinted.
 */
const light = {
  page: '#f1f1f0',
  paper: '#ffffff',
  n8: '#c9c9c9',
  onN8: '#3f434a',
  ink: '#17191d',
  quiet: '#5b5f66',
  hairline: '#cfcfcd',
  edge: '#dcdcda',
  accent: '#21409a',
  onAccent: '#ffffff',
  heat: '#b4441a',
  good: '#2e6b57',
  bare: '#b9b9b7',
};

export type Palette = Readonly<Record<keyof typeof light, string>>;

const dark: Palette = {
  page: '#1b1c1e',
  paper: '#232527',
  n8: '#2b2b2b',
  onN8: '#d6d8db',
  ink: '#f1f1f0',
  quiet: '#b9bdc4',
  hairline: '#44474b',
  edge: '#141517',
  accent: '#8fa8f0',
  onAccent: '#14161a',
  heat: '#f0925f',
  good: '#7cc3a6',
  bare: '#3a3c3f',
};

export const PALETTES = { light, dark } as const;

const variables = (palette: Palette) =>
  Object.entries(palette)
    .map(([name, value]) => `--${name.replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`)}:${value}`)
    .join(';');

/**
 * The palettes as variables for the style sheets: `onN8` is `--on-n8`. Without specificity, so that the print style
 * sheet may set one of them otherwise.
 */
export const PALETTE_STYLES = [
  `:where(:root,[data-theme=light]){color-scheme:light;${variables(light)}}`,
  `:where([data-theme=dark]){color-scheme:dark;${variables(dark)}}`,
].join('');
