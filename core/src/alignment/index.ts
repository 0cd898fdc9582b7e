/** Lines, arcs and clothoids with stations, profiles, strings and sections. */
export { angleAlong } from './angle.ts';
export { orderedSections, sectionAt, sectionHeight, type DesignedSection } from './sections.ts';
export {
  alignmentNotes,
  alignmentOf,
  equationJumps,
  keyPoints,
  placeAlong,
  placeBeyond,
  type Alignment,
  type AlignmentDefinition,
  type AlignmentError,
  type JunctionName,
  type PlaceAlong,
} from './alignment.ts';
export { directionOn, placeOn, shapeOf, type ElementFault, type HorizontalElement } from './element.ts';
export { displayedStation, stationBack, stationsShown, type StationEquation } from './equations.ts';
export { againstAlignment, feetWithin, type AgainstAlignment, type Foot } from './foot.ts';
export {
  elementsAlong,
  elementsThrough,
  type IntersectionError,
  type IntersectionPoint,
  type TypedElement,
  type TypedElementError,
} from './intersectionPoints.ts';
export {
  profileAt,
  profileExtremes,
  profileOf,
  type GradePoint,
  type Profile,
  type ProfileError,
  type VerticalRounding,
} from './profile.ts';
export {
  CENTRELINE,
  placeOnString,
  templateOf,
  type KerbDefinition,
  type PlaceOnString,
  type StationTable,
  type StringDefinition,
  type Template,
  type TemplateError,
} from './strings.ts';
export { transitionsAt, type TransitionHere } from './kerbTransitions.ts';
export { stationList, type StationListError, type StationListRule, type StationReason } from './stationList.ts';
export { catchGuidance, catchPoint, type CatchGuidance, type CatchOutcome, type SlopeAsked } from './catchPoint.ts';
