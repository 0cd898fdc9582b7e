/** Why a LandXML file is not read, and what of one that was read should be asked about. */
import {
  formatLength,
  type AlignmentError,
  type ElementFault,
  type Metres,
  type ProfileError,
} from '@idle-marker/core';
import type { LandXmlFault, LandXmlWarning, XmlPlace } from '@idle-marker/formats';
import { msg, worded } from './message.ts';

/** “Line 2 of Alignment “Landing Road” (line 41 of the file)”. */
function placeWords({ element, number, owner, line }: XmlPlace): string {
  return msg('landXml.lineOfTheFile', {
    element,
    number: number === null ? '' : ` ${number}`,
    owner: owner === null ? '' : msg('landXml.of', { owner }),
    line,
  });
}

const metres = (length: Metres): string => `${formatLength(length, 'metre', 3)} m`;

export function elementFaultWords(fault: ElementFault): string {
  switch (fault.code) {
    case 'ELEMENT_WITHOUT_LENGTH':
      return msg('landXml.hasNoLengthItsLengthIs0');
    case 'SPIRAL_STRAIGHT_AT_BOTH_ENDS':
      return msg('landXml.isASpiralWithBothRadiiInf');
    case 'RADIUS_NOT_POSITIVE':
      return msg('landXml.hasARadiusThatIsNotOver');
    case 'ELEMENT_TOO_LONG':
      return msg('landXml.goesFartherThanAnyLineOfA');
    case 'ELEMENT_WINDS':
      return msg('landXml.turnsRoundTimesItsRadiusIsToo', { turns: fault.turns.toFixed(0) });
    case 'SPIRAL_DOES_NOT_REACH':
      return msg('landXml.isASpiralWhoseStartAndEnd');
  }
}

export function profileFaultWords(fault: ProfileError, station: (value: Metres) => string): string {
  switch (fault.code) {
    case 'PROFILE_TOO_SHORT':
      return msg('landXml.hasGradePointsPviAProfileNeeds', { points: fault.points });
    case 'PROFILE_NOT_RISING':
      return msg('landXml.hasStationAfterTheStationsOfA', {
        station: station(fault.station),
        station2: station(fault.before),
      });
    case 'PROFILE_CURVE_AT_END':
      return msg('landXml.beginsOrEndsWithAVerticalCurve', { station: station(fault.station) });
    case 'PROFILE_CURVE_WITHOUT_SIZE':
      return msg('landXml.hasAVerticalCurveWithoutALength', { station: station(fault.station) });
    case 'PROFILE_CURVES_OVERLAP':
      return msg('landXml.hasVerticalCurvesThatOverlapBetween', {
        station: station(fault.station),
        station2: station(fault.next),
      });
  }
}

function alignmentFaultWords(fault: AlignmentError): string {
  switch (fault.code) {
    case 'ALIGNMENT_WITHOUT_ELEMENTS':
      return msg('landXml.hasNoElements');
    case 'ELEMENT_FAULT':
      return msg('landXml.hasAThat', { kind: fault.kind, elementFault: elementFaultWords(fault.fault) });
    case 'EQUATION_OUTSIDE':
      return msg('landXml.hasAStaequationAtWhichLiesOutside', { at: fault.at });
    case 'EQUATIONS_AT_ONE_PLACE':
      return msg('landXml.hasTwoStaequationsAt', { at: fault.at });
  }
}

const nothingTaken = worded(() => msg('landXml.nothingWasTakenPutItRightIn'));

