export { auditDictionary, type Audit } from './audit';
export { entriesLike, type Found, texturesTried } from './colours';
export { type DefectCount, defectCounts } from './defectCounts';
export {
  type Headword,
  headwordPage,
  type HeadwordOfGlaze,
  headwordsOf,
  headwordsOnPieces,
  headwordText,
  type Proof,
  provedHeadwords,
  type Sense,
  sensesOf,
  tilesOf,
} from './dictionary';
export { type Apart, proofRows, refreshEntries, refreshStaleEntries } from './entries';
export {
  addCorrection,
  type Correction,
  correctionsOf,
  saveTeacherNote,
  settleCorrection,
} from './entryNotes';
export { listFailedLookups, recordFailedLookup, type FailedLookup } from './failedLookups';
export { lookUp } from './lookup';
export { hadInHand } from './lookupLists';
export { endWall, keepWall, listWalls, type NamedWall } from './namedWalls';
export { type RequestDraft, type TestRequest, addRequest, listRequests, withdrawRequest } from './requests';
export {
  addShare,
  endShare,
  isOnWall,
  listShares,
  type NewEntry,
  newestOnWall,
  type Share,
  shareBy,
} from './shares';
export type { OverTexture } from './textures';
export { type VersionSense } from './versionSenses';
export {
  type WallChoice,
  wallChoices,
  wallCounts,
  wallEntries,
  type WallEntry,
  wallNow,
  wallQuery,
} from './wall';
export { judgedGlaze, judgeGlaze, type JudgedGlaze, type SaidOfGlaze } from './judgement';
