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
import { smallAngle } from './angles.ts';
import { listOf as list } from './lists.ts';
import { aboutLength, hardlyChecked, partlyChecked, unnoticedSubject, unnoticedWords } from './reliability.ts';
import { smallLength } from './small.ts';
import { LENGTH_DECIMALS, UNIT_ABBREVIATION } from './vocabulary.ts';

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
      return { title: 'Nothing is wrong', text: 'The sights fit as they are.' };
    case 'MARK_MOVED_PLAN': {
      const bearing = azimuth({ e: 0, n: 0 }, { e: figures.dE, n: figures.dN });
      return {
        title: `${name} has moved`,
        text: `Left out, ${name} would sit ${length(Math.hypot(figures.dE, figures.dN))} ${compassWord(bearing)} of its listed place.`,
      };
    }
    case 'MARK_MOVED_HEIGHT':
      return {
        title: `The height of ${name} does not fit`,
        text: `It stands ${length(figures.dZ)} ${figures.dZ > 0 ? 'higher' : 'lower'} than listed. A heaved mark shifts the station’s height by its share; it tilts nothing.`,
      };
    case 'TARGET_HEIGHT':
      return {
        title: `The target height at ${name} is wrong`,
        text: `It was taken ${metresOrFeet(figures.error, naming)} too ${figures.error > 0 ? 'high' : 'low'}: a round figure, and no other height disagrees.`,
      };
    case 'POINTS_SWAPPED':
      return { title: `${name} and ${other} were exchanged`, text: 'With the two names the other way round everything fits.' };
    case 'POINT_MISNAMED':
      return { title: `This looks like ${other}, not ${name}`, text: `The sight named ${name} fits where ${other} is listed.` };
    case 'PRISM_CONSTANT':
      return {
        title: `All distances are ${length(figures.constant)} too ${figures.constant > 0 ? 'short' : 'long'}`,
        text: 'The same at every mark, near or far: the prism constant, or the kind of target, is set wrong.',
      };
    case 'LENGTH_UNIT':
      return figures.factor < 1
        ? { title: 'Distances in feet were taken for metres', text: 'Multiplied by 0.3048 everything fits.' }
        : { title: 'Distances in metres were taken for feet', text: 'Divided by 0.3048 everything fits.' };
    case 'SCALE':
      return {
        title: `Distances are ${Math.round(Math.abs(figures.ratio) * 1e6)} ppm too ${figures.ratio > 0 ? 'short' : 'long'}`,
        text: 'The misfit grows with distance and turns nothing: grid and ground distances are mixed, or the scale factor is wrong. Heights do not mind.',
      };
    case 'DIRECTION_READING':
      return {
        title: `The direction to ${name} was misread`,
        text: `It is off by ${smallAngle(figures.circleError, naming.angleUnit)}; its distance fits.`,
      };
  }
}

const metresOrFeet = (metres: number, naming: Naming): string =>
  `${formatLength(Math.abs(metres), naming.unit, LENGTH_DECIMALS)} ${UNIT_ABBREVIATION[naming.unit]}`;

/** What would tell two explanations apart. */
function apartWords(apart: TellApart, naming: Naming): string {
  switch (apart.by) {
    case 'SIGHT_AGAIN':
      return `Sighted again, a slip at ${naming.nameOf(apart.name)} would not repeat; a mark that moved would.`;
    case 'CHECK_TARGET':
      return `Look at the pole: is the target height at ${naming.nameOf(apart.name)} what was entered?`;
    case 'OTHER_DISTANCE':
      return 'A mark at a very different distance would tell: a constant is the same at all, a scale grows.';
    case 'ANOTHER_MARK':
      return 'Another mark, best in a direction that is still open, would tell.';
  }
}

/** Where to look first when everything is noisy. */
const NOISE_WORDS: Readonly<Record<NoiseSource, string>> = {
  POLE: 'They are worst at the near marks. Look at the pole first: is it held by hand? Put it on legs, and test its bubble.',
  AIR: 'They are worst at the far marks. Look at the air first: heat over the ground, wind on the tripod. Sight nearer marks, or wait.',
  DISTANCE: 'They are worst in the distances. Look at the prism and its constant first, then at the weather that was entered.',
  ANY: 'Look at the pole first (by hand? a worn bubble?), then at heat over the ground, then at the precision that is entered for the instrument.',
};

