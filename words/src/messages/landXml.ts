/** Messages of landXml. */
export const landXml = {
  statesAnotherLength: '{place} states a length that differs by {metres} from its geometry, which counts.',
  statesAnotherStation: '{place} states a station that differs by {metres} from the running one, which counts.',
  itsAlignmentWasLeftOut: 'One alignment was left out: {fault}',
  of: ' of {owner}',
  lineOfTheFile: '{element}{number}{owner} (line {line} of the file)',
  hasNoLengthItsLengthIs0: 'has no length: its length is 0, or its Start and End are one place',
  isASpiralWithBothRadiiInf:
    'is a spiral with both radii INF: one radius, radiusStart or radiusEnd, has to say how sharp it becomes',
  hasARadiusThatIsNotOver: 'has a radius that isn’t over 0',
  goesFartherThanAnyLineOfA:
    'goes farther than any line of a site: one of its coordinates is wrong, or of another system',
  turnsRoundTimesItsRadiusIsToo: 'turns round {turns} times: its radius is too small for its length',
  isASpiralWhoseStartAndEnd: 'is a spiral whose Start and End don’t fit its length and radii',
  hasGradePointsPviAProfileNeeds: 'has {points} grade points (PVI): a profile needs at least two',
  hasStationAfterTheStationsOfA:
    'has station {station} after {station2}: the stations of a profile must be strictly increasing',
  beginsOrEndsWithAVerticalCurve:
    'begins or ends with a vertical curve at station {station}: there a plain PVI is needed',
  hasAVerticalCurveWithoutALength: 'has a vertical curve without a length or radius over 0 at station {station}',
  hasVerticalCurvesThatOverlapBetween:
    'has vertical curves that overlap between station {station} and {station2}: shorten one of them',
  hasNoElements: 'has no elements',
  hasAThat: 'has a {kind} that {elementFault}',
  hasAStaequationAtWhichLiesOutside: 'has a StaEquation at {at}, which lies outside of it',
  hasTwoStaequationsAt: 'has two StaEquations at {at}',
  nothingWasTakenPutItRightIn: 'Nothing was imported; correct it in the program that wrote it.',
  theFileIsEmptyThereIsNo: 'The file is empty: there is no LandXML in it.',
  theFileIsNotTextInThe:
    'The file isn’t text in {encoding}, the encoding that it names. Save it as UTF-8; nothing was imported.',
  theXmlIsNotWellFormedAt:
    'The XML isn’t well-formed at line {line}: {detail}. It may have been cut off on its way; get it again. Nothing was imported.',
  theFileDeclaresADoctypeLineWhich:
    'The file declares a DOCTYPE (line {line}), which may hold an entity of any size: such files aren’t read. Nothing was expanded or fetched.',
  atLineElementsStandInsideOneAnother:
    'At line {line} elements stand inside one another more than {most} deep: no drawing does that. Nothing was imported.',
  theTextOfTheElementAtLine:
    'The text of the element at line {line} is longer than any list of places. Nothing was imported.',
  hasWhichLiesFartherAwayThanAny: '{place} has {text}, which lies farther away than any site. {nothing}',
  theFileIsXmlButItsRoot: 'The file is XML, but its root is “{root}” instead of LandXML.',
  theFileHasNoUnitsSoThat:
    'The file has no Units, so that nobody knows whether its linearUnit is meters or feet. {nothing}',
  theUnitsNameNoLinearunitLineOf: 'The Units name no linearUnit (line {line} of the file). {nothing}',
  theUnitsNameTheLinearunitLineOf:
    'The Units name the linearUnit “{text}” (line {line} of the file), which isn’t known here. {nothing}',
  hasWhereANumberIsNeeded: '{place} has “{text}” where a number is needed. {nothing}',
  hasWhereAreNeeded:
    '{place} has {given, plural, one {# number} other {# numbers}} where {wanted} are needed. {nothing}',
  hasNo: '{place} has no {part}. {nothing}',
  refersByPntrefToThePointAnd:
    '{place} refers by pntRef to the point “{name}”, and no CgPoint of the file has that name. {nothing}',
  hasNoSpitypeOnlyClothoidSpiralsAre: '{place} has no spiType; only clothoid spirals are read. {nothing}',
  hasTheSpitypeOnlySpiralsOfThe:
    '{place} has the spiType “{type}”: only spirals of the type clothoid are read. {nothing}',
  hasWhichIsNotKnownHere: '{place} has {attribute} “{text}”, which isn’t known here. {nothing}',
  hasTheIdWhichAnotherPointOf:
    '{place} has the id {id}, which another point of the surface has already: ids must not be used twice. {nothing}',
  hasTheIdWhichAnotherInstrumentsetupHas:
    '{place} has the id {id}, which another InstrumentSetup has already: ids must not be used twice. {nothing}',
  aFaceNamesThePointAndNo: '{place}, a face, names the point {id}, and no P of the surface has that id. {nothing}',
  thereIsAGapOfBetweenThe:
    'There is a gap of {metres} between the end of the element before and the start of {place}. The stations go on without it; ask who drew it.',
  theRadiusAndTheCenterOfDiffer:
    'The radius and the Center of {place} differ by {metres}. The arc is taken through Start and End; ask who drew it.',
  startAndEndOfDifferByFrom:
    'Start and End of {place} differ by {metres} from its length and radii. It is fitted between Start and End; ask who drew it.',
  hasAStabackThatDiffersByFrom:
    '{place} has a staBack that differs by {metres} from the station that the line has there. staInternal is taken.',
} as const;
