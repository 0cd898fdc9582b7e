export { decodedText, textOf, type DecodedText, type TextError } from './text.ts';
export { BYTE_ORDER_MARK, csvText, undefused, type CsvCell, type CsvHead } from './csvText.ts';
export {
  readControlCsv,
  type ControlCsvOptions,
  type ControlList,
  type ControlRow,
  type ListSaid,
  type ListWarning,
  type FileIssue,
} from './control/controlCsv.ts';
export type { DecimalSign } from './list/figures.ts';
export { listHead, type ListColumn, type ListHead } from './list/listHead.ts';
export { COLUMN_ROLES, type ColumnRole } from './control/columns.ts';
export { readControlBytes, readControlList } from './control/controlList.ts';
export { fileUnitOf, isFileUnit, METRES_PER_FILE_UNIT, type FileUnit } from './list/fileUnits.ts';
export { looksLikeXml } from './control/controlLandXml.ts';
export { controlCsv, controlLandXml, type WrittenMark } from './control/writeControl.ts';
export { compareControl, FOOT_RATIO, sameName, TWIN_DISTANCE } from './control/compareControl.ts';
export { readDxf, readRawDxf } from './design/dxf.ts';
export {
  DRAWING_UNITS,
  drawingUnitOf,
  unitOfLength,
  placeDrawing,
  usualExtent,
  type Drawing,
  type DrawingError,
  type DrawingRemark,
  type DrawingUnit,
  type DrawnLayer,
  type DrawnPath,
  type LeftOut,
  type RawDrawing,
} from './design/drawing.ts';
export type { ReadAlignment } from './landXml/landXmlDesign.ts';
export type { LandXmlFault, LandXmlWarning, XmlPlace } from './landXml/landXmlFault.ts';
export { readLandXml } from './landXml/readLandXml.ts';
export { DRAWING_READING, drawingFormatOf, readRawDrawing, type DrawingSaid } from './design/readDrawing.ts';
export { gridFromLines, type DrawnGrid, type GridError } from './design/drawnGrid.ts';
export { namedCorners } from './design/namedCorners.ts';
export { compareDrawings } from './design/compareDrawings.ts';
export { type SiteAbout } from './export/siteAbout.ts';
export { type PointGroup, type SitePoint } from './export/sitePoint.ts';
export { columnTitle, POINT_COLUMNS, pointsCsv, type PointColumn } from './export/pointsCsv.ts';
export { dxfBytes, layerName, siteDxf, type DxfEntity } from './export/dxfText.ts';
export { siteGeoJson } from './export/siteGeoJson.ts';
export { siteLandXml, type SurveySetup } from './export/siteLandXml.ts';
export {
  readLandXmlSurvey,
  type SurveyPointRead,
  type SurveyRead,
  type SurveySetupRead,
} from './landXml/landXmlSurvey.ts';
export type { LayerLines } from './design/paintedLines.ts';
export {
  OpenDrawing,
  type FoundPlace,
  type OpenAsked,
  type ComparedDrawings,
  type DrawingSummary,
  type SurfaceSummary,
  type Touched,
} from './design/openDrawing.ts';
