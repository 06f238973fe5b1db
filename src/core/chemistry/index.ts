export { MOLAR_MASS, ALKALIS, isOxide, oxidesOf, type Oxide, type Role } from './oxides';
export { MATERIALS, materialOf, theoretical, type Analysis, type Material } from './materials';
export { analyse, type AnalyseOptions, type AnalysisResult } from './analyse';
export { EXPANSION_SETS, type Expansions } from './expansion';
export { MAP_FIELDS, mapField, type MapField } from './map';
export type { Line, Oxides } from './model';
