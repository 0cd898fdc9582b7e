import { msg, setupSteps } from '@idle-marker/words';
import { now } from '../../data/clock.ts';
import { Tick } from '../../ui/Field.tsx';

export interface TickedStep {
  readonly step: string;
  readonly at: string;
}

interface SetupChecklistProps {
  readonly ticked: readonly TickedStep[];
  onChange(ticked: readonly TickedStep[]): void;
  readonly ground: string;
  readonly unsteady: boolean;
  readonly overMark: boolean;
  /** Nothing tells the state of the instrument but the person's own tick. */
  readonly byHand: boolean;
  /** False while the instrument itself says that it is not level: nobody can tick that it is. */
  readonly isLevel: boolean;
}

/** Ticks with their times; each step can be opened by whoever wants to know why. */
export function SetupChecklist({ ticked, onChange, ground, unsteady, overMark, byHand, isLevel }: SetupChecklistProps) {
  const smooth = ground === 'concrete' || ground === 'deck';
  const steps = setupSteps().filter(
    ({ when }) => when === undefined || (when === 'smooth' ? smooth : when === 'unsteady' ? unsteady : overMark),
  );
  const at = (step: string) => ticked.find((each) => each.step === step);
  const open = steps.filter((step) => step.needed && !at(step.id)).map((step) => `“${step.short}”`);
  const done = steps.filter((step) => at(step.id)).length;
  return (
    <section aria-label={msg('common.settingUp')}>
      <h2 className="text-[15px]">
        {msg('common.settingUp')}{' '}
        <span className="font-normal text-ink2">
          {done === steps.length ? msg('station.allTicked') : msg('station.ofTicked', { done, steps: steps.length })}
        </span>
      </h2>
      {byHand && open.length > 0 && (
        <p className="text-[13px] text-ochre">
          {msg('station.readingsAreTypedNobodyButYouKnows', { open: open.join(', ') })}
        </p>
      )}
      <ol className="flex flex-col">
        {steps.map((step) => (
          <li key={step.id} className="border-b border-rule">
            <div className="flex flex-wrap items-center justify-between gap-x-2">
              <Tick
                label={
                  isLevel || step.id !== 'level'
                    ? step.short
                    : msg('station.theInstrumentSaysItIsNotIn', { short: step.short })
                }
                checked={at(step.id) !== undefined}
                onChange={(checked) =>
                  (isLevel || step.id !== 'level') &&
                  onChange(
                    checked
                      ? [...ticked, { step: step.id, at: now().toISOString() }]
                      : ticked.filter((each) => each.step !== step.id),
                  )
                }
              />
              <details className="min-w-0 open:basis-full">
                <summary className="min-h-11 cursor-pointer px-2 py-2.5 text-spruce underline">
                  {msg('common.why')}
                </summary>
                <p className="pb-2 text-[14px] text-ink2">{step.why}</p>
              </details>
            </div>
          </li>
        ))}
      </ol>
    </section>
  );
}