/** Title and explanation of one finding. */
export function reasonWords(reason: Reason, naming: Naming): Said {
  const length = (metres: number) => smallLength(metres, naming.unit);
  switch (reason.code) {
    case 'TWO_MARKS': {
      const names = list(reason.names.map((name) => naming.nameOf(name)));
      return {
        title: 'Solvable, but unchecked',
        text: `Only the distance between ${names} is compared. If it is wrong, half of the error shows at each and neither can be blamed; a mark that moved across their line does not show at all.`,
      };
    }
    case 'FEW_PLACES': {
      const posts = reason.places.filter((names) => names.length > 1).map((names) => list(names.map((name) => naming.nameOf(name))));
      return {
        title: 'Solvable, but unchecked',
        text: `${list(posts)} stand on one post: that is one place. If it moved, all its targets moved along, and nothing would show it. ${
          reason.places.length === 2 ? 'Two places determine a station and check nothing; a third would.' : 'One place determines no station.'
        }`,
      };
    }
    case 'HARDLY_CHECKED':
      return { title: hardlyChecked(reason.of, naming), text: unnoticedWords(reason.of, naming) };
    case 'PARTLY_HIDDEN':
      return {
        title: partlyChecked(reason.of, naming),
        text: `${unnoticedWords(reason.of, naming)} That is more than the ${length(reason.allowed)} asked: prove this station on a mark that it did not use, before the first stake.`,
      };
    case 'TOO_COARSE':
      return {
        title: 'Not known well enough',
        text: `This station is good to ${length(reason.radius95)} (95 %), which the work does not allow. Sights that agree do not make up for marks that lie too near to each other, or too far away.`,
      };
    case 'FITS':
      return { title: `${capital(count(reason.marks))} marks agree`, text: `The largest difference is ${length(reason.largest)}.` };
    case 'EXPLAINED': {
      const { explanation } = reason;
      const { title: claim, text } = explanationWords(explanation, naming);
      // A mark that stands against the others is not yet a mark that has moved: the pole may have leant.
      const against = explanation.code === 'MARK_MOVED_PLAN' && reason.others > 0;
      const title = against ? `${naming.nameOf(explanation.points[0]!)} does not fit the other ${count(reason.others)}` : claim;
      const moved = explanation.code === 'MARK_MOVED_PLAN' || explanation.code === 'MARK_MOVED_HEIGHT';
      const rest = reason.othersWithin === null || !moved ? '' : `The rest agree within ${length(reason.othersWithin)}. `;
      return { title, text: `${rest}${text} That explains ${Math.round(reason.share * 100)} % of the misfit.` };
    }
    case 'CANNOT_TELL': {
      const first = explanationWords(reason.first, naming);
      const second = reason.second && explanationWords(reason.second, naming);
      return {
        title: 'Something does not fit, but it can’t be told what',
        text: `Most likely: ${lower(first.title)}${second ? `; or ${lower(second.title)}` : ''}. ${apartWords(reason.apart, naming)}`,
      };
    }
    case 'NOISIER_THAN_STATED':
      return {
        title: 'Noisier than the instrument should be',
        text: `The misfits are ${reason.s0.toFixed(1)} times what instrument, pole and marks should give, and no single fault explains them. ${NOISE_WORDS[reason.look]}`,
      };
    case 'HEIGHT_GROWS':
      return {
        title: 'The height misfit grows with distance',
        text: `By ${length(reason.perMetre * 100)} in 100 m. A mark that moved would not do that: think of the level, the compensator, the index error.`,
      };
    case 'SIGHTED_OFTEN':
      return {
        title: `${naming.nameOf(reason.name)} was sighted ${count(reason.times)} times`,
        text: 'All of them count together, as their mean. More of the same makes the figure prettier, not truer: a further mark would help.',
      };
    case 'NO_HEIGHT':
      return reason.why === 'NOT_USED'
        ? { title: 'Plan only', text: 'These marks have heights, and none is used: nothing set from here gets a cut or a fill.' }
        : {
            title: 'No height yet',
            text:
              reason.why === 'METHOD'
                ? 'Points on lines give none: nothing set from here gets a cut or a fill.'
                : 'None of these marks gives a height. Sight one that has one, or work in plan alone.',
          };
    case 'OVER_ONE_BACKSIGHT':
      return {
        title: 'One backsight: hardly checked',
        text: `That the instrument stands over ${naming.nameOf(reason.station)} is taken on trust, and the direction to ${naming.nameOf(reason.name)} is forced to fit. ${
          reason.distanceOff === null
            ? 'Nothing is tested.'
            : `One distance is all that is tested: ${length(reason.distanceOff)} ${reason.distanceOff >= 0 ? 'longer' : 'shorter'} than listed.`
        } A second backsight would show a wrong mark.`,
      };
    case 'OVER_SEVERAL_BACKSIGHTS':
      return {
        title: `${capital(count(reason.marks))} backsights from ${naming.nameOf(reason.station)}`,
        text: 'They check each other’s directions. A poor centring over the mark shows only as far as they disagree.',
      };
    case 'BACKSIGHT_OFF':
      return {
        title: `The distance to ${naming.nameOf(reason.name)} does not fit`,
        text: `Measured ${reason.distanceOff === null ? '' : `${length(reason.distanceOff)} ${reason.distanceOff >= 0 ? 'longer' : 'shorter'} `}than listed. Either end may be wrong: the mark under the instrument, or the one that was sighted.`,
      };
    case 'BACKSIGHTS_DISAGREE':
      return {
        title: 'The backsights do not agree in direction',
        text: `${reason.s0.toFixed(1)} times what they should. One of the marks, or the one under the instrument, is not where it is listed.`,
      };
    case 'BACKSIGHT_HEIGHT_OFF':
      return {
        title: `The height of ${naming.nameOf(reason.name)} does not fit`,
        text: `Measured ${length(reason.dZ)} ${reason.dZ >= 0 ? 'above' : 'below'} its listed height: its target height, or the mark itself; what else is known of the height agrees.`,
      };
    case 'OCCUPIED_HEIGHT_OFF': {
      const { benchmarks, isUsed } = reason;
      const names = list(benchmarks.map((name) => naming.nameOf(name)));
      const station = naming.nameOf(reason.station);
      return {
        title: `The height of ${station} does not fit`,
        text: `${names} agree with each other, and by them ${station} stands ${length(reason.dZ)} ${reason.dZ >= 0 ? 'higher' : 'lower'} than listed. Either it does, or the instrument stands at another height over it than was entered. ${
          isUsed ? 'Everything set from here would be off by that.' : 'The station’s height comes from the benchmarks, so that neither matters here.'
        }`,
      };
    }
    case 'HEIGHTS_DISAGREE': {
      const names = list(reason.names.map((name) => naming.nameOf(name)));
      return {
        title: `The heights of ${names} disagree`,
        text: `By up to ${length(reason.largest)} from their mean, and it can’t be told which of them is wrong. ${
          reason.names.length === 2 ? 'A third height would tell.' : 'Sight another benchmark.'
        }`,
      };
    }
    case 'HEIGHTS_AGREE': {
      const names = list(reason.benchmarks.map((name) => naming.nameOf(name)));
      const station = naming.nameOf(reason.station);
      const from = { mark: station, benchmarks: names, both: `${names} and ${station} together` }[reason.from];
      return {
        title: 'The heights agree',
        text: `The station’s height comes from ${from}. By ${names}, ${station} stands ${length(reason.dZ)} ${reason.dZ >= 0 ? 'above' : 'below'} its listed height: no more than chance.`,
      };
    }
    case 'NO_INSTRUMENT_HEIGHT':
      return {
        title: 'The instrument height is zero',
        text: 'Over a mark every height is wrong by the instrument’s height when it is not given. Measure it from the mark to the tilting axis, or work in plan alone.',
      };
    case 'ASSUMED_DIRECTION':
      return {
        title: 'The direction is assumed',
        text: `It was typed, not measured: from ${naming.nameOf(reason.station)} everything may be turned, and nothing would show it. Good for a job in a system of its own. A backsight to a second mark makes it true.`,
      };
    case 'TYPED_DIRECTION_OFF': {
      const name = naming.nameOf(reason.name);
      return {
        title: `The typed direction does not fit ${name}`,
        text: `By where ${name} is listed, it lies ${length(reason.across)} to the ${reason.across >= 0 ? 'right' : 'left'} of where the typed direction puts it (${smallAngle(reason.angle, naming.angleUnit)}). ${
          reason.isUsed ? 'Everything set from here would be turned by that.' : `The direction is taken from the sights, not from what was typed.`
        }`,
      };
    }
    case 'TYPED_DIRECTION_FITS':
      return {
        title: `${list(reason.names.map((name) => naming.nameOf(name)))} ${reason.names.length === 1 ? 'bears' : 'bear'} the typed direction out`,
        text: `Within ${length(reason.largest)} across the line of sight.`,
      };
    case 'CARRIED_FORWARD': {
      const { from, distanceOff, heightOff } = reason;
      const compared = [
        ...(distanceOff === null ? [] : [`${length(distanceOff)} ${distanceOff >= 0 ? 'longer' : 'shorter'}`]),
        ...(heightOff === null ? [] : [`${length(heightOff)} ${heightOff >= 0 ? 'higher' : 'lower'}`]),
      ];
      return {
        title: `Carried forward from ${from}`,
        text: `Its uncertainty and that of the new mark go along. ${
          compared.length === 0
            ? 'Nothing is tested by the look back.'
            : `The look back is ${list(compared)} than the look forward was: that is all that is tested.`
        } A mark that ${from} did not use would prove both.`,
      };
    }
    case 'ON_LINES':
      return reason.surplus === 0
        ? {
            title: 'Solvable, not checkable',
            text: 'Each sight to a line gives one coordinate, and three give a station with nothing left over. Sight another line, best one that runs across the others.',
          }
        : {
            title: 'Points on lines',
            text: `${capital(count(reason.surplus))} ${reason.surplus === 1 ? 'sight checks' : 'sights check'} the others; the largest distance off a line is ${length(reason.largest)}. A line says nothing along itself: prove it on a mark before the first stake.`,
          };
    case 'LINE_OFF':
      return {
        title: `A sight to ${reason.name} does not fit`,
        text: `It lies ${length(Math.abs(reason.off))} beside the line. Was the pole on this line, or is the line chalked at an offset? Read it again.`,
      };
    case 'HEIGHT_HARDLY_CHECKED':
      return {
        title: `The height of ${list(reason.names.map((name) => naming.nameOf(name)))} is hardly checked`,
        text: `Up to ${aboutLength(reason.noticed, naming.unit)} of a mistake in it would go unseen and put the station’s height ${aboutLength(reason.effect, naming.unit)} off. Sight another mark with a height.`,
      };
    case 'HEIGHT_UNCHECKED':
      return { title: 'One mark gives the height', text: `Everything hangs on the height of ${naming.nameOf(reason.name)}. A second one would check it.` };
  }
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
/** A claim inside a sentence; names of marks keep their letters. */
const lower = (text: string): string => text.replace(/^(The|All|This|Distances|Nothing)\b/, (word) => word.toLowerCase());

/** What to do next, in the order of action. */
export function stepWords(step: Step, naming: Naming): string {
  const name = 'name' in step && step.name !== null ? naming.nameOf(step.name) : '';
  switch (step.code) {
    case 'CHECK_NAME':
      return step.other === null ? `Is it ${name} at all? Read its label.` : `Read the labels: ${name} or ${naming.nameOf(step.other)}?`;
    case 'CHECK_TARGET':
      return `Is the target at ${name}, and its height, what was entered?`;
    case 'CHECK_PRISM':
      return 'Set the target that is really on the pole; the sights are computed anew.';
    case 'CHECK_UNIT':
      return 'Set the unit in which the distances were read.';
    case 'CHECK_SCALE':
      return 'Ask whether the coordinates are grid or ground, and set the scale factor of the site.';
    case 'LEVEL_POLE':
      return `Hold the pole plumb on ${name}, prism low.`;
    case 'SIGHT_AGAIN':
      return `Sight ${name} again.`;
    case 'LEAVE_OUT_PLAN':
      return `${step.repeated ? 'It repeats:' : 'If it repeats,'} leave ${name} out of plan and tell whoever owns the control.`;
    case 'LEAVE_OUT_HEIGHT':
      return `${step.repeated ? 'It repeats:' : 'If it repeats,'} leave ${name} out of height and tell whoever owns the control.`;
    case 'OTHER_CONTROL':
      return 'Without it too few marks would be left to check anything: find other control.';
    case 'SIGHT_ANOTHER': {
      if (step.azimuth === null) return 'Sight another mark, best in a direction that is still open.';
      const brings = step.effect === null ? '' : ` would bring what could go unseen to ${aboutLength(step.effect, naming.unit)}`;
      const to = `Sight another mark, best to the ${compassWord(step.azimuth)}`;
      return step.name === null ? `${to}: none is listed there${brings && `; a new one${brings}`}.` : `${to}: ${name}${brings}.`;
    }
    case 'PROVE_ON':
      return step.name === null
        ? 'No listed mark would check this station: prove it on one that it did not use, before the first stake.'
        : `One more mark would not check this station yet. Sight ${name}, which does most, and others after it; or keep ${name} and prove the station on it before the first stake.`;
    case 'CHECK_INSTRUMENT_HEIGHT':
      return 'Measure the instrument’s height over the mark again.';
    case 'HEIGHT_FROM_BENCHMARKS':
      return 'If it is right, take the height from the benchmarks, and tell whoever owns the control.';
    case 'LEVEL_INSTRUMENT':
      return 'Look at the level and the compensator, and take one mark in both faces.';
    case 'ACCEPT':
      return 'Nothing stands against going on.';
  }
}

export const VERDICT_TONE: Readonly<Record<Verdict, 'good' | 'ochre' | 'brick'>> = { checked: 'good', unchecked: 'ochre', refused: 'brick' };

/** Why a station does not meet the terms of a class. */
export function obstacleWords(obstacle: Obstacle, naming: Naming): string {
  const length = (metres: number) => smallLength(metres, naming.unit);
  switch (obstacle.code) {
    case 'TOO_FEW_MARKS':
      return `${obstacle.used} ${obstacle.used === 1 ? 'place' : 'places'} with marks used, the class asks for ${obstacle.needed}`;
    case 'HARDLY_CHECKED': {
      const { of } = obstacle;
      if (!of) return 'nothing checks it';
      const size =
        of.effect === null ? 'by any amount' : `and put ${of.at === 'work' ? 'what is set from here up to' : 'it'} ${aboutLength(of.effect, naming.unit)} off`;
      return `${unnoticedSubject(of, naming)} could be wrong unseen ${size}; up to ${length(obstacle.allowed)} may stay hidden`;
    }
    case 'HEIGHT_HARDLY_CHECKED':
      return `the height of ${list(obstacle.names.map((name) => naming.nameOf(name)))} could be wrong unseen and put the station’s height ${aboutLength(obstacle.effect, naming.unit)} off; up to ${length(obstacle.allowed)} may stay hidden`;
    case 'PLAN_IMPRECISE':
      return `good to ${length(obstacle.radius95)} in plan (95 %), the class asks for ${length(obstacle.allowed)}`;
    case 'PLAN_UNBOUNDED':
      return 'something does not fit, and it can’t be said what it is good to in plan';
    case 'HEIGHT_IMPRECISE':
      return `good to ${length(obstacle.interval95)} in height (95 %), the class asks for ${length(obstacle.allowed)}`;
    case 'NO_HEIGHT':
      return 'it has no height';
    case 'PLAN_MISFIT':
      return `the sights disagree in plan, ${obstacle.s0.toFixed(1)} times what they should`;
    case 'HEIGHT_MISFIT':
      return `the heights disagree, ${obstacle.s0.toFixed(1)} times what they should`;
    case 'MISFIT':
      return `the sights disagree, ${obstacle.s0.toFixed(1)} times what they should`;
    case 'FAULT':
      return lower(explanationWords(obstacle.explanation, naming).title);
    case 'CANNOT_TELL': {
      const { first, second } = obstacle;
      return `something does not fit, and it can’t be told what: ${lower(explanationWords(first, naming).title)}${
        second ? `, or ${lower(explanationWords(second, naming).title)}` : ''
      }`;
    }
    case 'LINE_MISFIT':
      return `a sight to ${obstacle.name} lies ${length(Math.abs(obstacle.off))} beside the line and is still used`;
    case 'MARK_MISFIT':
      return `${naming.nameOf(obstacle.name)} is ${length(obstacle.distance)} off in plan${obstacle.isUsed ? ' and still used' : ''}`;
    case 'MARK_HEIGHT_MISFIT':
      return `${naming.nameOf(obstacle.name)} is ${length(obstacle.dZ)} off in height and still used`;
    case 'OCCUPIED_HEIGHT_MISFIT':
      return `by the benchmarks ${naming.nameOf(obstacle.name)} stands ${length(obstacle.dZ)} ${obstacle.dZ >= 0 ? 'higher' : 'lower'} than listed, and the height is taken from it`;
    case 'HEIGHTS_DISAGREE':
      return `the heights of ${list(obstacle.names.map((name) => naming.nameOf(name)))} disagree by up to ${length(obstacle.largest)}`;
    case 'MARK_UNPROVEN':
      return `${naming.nameOf(obstacle.name)} is of our own making and no second station has confirmed it`;
  }
}

/** What the button says that puts a faulty entry right. */
export function restateButton(explanation: Explanation, naming: Naming): string {
  const { figures } = explanation;
  const [name = '', other = ''] = namesOf(explanation, naming);
  switch (figures.code) {
    case 'POINT_MISNAMED':
      return `It was ${other}`;
    case 'POINTS_SWAPPED':
      return `Exchange ${name} and ${other}`;
    case 'PRISM_CONSTANT':
      return `Correct all distances by ${smallLength(figures.constant, naming.unit)}`;
    case 'TARGET_HEIGHT':
      return `Correct the target height at ${name}`;
    case 'LENGTH_UNIT':
      return figures.factor < 1 ? 'They were read in feet' : 'They were read in metres';
    default:
      return '';
  }
}

/** Why a sight was taken back and entered anew. */
export function restatedReason(explanation: Explanation, naming: Naming): string {
  return `${explanationWords(explanation, naming).title}: entered anew with what fits.`;
}
