import { msg, worded } from './message.ts';
/** Cautions where they matter, and what is noted when they were seen to. */
type Care =
  | 'services'
  | 'traffic'
  | 'machine'
  | 'edge'
  | 'overhead'
  | 'keepOut'
  | 'laser'
  | 'unattended'
  | 'adjustment'
  | 'cleaning'
  | 'battery'
  | 'transport'
  | 'wear';

/** As the book says it. */
export const careWords = worded((): Readonly<Record<Care, string>> => ({
  services: msg('care.buriedServicesLocated'),
  traffic: msg('care.laneClosedOrWatched'),
  machine: msg('care.stopAgreedWithTheDriver'),
  edge: msg('care.edgeGuarded'),
  overhead: msg('care.overheadLineHeightAgreedPoleKeptLow'),
  keepOut: msg('care.entryAgreed'),
  laser: msg('care.laserEverybodyToldNobodyInTheLine'),
  unattended: msg('care.instrumentTapedOffInSightOfSomebody'),
  adjustment: msg('care.adjustedOrTested'),
  cleaning: msg('care.cleaned'),
  battery: msg('care.batteriesCharged'),
  transport: msg('care.packedAndCarried'),
  wear: msg('care.wearOrDamageFound'),
}));

/** What is looked after on the equipment. */
export const CARE_OF_EQUIPMENT = [
  'adjustment',
  'cleaning',
  'battery',
  'transport',
  'wear',
] as const satisfies readonly Care[];

export interface CautionSaid {
  readonly title: string;
  readonly text: string;
  /** What the person says by pressing it: never a bare OK. */
  readonly answer: string;
}

/** Each caution in a word or two, for the line of what is due. */
export const cautionShort = worded((): Readonly<Record<Parameters<typeof cautionWords>[0], string>> => ({
  services: msg('care.shortServices'),
  traffic: msg('care.shortTraffic'),
  machine: msg('care.shortMachine'),
  edge: msg('care.shortEdge'),
  overhead: msg('care.shortOverhead'),
  keepOut: msg('care.shortKeepOut'),
  laser: msg('care.shortLaser'),
  unattended: msg('care.shortUnattended'),
}));

/** @param area name of the ground that it is about; null when it is the package as a whole */
export function cautionWords(
  code: 'services' | 'traffic' | 'machine' | 'edge' | 'overhead' | 'keepOut' | 'laser' | 'unattended',
  area: string | null,
  who: 'mark' | 'instrument',
): CautionSaid {
  const where = area ?? 'here';
  const stands = who === 'instrument' ? msg('care.theInstrumentStands') : msg('care.thisMarkIs');
  switch (code) {
    case 'services':
      return {
        title: msg('care.beforeDrivingBuriedServices'),
        text: msg('care.stakesGoIntoTheGroundHaveLines', {
          area: area === null ? '' : msg('care.andRunsNear', { area }),
        }),
        answer: msg('care.theyAreLocated'),
      };
    case 'traffic':
      return {
        title: msg('care.inALane', { stands }),
        text: msg('care.carriesTrafficCloseItOrSomebodyWatches', { where }),
        answer: msg('care.closedOrSomebodyWatches'),
      };
    case 'machine':
      return {
        title: msg('care.whereAMachineWorks', { stands }),
        text: msg('care.agreeWithTheDriverThatItStops', { where }),
        answer: msg('care.theDriverStops'),
      };
    case 'edge':
      return {
        title: msg('care.atAnOpenEdge', { stands }),
        text: msg('care.neverStepBackwardsHereLetTheFigures', { where }),
        answer: msg('care.guardedOrTiedOn'),
      };
    case 'overhead':
      return {
        title: msg('care.underAnOverheadLine', { stands }),
        text: msg('care.aRaisedMetalPoleConductsKeepIt', { where }),
        answer: msg('care.theHeightIsAgreed'),
      };
    case 'laser':
      return {
        title: msg('care.theLaserIsOn'),
        text: msg('care.bareSurfacesAreMeasuredWithABeam'),
        answer: msg('care.toldAndNobodyIsInTheLine'),
      };
    case 'unattended':
      return {
        title: msg('care.theInstrumentWillStandAlone'),
        text: msg('care.thisMarkIsFarFromItTape'),
        answer: msg('care.itIsGuarded'),
      };
    case 'keepOut':
      return {
        title: msg('care.onGroundThatIsKeptFree', { stands }),
        text: msg('care.askBeforeYouGoThere', { where }),
        answer: msg('care.entryIsAgreed'),
      };
  }
}

/** What is known by heart and forgotten by evening, by occasion. */
export const careList = worded((): readonly { readonly title: string; readonly lines: readonly string[] }[] => [
  {
    title: msg('care.soThatItDoesNotFall'),
    lines: [
      msg('care.aHandStaysOnTheInstrumentUntil'),
      msg('care.legsSpreadAndStampedInOnA'),
      msg('care.neverOnTheEdgeOfAPlate'),
    ],
  },
  {
    title: msg('care.whenItIsLeftAlone'),
    lines: [msg('care.tapeOrAFrameRoundItIn'), msg('care.lostLockOrLevelIsToldHere')],
  },
  {
    title: msg('care.trafficAndMachines'),
    lines: [msg('care.knowTheLaneYouStandInBefore'), msg('care.agreeOnAStopWithTheDriver')],
  },
  {
    title: msg('care.laserAndSun'),
    lines: [msg('care.thePointerAtGroundHeightToldBefore'), msg('care.neverTheTelescopeIntoTheSun')],
  },
  {
    title: msg('care.hammering'),
    lines: [
      msg('care.servicesLocatedFirstStakesInOneHand'),
      msg('care.ribbonsTiedAndStakesSharpened'),
      msg('care.theTapeIsHeldLevelAlongA'),
    ],
  },
  {
    title: msg('care.inPublic'),
    lines: [msg('care.fewNailsAndLittlePaintOnPavements'), msg('care.nothingThatIsDrivenSticksOutWhere')],
  },
  {
    title: msg('care.theInstrumentItself'),
    lines: [
      msg('care.caseShutInDustAndRainCap'),
      msg('care.wetOutOfTheCaseOvernightBatteries'),
      msg('care.farOutAReserveOfBatteryAnd'),
    ],
  },
]);

/** What a sheet says of a caution that nobody answered. */
const openSubject = worded(
  (): Readonly<Record<Parameters<typeof cautionWords>[0] | 'independent' | 'setTwice', string>> => ({
    services: msg('care.nobodySaidThatBuriedServicesWere'),
    traffic: msg('care.nobodySaidWhatWasDoneAboutTraffic'),
    machine: msg('care.nobodySaidThatTheMachineThereWas'),
    edge: msg('care.nobodySaidHowTheOpenEdgeThere'),
    overhead: msg('care.nobodySaidWhatWasAgreedAboutThe'),
    keepOut: msg('care.nobodySaidThatEnteringThereWasAllowed'),
    laser: msg('care.nobodySaidWhoWasToldAboutThe'),
    unattended: msg('care.nobodySaidWhoWatchedTheInstrument'),
    setTwice: msg('care.theyWereSetTwiceAndNobodyHas'),
    independent: msg('care.nothingButTheStationThatSetThem'),
  }),
);
export const openCautionWords = ({
  code,
  marks,
}: {
  readonly code: keyof ReturnType<typeof openSubject>;
  readonly marks: readonly string[];
}): string => `${openSubject()[code]}: ${marks.join(', ')}.`;
