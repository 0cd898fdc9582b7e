/** What is printed and what goes out as a sheet: PDF, workbooks and tables, made from the state of a site by Node.js alone. */
export { asBuiltCsv } from './reports/asBuiltCsv.ts';
export { asBuiltPdf } from './reports/asBuiltPdf.ts';
export { controlReportPdf } from './reports/controlReportPdf.ts';
export { labelsPdf, type Label } from './papers/labelsPdf.ts';
export { markAddress, paperMade, PaperRefused, type PaperMade, type PaperSource } from './papers/askedPapers.ts';
export { sketchPdf } from './papers/sketchPdf.ts';
export { sheetCsv } from './sheets/sheetCsv.ts';
export { sheetPdf } from './sheets/sheetPdf.ts';
export { sheetXlsx } from './sheets/sheetXlsx.ts';
export { missingLetters, printable, runsOf } from './pdf/letters.ts';
export { canBePrinted } from './pdf/photo.ts';
export type { Progress } from './pdf/pdfPage.ts';
