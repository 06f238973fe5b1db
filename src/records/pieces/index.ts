export { piecesNumbered, theOneNumbered } from './numbered';
export type { CoatDraft, StoredCoat } from './coats';
export {
  addPhoto,
  remeasureNext,
  changePhoto,
  choosePhoto,
  movePhoto,
  pieceOfPhoto,
  removePhoto,
  type StoredPhoto,
  setPhotoTime,
} from './photos';
export { jpegAt, PICTURE_WIDTHS, pictureAt, storePicture } from './pictures';
export type { ZoneCount } from './zoneCounts';
export {
  type FiredZone,
  listPieces,
  type PieceFilter,
  type PieceFiring,
  piecePage,
  type PiecePage,
  type ListedPiece,
  piecesById,
  piecesByLabel,
} from './piecePages';
export {
  coatsStand,
  correctPiece,
  type PieceColumns,
  type PieceDraft,
  putPieceBack,
  savePieces,
  setMaker,
} from './pieces';
export {
  archivedForms,
  formsInUse,
  listForms,
  saveForm,
  setFormEnded,
  type StudioForm,
  type StudioFormDraft,
} from './forms';
export { joinSet, leaveSet, saveWare, type SetPiece, type Ware } from './ware';
export { relayStalePieces } from './zones';
export { samplePicture, samplesFor } from './samples';
export type { CorrectedPiece } from './pieces';
export { type Usual, usualOf, type UsualWay, usualWays } from './usual';
export type { PhotoSettings } from './photoSettings';
export { savePhotoFirst } from './photoFirst';
export { changeMany, correctMany, type Correction, type PieceChange } from './many';
export { listPatterns, savePattern, setPatternEnded, type StudioPattern } from './patterns';
export { type Expectation, saveExpectation } from './expectations';
export {
  listOrders,
  type Order,
  orderById,
  type OrderDraft,
  type OrderStand,
  saveOrder,
  setOrderEnded,
  setOrderOf,
} from './orders';
