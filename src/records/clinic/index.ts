export { type About, aboutOf } from './caseSubject';
export { addTry, caseById, type CaseRow, changeCase, listCases, openCase, stacksOfOpenCases } from './cases';
export { type DefectProof, pieceCase, type PieceCase, piecesWith } from './clinic';
export { doneZones } from './firedZones';
export { studioRecord } from './natural';
export { type Series, watchAll, watchNow } from './watch';
