export { type CaseSubject, findCaseSubject } from './caseSubject';
export { addTry, caseById, type CaseRow, changeCase, listCases, openCase, stacksOfOpenCases } from './cases';
export { type DefectProof, pieceCase, type PieceCase, piecesWith } from './clinic';
export { firedZones } from './firedZones';
export { studioRecord } from './natural';
export { type Series, watchAll, watchNow } from './watch';
