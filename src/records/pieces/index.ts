export type { CoatDraft, StoredCoat } from './coats';
export {
  addPhoto,
  jpegAt,
  type PhotoSettings,
  PICTURE_WIDTHS,
  pictureAt,
  storePicture,
  type ZoneCount,
} from './photos';
export {
  type FiredZone,
  listPieces,
  type PieceFilter,
  type PieceFiring,
  piecePage,
  type PiecePage,
  type ListedPiece,
  piecesById,
} from './piecePages';
export { correctPiece, type PieceDraft, savePieces } from './pieces';
export { relayStalePieces } from './zones';
export { samplePicture, samplesFor } from './samples';
export type { CorrectedPiece } from './pieces';
