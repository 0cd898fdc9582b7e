/** Why a LandXML file is not read, and what of one that was read should be asked about. */
import { formatLength, type AlignmentError, type ElementFault, type Metres, type ProfileError } from '@idle-marker/core';
import type { LandXmlFault, LandXmlWarning, XmlPlace } from '@idle-marker/formats';

/** “Line 2 of Alignment “Landing Road” (line 41 of the file)”. */
function placeWords({ element, number, owner, line }: XmlPlace): string {
  return `${element}${number === null ? '' : ` ${number}`}${owner === null ? '' : ` of ${owner}`} (line ${line} of the file)`;
}

const metres = (length: Metres): string => `${formatLength(length, 'metre', 3)} m`;

export function elementFaultWords(fault: ElementFault): string {
  switch (fault.code) {
    case 'ELEMENT_WITHOUT_LENGTH':
      return 'has no length: its length is 0, or its Start and End are one place';
    case 'SPIRAL_STRAIGHT_AT_BOTH_ENDS':
      return 'is a spiral with both radii INF: one radius, radiusStart or radiusEnd, has to say how sharp it becomes';
    case 'RADIUS_NOT_POSITIVE':
      return 'has a radius that is not over 0';
    case 'ELEMENT_TOO_LONG':
      return 'goes farther than any line of a site: a coordinate in it is a slip, or of another system';
    case 'ELEMENT_WINDS':
      return `turns round ${fault.turns.toFixed(0)} times: its radius is too small for its length`;
    case 'SPIRAL_DOES_NOT_REACH':
      return 'is a spiral whose Start and End do not fit its length and radii';
  }
}

export function profileFaultWords(fault: ProfileError, station: (value: Metres) => string): string {
  switch (fault.code) {
    case 'PROFILE_TOO_SHORT':
      return `has ${fault.points} grade points (PVI): a profile needs at least two`;
    case 'PROFILE_NOT_RISING':
      return `has station ${station(fault.station)} after ${station(fault.before)}: the stations of a profile must be strictly increasing`;
    case 'PROFILE_CURVE_AT_END':
      return `begins or ends with a vertical curve at station ${station(fault.station)}: there a plain PVI is needed`;
    case 'PROFILE_CURVE_WITHOUT_SIZE':
      return `has a vertical curve without a length or radius over 0 at station ${station(fault.station)}`;
    case 'PROFILE_CURVES_OVERLAP':
      return `has vertical curves that overlap between station ${station(fault.station)} and ${station(fault.next)}: shorten one of them`;
  }
}

function alignmentFaultWords(fault: AlignmentError): string {
  switch (fault.code) {
    case 'ALIGNMENT_WITHOUT_ELEMENTS':
      return 'has no elements';
    case 'ELEMENT_FAULT':
      return `has a ${fault.kind} that ${elementFaultWords(fault.fault)}`;
    case 'EQUATION_OUTSIDE':
      return `has a StaEquation at ${fault.at}, which lies outside of it`;
    case 'EQUATIONS_AT_ONE_PLACE':
      return `has two StaEquations at ${fault.at}`;
  }
}

const NOTHING = 'Nothing was taken; put it right in the program that wrote it.';

