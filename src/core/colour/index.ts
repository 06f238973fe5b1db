export { ciede2000 } from './ciede2000';
export { deltaE00, hexOf, labOf, type Lab } from './lab';
export { colourRank } from './order';
export { colourIndex, nearestGroups, type ColourIndex, type Near } from './nearest';
export {
  paletteDifference,
  paletteFrom,
  plainPalette,
  type HexShare,
  type Palette,
  type Share,
} from './palette';
