/** Sentences of the judgement of a station. Marks are named by `nameOf`, since core knows them by id. */
import {
  azimuth,
  compassWord,
  formatLength,
  type AngleUnit,
  type Explanation,
  type LengthUnit,
  type NoiseSource,
  type Obstacle,
  type Reason,
  type Step,
  type TellApart,
  type Verdict,
} from '@idle-marker/core';
import { msg, worded } from './message.ts';
import { smallAngle } from './angles.ts';
import { listOf as list } from './lists.ts';
import { aboutLength, hardlyChecked, partlyChecked, unnoticedSubject, unnoticedWords } from './reliability.ts';
import { smallLength } from './small.ts';
import { LENGTH_DECIMALS, unitAbbreviationWords } from './vocabulary.ts';

export interface Naming {
  nameOf(mark: string): string;
  readonly unit: LengthUnit;
  readonly angleUnit: AngleUnit;
}

const NUMBERS = ['no', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten'];
export const count = (n: number): string => NUMBERS[n] ?? String(n);

interface Said {
  readonly title: string;
  readonly text: string;
}

/** Which of two exchanged names comes first has no meaning: they are told in order. */
function namesOf({ code, points }: Explanation, naming: Naming): string[] {
  const names = points.map((point) => naming.nameOf(point));
  return code === 'POINTS_SWAPPED' ? names.sort() : names;
}

/** An explanation as a claim, and what it rests on. */
function explanationWords(explanation: Explanation, naming: Naming): Said {
  const { figures } = explanation;
  const [name = '', other = ''] = namesOf(explanation, naming);
  const length = (metres: number) => smallLength(metres, naming.unit);
  switch (figures.code) {
    case 'NONE':
      return { title: msg('judgement.nothingIsWrong'), text: msg('judgement.theSightsFitAsTheyAre') };
    case 'MARK_MOVED_PLAN': {
      const bearing = azimuth({ e: 0, n: 0 }, { e: figures.dE, n: figures.dN });
      return {
        title: msg('judgement.hasMoved', { name }),
        text: msg('judgement.leftOutWouldSitOfItsListed', {
          name,
          length: length(Math.hypot(figures.dE, figures.dN)),
          compassWord: compassWord(bearing),
        }),
      };
    }
    case 'MARK_MOVED_HEIGHT':
      return {
        title: msg('judgement.theHeightOfDoesNotFit', { name }),
        text: msg('judgement.itStandsThanListedAHeavedMark', {
          length: length(figures.dZ),
          dZ: figures.dZ > 0 ? 'higher' : 'lower',
        }),
      };
    case 'TARGET_HEIGHT':
      return {
        title: msg('judgement.theTargetHeightAtIsWrong', { name }),
        text: msg('judgement.itWasTakenTooARoundFigure', {
          metresOrFeet: metresOrFeet(figures.error, naming),
          error: figures.error > 0 ? 'high' : 'low',
        }),
      };
    case 'POINTS_SWAPPED':
      return {
        title: msg('judgement.andWereExchanged', { name, other }),
        text: msg('judgement.withTheTwoNamesTheOtherWay'),
      };
    case 'POINT_MISNAMED':
      return {
        title: msg('judgement.thisLooksLikeNot', { other, name }),
        text: msg('judgement.theSightNamedFitsWhereIsListed', { name, other }),
      };
    case 'PRISM_CONSTANT':
      return {
        title: msg('judgement.allDistancesAreToo', {
          length: length(figures.constant),
          constant: figures.constant > 0 ? 'short' : 'long',
        }),
        text: msg('judgement.theSameAtEveryMarkNearOr'),
      };
    case 'LENGTH_UNIT':
      return figures.factor < 1
        ? {
            title: msg('judgement.distancesInFeetWereTakenForMetres'),
            text: msg('judgement.multipliedBy03048EverythingFits'),
          }
        : {
            title: msg('judgement.distancesInMetresWereTakenForFeet'),
            text: msg('judgement.dividedBy03048EverythingFits'),
          };
    case 'SCALE':
      return {
        title: msg('judgement.distancesArePpmToo', {
          ratio: Math.round(Math.abs(figures.ratio) * 1e6),
          ratio2: figures.ratio > 0 ? 'short' : 'long',
        }),
        text: msg('judgement.theMisfitGrowsWithDistanceAndTurns'),
      };
    case 'DIRECTION_READING':
      return {
        title: msg('judgement.theDirectionToWasMisread', { name }),
        text: msg('judgement.itIsOffByItsDistanceFits', {
          smallAngle: smallAngle(figures.circleError, naming.angleUnit),
        }),
      };
  }
}

const metresOrFeet = (metres: number, naming: Naming): string =>
  `${formatLength(Math.abs(metres), naming.unit, LENGTH_DECIMALS)} ${unitAbbreviationWords()[naming.unit]}`;

/** What would tell two explanations apart. */
function apartWords(apart: TellApart, naming: Naming): string {
  switch (apart.by) {
    case 'SIGHT_AGAIN':
      return msg('judgement.sightedAgainASlipAtWouldNot', { name: naming.nameOf(apart.name) });
    case 'CHECK_TARGET':
      return msg('judgement.lookAtThePoleIsTheTarget', { name: naming.nameOf(apart.name) });
    case 'OTHER_DISTANCE':
      return msg('judgement.aMarkAtAVeryDifferentDistance');
    case 'ANOTHER_MARK':
      return msg('judgement.anotherMarkBestInADirectionThat');
  }
}

/** Where to look first when everything is noisy. */
const noiseSourceWords = worded((): Readonly<Record<NoiseSource, string>> => ({
  POLE: msg('judgement.theyAreWorstAtTheNearMarks'),
  AIR: msg('judgement.theyAreWorstAtTheFarMarks'),
  DISTANCE: msg('judgement.theyAreWorstInTheDistancesLook'),
  ANY: msg('judgement.lookAtThePoleFirstByHand'),
}));

/** Title and explanation of one finding. */
export function reasonWords(reason: Reason, naming: Naming): Said {
  const length = (metres: number) => smallLength(metres, naming.unit);
  switch (reason.code) {
    case 'TWO_MARKS': {
      const names = list(reason.names.map((name) => naming.nameOf(name)));
      return {
        title: msg('judgement.solvableButUnchecked'),
        text: msg('judgement.onlyTheDistanceBetweenIsComparedIf', { names }),
      };
    }
    case 'FEW_PLACES': {
      const posts = reason.places
        .filter((names) => names.length > 1)
        .map((names) => list(names.map((name) => naming.nameOf(name))));
      return {
        title: msg('judgement.solvableButUnchecked'),
        text: msg('judgement.standOnOnePostThatIsOne', {
          list: list(posts),
          places:
            reason.places.length === 2
              ? msg('judgement.twoPlacesDetermineAStationAndCheck')
              : msg('judgement.onePlaceDeterminesNoStation'),
        }),
      };
    }
    case 'HARDLY_CHECKED':
      return { title: hardlyChecked(reason.of, naming), text: unnoticedWords(reason.of, naming) };
    case 'PARTLY_HIDDEN':
      return {
        title: partlyChecked(reason.of, naming),
        text: msg('judgement.thatIsMoreThanTheAskedProve', {
          unnoticed: unnoticedWords(reason.of, naming),
          length: length(reason.allowed),
        }),
      };
    case 'TOO_COARSE':
      return {
        title: msg('judgement.notKnownWellEnough'),
        text: msg('judgement.thisStationIsGoodTo95Which', { length: length(reason.radius95) }),
      };
    case 'FITS':
      return {
        title: msg('judgement.marksAgree', { capital: capital(count(reason.marks)) }),
        text: msg('judgement.theLargestDifferenceIs', { length: length(reason.largest) }),
      };
    case 'EXPLAINED': {
      const { explanation } = reason;
      const { title: claim, text } = explanationWords(explanation, naming);
      // A mark that stands against the others is not yet a mark that has moved: the pole may have leant.
      const against = explanation.code === 'MARK_MOVED_PLAN' && reason.others > 0;
      const title = against
        ? msg('judgement.doesNotFitTheOther', {
            name: naming.nameOf(explanation.points[0]!),
            count: count(reason.others),
          })
        : claim;
      const moved = explanation.code === 'MARK_MOVED_PLAN' || explanation.code === 'MARK_MOVED_HEIGHT';
      const rest =
        reason.othersWithin === null || !moved
          ? ''
          : msg('judgement.theRestAgreeWithin', { length: length(reason.othersWithin) });
      return {
        title,
        text: msg('judgement.thatExplainsOfTheMisfit', { rest, text, share: Math.round(reason.share * 100) }),
      };
    }
    case 'CANNOT_TELL': {
      const first = explanationWords(reason.first, naming);
      const second = reason.second && explanationWords(reason.second, naming);
      return {
        title: msg('judgement.somethingDoesNotFitButItCant'),
        text: msg('judgement.mostLikely', {
          lower: lower(first.title),
          second: second ? msg('judgement.or', { lower: lower(second.title) }) : '',
          apart: apartWords(reason.apart, naming),
        }),
      };
    }
    case 'NOISIER_THAN_STATED':
      return {
        title: msg('judgement.noisierThanTheInstrumentShouldBe'),
        text: msg('judgement.theMisfitsAreTimesWhatInstrumentPole', {
          s0: reason.s0.toFixed(1),
          noiseWords: noiseSourceWords()[reason.look],
        }),
      };
    case 'HEIGHT_GROWS':
      return {
        title: msg('judgement.theHeightMisfitGrowsWithDistance'),
        text: msg('judgement.byIn100MAMarkThat', { length: length(reason.perMetre * 100) }),
      };
    case 'SIGHTED_OFTEN':
      return {
        title: msg('judgement.wasSightedTimes', { name: naming.nameOf(reason.name), count: count(reason.times) }),
        text: msg('judgement.allOfThemCountTogetherAsTheir'),
      };
    case 'NO_HEIGHT':
      return reason.why === 'NOT_USED'
        ? { title: msg('judgement.planOnly'), text: msg('judgement.theseMarksHaveHeightsAndNoneIs') }
        : {
            title: msg('judgement.noHeightYet'),
            text:
              reason.why === 'METHOD'
                ? msg('judgement.pointsOnLinesGiveNoneNothingSet')
                : msg('judgement.noneOfTheseMarksGivesAHeight'),
          };
    case 'OVER_ONE_BACKSIGHT':
      return {
        title: msg('judgement.oneBacksightHardlyChecked'),
        text: msg('judgement.thatTheInstrumentStandsOverIsTaken', {
          name: naming.nameOf(reason.station),
          name2: naming.nameOf(reason.name),
          distanceOff:
            reason.distanceOff === null
              ? msg('judgement.nothingIsTested')
              : msg('judgement.oneDistanceIsAllThatIsTested', {
                  length: length(reason.distanceOff),
                  distanceOff: reason.distanceOff >= 0 ? 'longer' : 'shorter',
                }),
        }),
      };
    case 'OVER_SEVERAL_BACKSIGHTS':
      return {
        title: msg('judgement.backsightsFrom', {
          capital: capital(count(reason.marks)),
          name: naming.nameOf(reason.station),
        }),
        text: msg('judgement.theyCheckEachOthersDirectionsAPoor'),
      };
    case 'BACKSIGHT_OFF':
      return {
        title: msg('judgement.theDistanceToDoesNotFit', { name: naming.nameOf(reason.name) }),
        text: msg('judgement.measuredThanListedEitherEndMayBe', {
          distanceOff:
            reason.distanceOff === null
              ? ''
              : `${length(reason.distanceOff)} ${reason.distanceOff >= 0 ? 'longer' : 'shorter'} `,
        }),
      };
    case 'BACKSIGHTS_DISAGREE':
      return {
        title: msg('judgement.theBacksightsDoNotAgreeInDirection'),
        text: msg('judgement.timesWhatTheyShouldOneOfThe', { s0: reason.s0.toFixed(1) }),
      };
    case 'BACKSIGHT_HEIGHT_OFF':
      return {
        title: msg('judgement.theHeightOfDoesNotFit', { name: naming.nameOf(reason.name) }),
        text: msg('judgement.measuredItsListedHeightItsTargetHeight', {
          length: length(reason.dZ),
          dZ: reason.dZ >= 0 ? 'above' : 'below',
        }),
      };
    case 'OCCUPIED_HEIGHT_OFF': {
      const { benchmarks, isUsed } = reason;
      const names = list(benchmarks.map((name) => naming.nameOf(name)));
      const station = naming.nameOf(reason.station);
      return {
        title: msg('judgement.theHeightOfDoesNotFit2', { station }),
        text: msg('judgement.agreeWithEachOtherAndByThem', {
          names,
          station,
          length: length(reason.dZ),
          dZ: reason.dZ >= 0 ? 'higher' : 'lower',
          isUsed: isUsed
            ? msg('judgement.everythingSetFromHereWouldBeOff')
            : msg('judgement.theStationsHeightComesFromThe'),
        }),
      };
    }
    case 'HEIGHTS_DISAGREE': {
      const names = list(reason.names.map((name) => naming.nameOf(name)));
      return {
        title: msg('judgement.theHeightsOfDisagree', { names }),
        text: msg('judgement.byUpToFromTheirMeanAnd', {
          length: length(reason.largest),
          names:
            reason.names.length === 2 ? msg('judgement.aThirdHeightWouldTell') : msg('judgement.sightAnotherBenchmark'),
        }),
      };
    }
    case 'HEIGHTS_AGREE': {
      const names = list(reason.benchmarks.map((name) => naming.nameOf(name)));
      const station = naming.nameOf(reason.station);
      const from = { mark: station, benchmarks: names, both: msg('judgement.andTogether', { names, station }) }[
        reason.from
      ];
      return {
        title: msg('judgement.theHeightsAgree'),
        text: msg('judgement.theStationsHeightComesFromByStands', {
          from,
          names,
          station,
          length: length(reason.dZ),
          dZ: reason.dZ >= 0 ? 'above' : 'below',
        }),
      };
    }
    case 'NO_INSTRUMENT_HEIGHT':
      return {
        title: msg('judgement.theInstrumentHeightIsZero'),
        text: msg('judgement.overAMarkEveryHeightIsWrong'),
      };
    case 'ASSUMED_DIRECTION':
      return {
        title: msg('judgement.theDirectionIsAssumed'),
        text: msg('judgement.itWasTypedNotMeasuredFromEverything', { name: naming.nameOf(reason.station) }),
      };
    case 'TYPED_DIRECTION_OFF': {
      const name = naming.nameOf(reason.name);
      return {
        title: msg('judgement.theTypedDirectionDoesNotFit', { name }),
        text: msg('judgement.byWhereIsListedItLiesTo', {
          name,
          length: length(reason.across),
          across: reason.across >= 0 ? 'right' : 'left',
          smallAngle: smallAngle(reason.angle, naming.angleUnit),
          isUsed: reason.isUsed
            ? msg('judgement.everythingSetFromHereWouldBeTurned')
            : msg('judgement.theDirectionIsTakenFromTheSights'),
        }),
      };
    }
    case 'TYPED_DIRECTION_FITS':
      return {
        title: msg('judgement.theTypedDirectionOut', {
          list: list(reason.names.map((name) => naming.nameOf(name))),
          names: reason.names.length,
        }),
        text: msg('judgement.withinAcrossTheLineOfSight', { length: length(reason.largest) }),
      };
    case 'CARRIED_FORWARD': {
      const { from, distanceOff, heightOff } = reason;
      const compared = [
        ...(distanceOff === null ? [] : [`${length(distanceOff)} ${distanceOff >= 0 ? 'longer' : 'shorter'}`]),
        ...(heightOff === null ? [] : [`${length(heightOff)} ${heightOff >= 0 ? 'higher' : 'lower'}`]),
      ];
      return {
        title: msg('judgement.carriedForwardFrom', { from }),
        text: msg('judgement.itsUncertaintyAndThatOfTheNew', {
          compared:
            compared.length === 0
              ? msg('judgement.nothingIsTestedByTheLookBack')
              : msg('judgement.theLookBackIsThanTheLook', { list: list(compared) }),
          from,
        }),
      };
    }
    case 'ON_LINES':
      return reason.surplus === 0
        ? {
            title: msg('judgement.solvableNotCheckable'),
            text: msg('judgement.eachSightToALineGivesOne'),
          }
        : {
            title: msg('judgement.pointsOnLines'),
            text: msg('judgement.theOthersTheLargestDistanceOffA', {
              capital: capital(count(reason.surplus)),
              surplus: reason.surplus,
              length: length(reason.largest),
            }),
          };
    case 'LINE_OFF':
      return {
        title: msg('judgement.aSightToDoesNotFit', { name: reason.name }),
        text: msg('judgement.itLiesBesideTheLineWasThe', { length: length(Math.abs(reason.off)) }),
      };
    case 'HEIGHT_HARDLY_CHECKED':
      return {
        title: msg('judgement.theHeightOfIsHardlyChecked', {
          list: list(reason.names.map((name) => naming.nameOf(name))),
        }),
        text: msg('judgement.upToOfAMistakeInIt', {
          aboutLength: aboutLength(reason.noticed, naming.unit),
          aboutLength2: aboutLength(reason.effect, naming.unit),
        }),
      };
    case 'HEIGHT_UNCHECKED':
      return {
        title: msg('judgement.oneMarkGivesTheHeight'),
        text: msg('judgement.everythingHangsOnTheHeightOfA', { name: naming.nameOf(reason.name) }),
      };
  }
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
/** A claim inside a sentence; names of marks keep their letters. */
const lower = (text: string): string =>
  text.replace(/^(The|All|This|Distances|Nothing)\b/, (word) => word.toLowerCase());

/** What to do next, in the order of action. */
export function stepWords(step: Step, naming: Naming): string {
  const name = 'name' in step && step.name !== null ? naming.nameOf(step.name) : '';
  switch (step.code) {
    case 'CHECK_NAME':
      return step.other === null
        ? msg('judgement.isItAtAllReadItsLabel', { name })
        : msg('judgement.readTheLabelsOr', { name, name2: naming.nameOf(step.other) });
    case 'CHECK_TARGET':
      return msg('judgement.isTheTargetAtAndItsHeight', { name });
    case 'CHECK_PRISM':
      return msg('judgement.setTheTargetThatIsReallyOn');
    case 'CHECK_UNIT':
      return msg('judgement.setTheUnitInWhichTheDistances');
    case 'CHECK_SCALE':
      return msg('judgement.askWhetherTheCoordinatesAreGridOr');
    case 'LEVEL_POLE':
      return msg('judgement.holdThePolePlumbOnPrismLow', { name });
    case 'SIGHT_AGAIN':
      return msg('judgement.sightAgain', { name });
    case 'LEAVE_OUT_PLAN':
      return msg('judgement.leaveOutOfPlanAndTellWhoever', {
        repeated: step.repeated ? msg('judgement.itRepeats') : msg('judgement.ifItRepeats'),
        name,
      });
    case 'LEAVE_OUT_HEIGHT':
      return msg('judgement.leaveOutOfHeightAndTellWhoever', {
        repeated: step.repeated ? msg('judgement.itRepeats') : msg('judgement.ifItRepeats'),
        name,
      });
    case 'OTHER_CONTROL':
      return msg('judgement.withoutItTooFewMarksWouldBe');
    case 'SIGHT_ANOTHER': {
      if (step.azimuth === null) return msg('judgement.sightAnotherMarkBestInADirection');
      const brings =
        step.effect === null
          ? ''
          : msg('judgement.wouldBringWhatCouldGoUnseenTo', { aboutLength: aboutLength(step.effect, naming.unit) });
      const to = msg('judgement.sightAnotherMarkBestToThe', { compassWord: compassWord(step.azimuth) });
      return step.name === null
        ? msg('judgement.noneIsListedThere', { to, brings: brings && msg('judgement.aNewOne', { brings }) })
        : `${to}: ${name}${brings}.`;
    }
    case 'PROVE_ON':
      return step.name === null
        ? msg('judgement.noListedMarkWouldCheckThisStation')
        : msg('judgement.oneMoreMarkWouldNotCheckThis', { name });
    case 'CHECK_INSTRUMENT_HEIGHT':
      return msg('judgement.measureTheInstrumentsHeightOverTheMark');
    case 'HEIGHT_FROM_BENCHMARKS':
      return msg('judgement.ifItIsRightTakeTheHeight');
    case 'LEVEL_INSTRUMENT':
      return msg('judgement.lookAtTheLevelAndTheCompensator');
    case 'ACCEPT':
      return msg('judgement.nothingStandsAgainstGoingOn');
  }
}

export const VERDICT_TONE: Readonly<Record<Verdict, 'good' | 'ochre' | 'brick'>> = {
  checked: 'good',
  unchecked: 'ochre',
  refused: 'brick',
};

/** Why a station does not meet the terms of a class. */
export function obstacleWords(obstacle: Obstacle, naming: Naming): string {
  const length = (metres: number) => smallLength(metres, naming.unit);
  switch (obstacle.code) {
    case 'TOO_FEW_MARKS':
      return msg('judgement.withMarksUsedTheClassAsksFor', { used: obstacle.used, needed: obstacle.needed });
    case 'HARDLY_CHECKED': {
      const { of } = obstacle;
      if (!of) return msg('judgement.nothingChecksIt');
      const size =
        of.effect === null
          ? msg('judgement.byAnyAmount')
          : msg('judgement.andPutOff', {
              at: of.at === 'work' ? msg('judgement.whatIsSetFromHereUpTo') : 'it',
              aboutLength: aboutLength(of.effect, naming.unit),
            });
      return msg('judgement.couldBeWrongUnseenUpToMay', {
        unnoticedSubject: unnoticedSubject(of, naming),
        size,
        length: length(obstacle.allowed),
      });
    }
    case 'HEIGHT_HARDLY_CHECKED':
      return msg('judgement.theHeightOfCouldBeWrongUnseen', {
        list: list(obstacle.names.map((name) => naming.nameOf(name))),
        aboutLength: aboutLength(obstacle.effect, naming.unit),
        length: length(obstacle.allowed),
      });
    case 'PLAN_IMPRECISE':
      return msg('judgement.goodToInPlan95TheClass', {
        length: length(obstacle.radius95),
        length2: length(obstacle.allowed),
      });
    case 'PLAN_UNBOUNDED':
      return msg('judgement.somethingDoesNotFitAndItCant');
    case 'HEIGHT_IMPRECISE':
      return msg('judgement.goodToInHeight95TheClass', {
        length: length(obstacle.interval95),
        length2: length(obstacle.allowed),
      });
    case 'NO_HEIGHT':
      return msg('judgement.itHasNoHeight');
    case 'PLAN_MISFIT':
      return msg('judgement.theSightsDisagreeInPlanTimesWhat', { s0: obstacle.s0.toFixed(1) });
    case 'HEIGHT_MISFIT':
      return msg('judgement.theHeightsDisagreeTimesWhatTheyShould', { s0: obstacle.s0.toFixed(1) });
    case 'MISFIT':
      return msg('judgement.theSightsDisagreeTimesWhatTheyShould', { s0: obstacle.s0.toFixed(1) });
    case 'FAULT':
      return lower(explanationWords(obstacle.explanation, naming).title);
    case 'CANNOT_TELL': {
      const { first, second } = obstacle;
      return msg('judgement.somethingDoesNotFitAndItCant2', {
        lower: lower(explanationWords(first, naming).title),
        second: second ? msg('judgement.or2', { lower: lower(explanationWords(second, naming).title) }) : '',
      });
    }
    case 'LINE_MISFIT':
      return msg('judgement.aSightToLiesBesideTheLine', {
        name: obstacle.name,
        length: length(Math.abs(obstacle.off)),
      });
    case 'MARK_MISFIT':
      return msg('judgement.isOffInPlan', {
        name: naming.nameOf(obstacle.name),
        length: length(obstacle.distance),
        isUsed: obstacle.isUsed ? msg('judgement.andStillUsed') : '',
      });
    case 'MARK_HEIGHT_MISFIT':
      return msg('judgement.isOffInHeightAndStillUsed', {
        name: naming.nameOf(obstacle.name),
        length: length(obstacle.dZ),
      });
    case 'OCCUPIED_HEIGHT_MISFIT':
      return msg('judgement.byTheBenchmarksStandsThanListedAnd', {
        name: naming.nameOf(obstacle.name),
        length: length(obstacle.dZ),
        dZ: obstacle.dZ >= 0 ? 'higher' : 'lower',
      });
    case 'HEIGHTS_DISAGREE':
      return msg('judgement.theHeightsOfDisagreeByUpTo', {
        list: list(obstacle.names.map((name) => naming.nameOf(name))),
        length: length(obstacle.largest),
      });
    case 'MARK_UNPROVEN':
      return msg('judgement.isOfOurOwnMakingAndNo', { name: naming.nameOf(obstacle.name) });
  }
}

/** What the button says that puts a faulty entry right. */
export function restateButton(explanation: Explanation, naming: Naming): string {
  const { figures } = explanation;
  const [name = '', other = ''] = namesOf(explanation, naming);
  switch (figures.code) {
    case 'POINT_MISNAMED':
      return msg('judgement.itWas', { other });
    case 'POINTS_SWAPPED':
      return msg('judgement.exchangeAnd', { name, other });
    case 'PRISM_CONSTANT':
      return msg('judgement.correctAllDistancesBy', { smallLength: smallLength(figures.constant, naming.unit) });
    case 'TARGET_HEIGHT':
      return msg('judgement.correctTheTargetHeightAt', { name });
    case 'LENGTH_UNIT':
      return figures.factor < 1 ? msg('judgement.theyWereReadInFeet') : msg('judgement.theyWereReadInMetres');
    default:
      return '';
  }
}

/** Why a sight was taken back and entered anew. */
export function restatedReason(explanation: Explanation, naming: Naming): string {
  return msg('judgement.enteredAnewWithWhatFits', { title: explanationWords(explanation, naming).title });
}
