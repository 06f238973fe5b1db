import 'server-only';
export { SHEETS, viewsOf } from './posterPdf';
