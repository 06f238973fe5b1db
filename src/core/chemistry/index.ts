export {
  MOLAR_MASS,
  ALKALIS,
  OXIDES,
  isOxide,
  oxidesOf,
  sumOfAnalysis,
  type Oxide,
  type OxideRole,
} from './oxides';
export { MATERIALS, theoretical, type Analysis, type Material } from './materials';
export { BUILT_IN, materialBook, type MaterialBook } from './book';
export { searchMaterials, understandMaterial } from './search';
export { expansionOf, isKnownEnough, unknownIn, type UnknownPart } from './unknown';
export { DUST_CAUTION, cautionsIn, cautionsOf } from './cautions';
export { analyse, type AnalyseOptions, type AnalysisResult } from './analyse';
export {
  EXPANSION_SETS,
  FACTOR_MISS,
  expansionParts,
  type Expansions,
  type ExpansionPart,
  type ExpansionSet,
} from './expansion';
export { MAP_EDGES, MAP_FIELDS, mapField, type MapField } from './map';
export type { Line, Oxides } from './model';
