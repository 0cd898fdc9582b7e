export { textOf, type TextError } from './text.ts';
export { csvText, type CsvCell } from './csvText.ts';
export { COLUMN_ROLES, type ColumnRole } from './control/columns.ts';
export {
  MOST_CONTROL_ROWS,
  readControlCsv,
  type ControlCondition,
  type ControlCsvOptions,
  type ControlKind,
  type ControlList,
  type ControlRow,
  type FileIssue,
  type RowIssue,
} from './control/controlCsv.ts';
export { readControlList } from './control/controlList.ts';
export { looksLikeXml } from './control/controlLandXml.ts';
export { controlCsv, controlLandXml, type WrittenMark } from './control/writeControl.ts';
export { compareControl, FOOT_RATIO, sameName, TWIN_DISTANCE, type ListedMark, type ListRemark } from './control/compareControl.ts';
export { readDxf, readRawDxf, type Progress } from './design/dxf.ts';
export {
  DRAWING_UNITS,
  placeDrawing,
  unitOfLength,
  usualExtent,
  type Drawing,
  type DrawingError,
  type DrawingUnit,
  type DrawnCircle,
  type DrawnCorner,
  type DrawnLayer,
  type DrawnLine,
  type DrawnOutline,
  type DrawnPath,
  type DrawnPoint,
  type DrawnSurface,
  type DrawnText,
  type LeftOut,
  type Placing,
  type RawDrawing,
} from './design/drawing.ts';
export type { LandXmlDesign, ReadAlignment, ReadCrossSection, ReadProfile } from './landXml/landXmlDesign.ts';
export type { LandXmlFault, LandXmlWarning, XmlPlace } from './landXml/landXmlFault.ts';
export { readLandXml } from './landXml/readLandXml.ts';
export { drawingFormatOf, readRawDrawing, type DrawingFormat } from './design/readDrawing.ts';
export { gridFromLines, type DrawnGrid, type GridError } from './design/drawnGrid.ts';
export { namedCorners } from './design/namedCorners.ts';
export { compareDrawings, type DrawingChange, type MovedCorner } from './design/compareDrawings.ts';
export { UNIT_WORD, type PointGroup, type SiteLine, type SitePoint } from './export/sitePoint.ts';
export { columnTitle, POINT_COLUMNS, pointsCsv, type PointColumn } from './export/pointsCsv.ts';
export { dxfText, layerName, siteDxf, type DxfEntity, type DxfLayer } from './export/dxfText.ts';
export { siteGeoJson } from './export/siteGeoJson.ts';
export { siteLandXml, type SurveySetup, type SurveySight } from './export/siteLandXml.ts';
export { readLandXmlSurvey, type SurveyPointRead, type SurveyRead, type SurveySetupRead, type SurveySightRead } from './landXml/landXmlSurvey.ts';
export { OpenDrawing, type ComparedDrawings, type DrawingSummary, type LayerLines, type SurfaceSummary, type Touched } from './design/openDrawing.ts';
