export { batchOf, dryPerMl, waterFor, DRY_SPECIFIC_GRAVITY, type Batch, type BatchLine } from './batch';
