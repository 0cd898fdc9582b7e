import { useState } from 'react';
import { msg, worded } from '@idle-marker/words';
import { useSite } from '../site/SiteContext.tsx';
import { useUnits } from '../field/useUnits.ts';
import { Button } from '../ui/Button.tsx';
import { Dialog } from '../ui/Dialog.tsx';
import { Field } from '../ui/Field.tsx';
import { usePaceLength } from './ways.ts';

/** Each figure's arms as drawn, seen by the person at the pole. */
const signList = worded(
  () =>
    [
      { name: msg('pole.lookHere'), text: msg('pole.oneArmStraightUpUntilTheOther'), arms: 'M34 32L22 60M34 32L50 2' },
      { name: msg('pole.goThatWay'), text: msg('pole.oneArmStraightOutToTheSide'), arms: 'M34 32L22 60M34 32H66' },
      { name: msg('pole.hold'), text: msg('pole.bothArmsStraightOutStopLookAt'), arms: 'M2 32H66' },
      { name: msg('pole.good'), text: msg('pole.bothArmsUpTheShotIsTaken'), arms: 'M34 32L14 2M34 32L54 2' },
      {
        name: msg('pole.come'),
        text: msg('pole.handsOnTheHeadLeaveThePole'),
        arms: 'M34 32L12 24L28 8M34 32L56 24L40 8',
      },
    ] as const,
);

/** Calling to somebody who does not hear: arms, lights, and what the figures mean. */
export function CallingDialog({ open, onClose }: { open: boolean; onClose(): void }) {
  return (
    <Dialog
      toRead
      open={open}
      onClose={onClose}
      title={msg('pole.signsAndLights')}
      foot={
        <Button look="primary" onClick={onClose}>
          {msg('common.done')}
        </Button>
      }
    >
      <h3 className="text-[17px]">{msg('pole.armSignsWhenItIsTooLoud')}</h3>
      <p className="text-ink2">{msg('pole.agreeOnThemBeforeTheFirstMark')}</p>
      <ul className="my-2 grid gap-x-5 sm:grid-cols-2">
        {signList().map(({ name, text, arms }) => (
          <li key={name} className="flex items-center gap-3 py-1">
            <svg
              viewBox="0 0 68 100"
              className="h-[72px] w-12 shrink-0"
              aria-hidden="true"
              fill="none"
              stroke="var(--ink)"
              strokeWidth="4"
              strokeLinecap="round"
            >
              <circle cx="34" cy="16" r="8" fill="var(--ink)" />
              <path d="M34 26v36M34 62l-10 34M34 62l10 34" />
              <path d={arms} />
            </svg>
            <span>
              <strong>{name}.</strong> {text}
            </span>
          </li>
        ))}
      </ul>
      <h3 className="mt-3 text-[17px]">{msg('pole.guideLightsOnTheInstrument')}</h3>
      <p>{msg('pole.twoColoursOneForEachSideOf')}</p>
      <h3 className="mt-3 text-[17px]">{msg('pole.withSomebodyAtTheTelescope')}</h3>
      <p>{msg('pole.theVerticalHairKeepsTheDirectionThe')}</p>
      <PaceCount />
      <h3 className="mt-3 text-[17px]">{msg('pole.whatTheFiguresMean')}</h3>
      <p>{msg('pole.eachFigureIsTheMoveStillTo')}</p>
    </Dialog>
  );
}

/** So many paces to a mark, by one's own: the nearer the first shot, the fewer are needed. */
function PaceCount() {
  const { who } = useSite();
  const units = useUnits();
  const [pace, setPace] = usePaceLength(who);
  const [distance, setDistance] = useState('');
  const [steps, setSteps] = useState('');
  const [length, count] = [units.readLength(distance), Number(steps)];
  const counted = length !== null && length > 0 && count >= 5 ? length / count : null;
  return (
    <section className="mt-3">
      <h3 className="text-[17px]">{msg('pole.pacing')}</h3>
      <p className="text-ink2">
        {pace === null
          ? msg('pole.walkATapedDistanceAtYourUsual')
          : msg('pole.yourPaceIsTheWayToEach', { length: units.length(pace, 2), unit: units.unit })}
      </p>
      <div className="mt-1 flex flex-wrap items-end gap-3">
        <Field
          label={msg('pole.taped')}
          unit={units.unit}
          value={distance}
          inputMode="decimal"
          className="w-28"
          onChange={(event) => setDistance(event.target.value)}
        />
        <Field
          label={msg('pole.paces')}
          value={steps}
          inputMode="numeric"
          className="w-24"
          onChange={(event) => setSteps(event.target.value)}
        />
        <Button disabled={counted === null} onClick={() => setPace(counted)}>
          {msg('pole.thatIsMyPace')}
        </Button>
      </div>
    </section>
  );
}