export function landXmlFaultWords(fault: LandXmlFault): string {
  switch (fault.code) {
    case 'XML_EMPTY':
      return 'The file is empty: there is no LandXML in it.';
    case 'XML_ENCODING':
      return `The file is not text in ${fault.encoding}, the encoding that it names. Save it as UTF-8; nothing was taken.`;
    case 'XML_BROKEN':
      return `The XML is not well-formed at line ${fault.line}: ${fault.detail}. It may have been cut off on its way; get it again. Nothing was taken.`;
    case 'XML_DOCTYPE':
      return `The file declares a DOCTYPE (line ${fault.line}), which may hold an entity of any size: such files are not read. Nothing was expanded or fetched.`;
    case 'XML_TOO_DEEP':
      return `At line ${fault.line} elements stand inside one another more than ${fault.most} deep: no drawing does that. Nothing was taken.`;
    case 'XML_TEXT_TOO_LONG':
      return `The text of the element at line ${fault.line} is longer than any list of places. Nothing was taken.`;
    case 'XML_TOO_FAR':
      return `${placeWords(fault.at)} has ${fault.text}, which lies farther away than any site. ${NOTHING}`;
    case 'XML_OTHER_ROOT':
      return `The file is XML, but its root is “${fault.root}” instead of LandXML.`;
    case 'XML_UNITS_MISSING':
      return `The file has no Units, so that nobody knows whether its linearUnit is metres or feet. ${NOTHING}`;
    case 'XML_UNIT_UNKNOWN':
      return fault.text === ''
        ? `The Units name no linearUnit (line ${fault.line} of the file). ${NOTHING}`
        : `The Units name the linearUnit “${fault.text}” (line ${fault.line} of the file), which is not known here. ${NOTHING}`;
    case 'XML_NOT_A_NUMBER':
      return `${placeWords(fault.at)} has “${fault.text}” where a number is needed. ${NOTHING}`;
    case 'XML_NUMBER_COUNT':
      return `${placeWords(fault.at)} has ${fault.given} ${fault.given === 1 ? 'number' : 'numbers'} where ${fault.wanted} are needed. ${NOTHING}`;
    case 'XML_PART_MISSING':
      return `${placeWords(fault.at)} has no ${fault.part}. ${NOTHING}`;
    case 'XML_POINT_UNKNOWN':
      return `${placeWords(fault.at)} refers by pntRef to the point “${fault.name}”, and no CgPoint of the file has that name. ${NOTHING}`;
    case 'XML_SPIRAL_TYPE':
      return fault.type === ''
        ? `${placeWords(fault.at)} has no spiType; only clothoid spirals are read. ${NOTHING}`
        : `${placeWords(fault.at)} has the spiType “${fault.type}”: only spirals of the type clothoid are read. ${NOTHING}`;
    case 'XML_WORD_UNKNOWN':
      return `${placeWords(fault.at)} has ${fault.attribute} “${fault.text}”, which is not known here. ${NOTHING}`;
    case 'XML_ELEMENT':
      return `${placeWords(fault.at)} ${elementFaultWords(fault.fault)}. ${NOTHING}`;
    case 'XML_ALIGNMENT':
      return `${placeWords(fault.at)} ${alignmentFaultWords(fault.fault)}. ${NOTHING}`;
    case 'XML_PROFILE':
      return `${placeWords(fault.at)} ${profileFaultWords(fault.fault, String)}. ${NOTHING}`;
    case 'XML_CORNER_TWICE':
      return `${placeWords(fault.at)} has the id ${fault.id}, which another point of the surface has already: ids must not be used twice. ${NOTHING}`;
    case 'XML_SETUP_TWICE':
      return `${placeWords(fault.at)} has the id ${fault.id}, which another InstrumentSetup has already: ids must not be used twice. ${NOTHING}`;
    case 'XML_CORNER_UNKNOWN':
      return `${placeWords(fault.at)}, a face, names the point ${fault.id}, and no P of the surface has that id. ${NOTHING}`;
  }
}

export function landXmlWarningWords(warning: LandXmlWarning): string {
  switch (warning.code) {
    case 'XML_GAP':
      return `There is a gap of ${metres(warning.size)} between the end of the element before and the start of ${placeWords(warning.at)}. The stations go on without it; ask who drew it.`;
    case 'XML_RADIUS_OFF':
      return `The radius and the Center of ${placeWords(warning.at)} differ by ${metres(warning.size)}. The arc is taken through Start and End; ask who drew it.`;
    case 'XML_SPIRAL_OFF':
      return `Start and End of ${placeWords(warning.at)} differ by ${metres(warning.size)} from its length and radii. It is fitted between Start and End; ask who drew it.`;
    case 'XML_EQUATION_BACK':
      return `${placeWords(warning.at)} has a staBack that differs by ${metres(warning.size)} from the station that the line has there. staInternal is taken.`;
  }
}
