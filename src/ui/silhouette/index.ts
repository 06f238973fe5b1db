export {
  bandPath,
  drawnSides,
  drawnWidth,
  EDGE,
  fieldOf,
  halfOf,
  hitAt,
  sideField,
  STRIP,
  TALL,
  type DrawnCoat,
  type Hit,
} from './geometry';
export { Silhouette, type SilhouetteProps } from './Silhouette';