export function landXmlFaultWords(fault: LandXmlFault): string {
  switch (fault.code) {
    case 'XML_EMPTY':
      return msg('landXml.theFileIsEmptyThereIsNo');
    case 'XML_ENCODING':
      return msg('landXml.theFileIsNotTextInThe', { encoding: fault.encoding });
    case 'XML_BROKEN':
      return msg('landXml.theXmlIsNotWellFormedAt', { line: fault.line, detail: fault.detail });
    case 'XML_DOCTYPE':
      return msg('landXml.theFileDeclaresADoctypeLineWhich', { line: fault.line });
    case 'XML_TOO_DEEP':
      return msg('landXml.atLineElementsStandInsideOneAnother', { line: fault.line, most: fault.most });
    case 'XML_TEXT_TOO_LONG':
      return msg('landXml.theTextOfTheElementAtLine', { line: fault.line });
    case 'XML_TOO_FAR':
      return msg('landXml.hasWhichLiesFartherAwayThanAny', {
        place: placeWords(fault.at),
        text: fault.text,
        nothing: nothingTaken(),
      });
    case 'XML_OTHER_ROOT':
      return msg('landXml.theFileIsXmlButItsRoot', { root: fault.root });
    case 'XML_UNITS_MISSING':
      return msg('landXml.theFileHasNoUnitsSoThat', { nothing: nothingTaken() });
    case 'XML_UNIT_UNKNOWN':
      return fault.text === ''
        ? msg('landXml.theUnitsNameNoLinearunitLineOf', { line: fault.line, nothing: nothingTaken() })
        : msg('landXml.theUnitsNameTheLinearunitLineOf', {
            text: fault.text,
            line: fault.line,
            nothing: nothingTaken(),
          });
    case 'XML_NOT_A_NUMBER':
      return msg('landXml.hasWhereANumberIsNeeded', {
        place: placeWords(fault.at),
        text: fault.text,
        nothing: nothingTaken(),
      });
    case 'XML_NUMBER_COUNT':
      return msg('landXml.hasWhereAreNeeded', {
        place: placeWords(fault.at),
        given: fault.given,
        wanted: fault.wanted,
        nothing: nothingTaken(),
      });
    case 'XML_PART_MISSING':
      return msg('landXml.hasNo', { place: placeWords(fault.at), part: fault.part, nothing: nothingTaken() });
    case 'XML_POINT_UNKNOWN':
      return msg('landXml.refersByPntrefToThePointAnd', {
        place: placeWords(fault.at),
        name: fault.name,
        nothing: nothingTaken(),
      });
    case 'XML_SPIRAL_TYPE':
      return fault.type === ''
        ? msg('landXml.hasNoSpitypeOnlyClothoidSpiralsAre', { place: placeWords(fault.at), nothing: nothingTaken() })
        : msg('landXml.hasTheSpitypeOnlySpiralsOfThe', {
            place: placeWords(fault.at),
            type: fault.type,
            nothing: nothingTaken(),
          });
    case 'XML_WORD_UNKNOWN':
      return msg('landXml.hasWhichIsNotKnownHere', {
        place: placeWords(fault.at),
        attribute: fault.attribute,
        text: fault.text,
        nothing: nothingTaken(),
      });
    case 'XML_ELEMENT':
      return `${placeWords(fault.at)} ${elementFaultWords(fault.fault)}. ${nothingTaken()}`;
    case 'XML_ALIGNMENT':
      return `${placeWords(fault.at)} ${alignmentFaultWords(fault.fault)}. ${nothingTaken()}`;
    case 'XML_PROFILE':
      return `${placeWords(fault.at)} ${profileFaultWords(fault.fault, String)}. ${nothingTaken()}`;
    case 'XML_CORNER_TWICE':
      return msg('landXml.hasTheIdWhichAnotherPointOf', {
        place: placeWords(fault.at),
        id: fault.id,
        nothing: nothingTaken(),
      });
    case 'XML_SETUP_TWICE':
      return msg('landXml.hasTheIdWhichAnotherInstrumentsetupHas', {
        place: placeWords(fault.at),
        id: fault.id,
        nothing: nothingTaken(),
      });
    case 'XML_CORNER_UNKNOWN':
      return msg('landXml.aFaceNamesThePointAndNo', {
        place: placeWords(fault.at),
        id: fault.id,
        nothing: nothingTaken(),
      });
  }
}

export function landXmlWarningWords(warning: LandXmlWarning): string {
  switch (warning.code) {
    case 'XML_GAP':
      return msg('landXml.thereIsAGapOfBetweenThe', { metres: metres(warning.size), place: placeWords(warning.at) });
    case 'XML_RADIUS_OFF':
      return msg('landXml.theRadiusAndTheCenterOfDiffer', {
        place: placeWords(warning.at),
        metres: metres(warning.size),
      });
    case 'XML_SPIRAL_OFF':
      return msg('landXml.startAndEndOfDifferByFrom', { place: placeWords(warning.at), metres: metres(warning.size) });
    case 'XML_LENGTH_OFF':
      return msg('landXml.statesAnotherLength', { place: placeWords(warning.at), metres: metres(warning.size) });
    case 'XML_STATION_OFF':
      return msg('landXml.statesAnotherStation', { place: placeWords(warning.at), metres: metres(warning.size) });
    case 'XML_UNREADABLE':
      return msg('landXml.itsAlignmentWasLeftOut', { fault: landXmlFaultWords(warning.fault) });
    case 'XML_EQUATION_BACK':
      return msg('landXml.hasAStabackThatDiffersByFrom', {
        place: placeWords(warning.at),
        metres: metres(warning.size),
      });
  }
}
