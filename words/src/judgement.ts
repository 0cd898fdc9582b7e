/** Sentences of the judgement of a station. Marks are named by `nameOf`, since core knows them by id. */
import { compassWord, type Judgement, type LengthUnit, type Obstacle, type Reason, type Step } from '@idle-marker/core';
import { smallLength } from './small.ts';

export interface Naming {
  nameOf(mark: string): string;
  readonly unit: LengthUnit;
}

const NUMBERS = ['no', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten'];
export const count = (n: number): string => NUMBERS[n] ?? String(n);

function list(names: readonly string[]): string {
  if (names.length < 2) return names[0] ?? '';
  return `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`;
}

/** Title and explanation of one finding. */
export function reasonWords(reason: Reason, naming: Naming): { readonly title: string; readonly text: string } {
  const length = (metres: number) => smallLength(metres, naming.unit);
  const names = 'names' in reason ? list(reason.names.map((name) => naming.nameOf(name))) : '';
  switch (reason.code) {
    case 'TWO_MARKS':
      return {
        title: 'Solvable, but unchecked',
        text: `Only the distance between ${names} is compared. If it is wrong, half of the error shows at each and neither can be blamed; a mark that moved across their line does not show at all.`,
      };
    case 'FITS':
      return {
        title: `${capital(count(reason.marks))} marks agree`,
        text: `The largest difference is ${length(reason.largest)}.${reason.marks === 3 ? ' With three marks a mistake would show, but not whose it is; a fourth would name it.' : ''}`,
      };
    case 'MARK_OFF_PLAN':
      return {
        title: `${naming.nameOf(reason.name)} does not fit the other ${count(reason.others)}`,
        text: `The rest agree within ${length(reason.othersWithin)}. Left out, ${naming.nameOf(reason.name)} would sit ${length(reason.distance)} ${compassWord(reason.bearing)} of its listed place.`,
      };
    case 'MARK_OFF_HEIGHT':
      return {
        title: `The height of ${naming.nameOf(reason.name)} does not fit`,
        text: `It stands ${length(reason.dZ)} ${reason.dZ > 0 ? 'higher' : 'lower'} than listed. The other ${count(reason.others)} agree within ${length(reason.othersWithin)}.`,
      };
    case 'CANNOT_TELL_PLAN':
      return { title: 'Something does not fit, but it can’t be told what', text: `${names} do not agree, and leaving out one or another helps alike.` };
    case 'CANNOT_TELL_HEIGHT':
      return { title: 'The heights do not agree', text: `${names} differ by more than chance, and it can’t be told which is wrong.` };
    case 'NOISIER_THAN_STATED':
      return {
        title: 'Noisier than the instrument should be',
        text: `The misfits are ${reason.s0.toFixed(1)} times what instrument, pole and marks should give, and no single mark explains it. Level the pole, check prism and weather, and the names of the marks.`,
      };
    case 'NO_HEIGHT':
      return { title: 'No height yet', text: 'None of these marks gives a height. Sight one that has one, or work in plan alone.' };
    case 'HEIGHT_UNCHECKED':
      return { title: 'One mark gives the height', text: `Everything hangs on the height of ${naming.nameOf(reason.name)}. A second one would check it.` };
  }
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** What to do next, as the end of the judgement. */
export function stepWords(step: Step, naming: Naming): string {
  switch (step.code) {
    case 'SIGHT_AGAIN':
      return `Level the pole and sight ${naming.nameOf(step.name)} again.`;
    case 'LEAVE_OUT_PLAN':
      return `If it repeats, leave ${naming.nameOf(step.name)} out of plan and tell whoever owns the control.`;
    case 'LEAVE_OUT_HEIGHT':
      return `If it repeats, leave ${naming.nameOf(step.name)} out of height and tell whoever owns the control.`;
    case 'SIGHT_ANOTHER':
      return 'Sight another mark, best in a direction that is still open.';
    case 'ACCEPT':
      return 'Nothing stands against going on.';
  }
}

export const VERDICT_TONE: Readonly<Record<Judgement['verdict'], 'good' | 'ochre' | 'brick'>> = {
  good: 'good',
  unchecked: 'ochre',
  cannotTell: 'ochre',
  misfit: 'brick',
};

/** Why a station does not meet the terms of a class. */
export function obstacleWords(obstacle: Obstacle, naming: Naming): string {
  const length = (metres: number) => smallLength(metres, naming.unit);
  switch (obstacle.code) {
    case 'TOO_FEW_MARKS':
      return `${obstacle.used} marks used, the class asks for ${obstacle.needed}`;
    case 'PLAN_IMPRECISE':
      return `good to ${length(obstacle.radius95)} in plan (95 %), the class asks for ${length(obstacle.allowed)}`;
    case 'HEIGHT_IMPRECISE':
      return `good to ${length(obstacle.interval95)} in height (95 %), the class asks for ${length(obstacle.allowed)}`;
    case 'NO_HEIGHT':
      return 'it has no height';
    case 'PLAN_MISFIT':
      return `the sights disagree in plan, ${obstacle.s0.toFixed(1)} times what they should`;
    case 'HEIGHT_MISFIT':
      return `the heights disagree, ${obstacle.s0.toFixed(1)} times what they should`;
    case 'MARK_MISFIT':
      return `${naming.nameOf(obstacle.name)} is ${length(obstacle.distance)} off in plan and still used`;
    case 'MARK_HEIGHT_MISFIT':
      return `${naming.nameOf(obstacle.name)} is ${length(obstacle.dZ)} off in height and still used`;
  }
}
