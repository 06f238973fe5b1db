export { addBatch, addMeasure, batchesOf, type BatchHistory } from './batches';
export { type Body, type BodyDraft, listBodies, type MadeOf, saveBody } from './bodies';
export { ensureMixedBody, type MixedBody } from './mixedBodies';
export { bucketCard, type BucketCardFacts, bucketCards } from './bucketCard';
export { fitEvidence, fitTiles, type StudioTile } from './fitTiles';
export { type Glaze, type GlazeDraft, glazeSwatches, listGlazes, saveGlaze, versionsInUse } from './glazes';
export {
  listAliases,
  listMaterials,
  rememberAlias,
  saveMaterial,
  studioBook,
  type StudioMaterial,
} from './materials';
export {
  type RecipeInUse,
  recipesInUse,
  setVersionInUse,
  type RecipeDraft,
  type RecipeVersion,
  putRecipeBack,
  saveRecipe,
  versionsOf,
} from './recipes';
export type { OtherRecipe } from './recipes';
