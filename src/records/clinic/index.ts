export { type CaseSubject, findCaseSubject } from './caseSubject';
export {
  addTry,
  caseById,
  type ClinicCase,
  changeCase,
  listCases,
  openCase,
  stacksOfOpenCases,
} from './cases';
export { firedAgain } from './cures';
export { type DefectProof, pieceCase, type PieceCase, piecesWith } from './clinic';
export { firedZones } from './firedZones';
export { studioRecord } from './natural';
export { type Series, watchAll, watchNow } from './watch';
export type { CaseFields } from './cases';
export type { CaseChange } from './cases';
