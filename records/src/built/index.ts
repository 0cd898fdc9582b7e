/** What was measured as it stands. */
export {
  asBuiltBody,
  boltGroups,
  clearanceOf,
  columnsAlong,
  controlFromBuilt,
  designDifferences,
  heightOverRoad,
  heightOverSurface,
  lineDifferences,
  meanPairedPlace,
  meanPlace,
  type MeanPlace,
  nextName,
  usedCodes,
  type BoltGroup,
  type ColumnRow,
  type DesignDifference,
} from './asBuilt.ts';
export { asBuiltReport, type AsBuiltReport, type AsBuiltRow } from './asBuiltReport.ts';
