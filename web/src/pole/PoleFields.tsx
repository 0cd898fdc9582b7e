import { composedTargetHeight, formatSigned } from '@idle-marker/core';
import { confirmedItem, isPoleless, type CarriedPole } from '@idle-marker/records';
import {
  msg,
  fixedTargetHelp,
  polelessHelp,
  usualConstantWords,
  targetForm,
  targetHeightHelp,
} from '@idle-marker/words';
import { useLinked } from '../link/linkStore.ts';
import { useRemembered } from '../site/useRemembered.ts';
import { Button } from '../ui/Button.tsx';
import { useSite } from '../site/SiteContext.tsx';
import { useUnits, type Units } from '../field/useUnits.ts';
import { DraftField } from '../field/DraftField.tsx';
import { lengthOf, written, type Draft } from '../field/draft.ts';
import { Choice, Field, Tick } from '../ui/Field.tsx';
import { useHeightNotice } from './useCarried.ts';

export interface PoleDraft {
  readonly target: NonNullable<CarriedPole['target']> | null;
  readonly item: string | null;
  readonly legs: boolean;
  /** What the pole shows, in metres. */
  readonly poleMark: Draft<number>;
}

const NOT_LISTED = 'none';

interface PoleFieldsProps {
  readonly draft: PoleDraft;
  /** What is sighted carries its own target: which one is all that is asked. */
  readonly fixed?: boolean;
  onChange(draft: PoleDraft): void;
}

/** Target by big buttons, the pole, and the height from its parts; without a pole the target alone. */
export function PoleFields({ draft, fixed = false, onChange }: PoleFieldsProps) {
  const { state, say } = useSite();
  const units = useUnits();
  const withStand = useLinked((link) => link?.stand !== null && link?.stand !== undefined);
  const [channel, setChannel] = useRemembered('channel of the prism', '');
  const unsure = state.equipment.find(
    ({ body }) => body.toConfirm && body.what.kind === 'target' && body.item === draft.target?.item,
  );
  const notice = useHeightNotice();
  const targets = state.equipment.flatMap(({ body: { item, what } }) =>
    what.kind === 'target' ? [{ ...what, item }] : [],
  );
  const poles = state.equipment.flatMap(({ body: { item, what } }) =>
    what.kind === 'pole' ? [{ ...what, item }] : [],
  );
  const { height, error } = heightOf(draft, units);
  const own = draft.target?.ownHeight ?? 0;
  const odd = height === null ? null : notice(height, draft.target);
  const isWithoutPole = fixed || isPoleless(state, draft.target);
  const form = targets.find((each) => each.item === draft.target?.item)?.form;
  return (
    <div className="flex flex-col gap-3">
      {targets.length > 0 && (
        <fieldset>
          <legend className="text-[13px] text-ink2">
            {fixed ? msg('pole.whichTargetItIs') : msg('pole.whatIsOnThePole')}
          </legend>
          <div className="mt-1 flex flex-wrap gap-2">
            {[...targets, null].map((target) => {
              const chosen = (draft.target?.item ?? null) === (target?.item ?? null);
              return (
                <button
                  key={target?.item ?? NOT_LISTED}
                  type="button"
                  aria-pressed={chosen}
                  className={`flex min-h-12 items-center rounded-sm border-[1.5px] px-3 text-left font-semibold ${chosen ? 'border-spruce bg-spruce text-on-spruce' : 'border-ink2 bg-sheet'}`}
                  onClick={() =>
                    onChange({
                      ...draft,
                      target: target && {
                        item: target.item,
                        name: target.name,
                        constantMm: target.constantMm,
                        ownHeight: target.ownHeight,
                      },
                    })
                  }
                >
                  {target?.name ?? msg('pole.anotherConstant0')}
                </button>
              );
            })}
          </div>
          {form && <p className="mt-1 text-[13px] text-ink2">{targetForm()[form].hint}</p>}
          {form === 'active' && !withStand && (
            <Field
              className="mt-2 max-w-40"
              label={msg('pole.channelOfThePrism')}
              value={channel}
              inputMode="numeric"
              maxLength={4}
              onChange={(event) => setChannel(event.target.value)}
            />
          )}
          {unsure && (
            <p className="mt-1 flex flex-wrap items-center gap-x-3 border-l-4 border-ochre pl-3 text-[14px]">
              {usualConstantWords(unsure.body.what.name, formatSigned(draft.target!.constantMm, 1))}
              <Button look="quiet" onClick={() => void say({ type: 'equipment', body: confirmedItem(unsure) })}>
                {msg('common.itIsRight')}
              </Button>
            </p>
          )}
        </fieldset>
      )}
      {isWithoutPole ? (
        <p className="border-l-4 border-rule pl-3 text-ink2">{fixed ? fixedTargetHelp() : polelessHelp()}</p>
      ) : (
        <>
          <DraftField
            label={own === 0 ? msg('pole.targetHeight') : msg('pole.thePoleShows')}
            unit={units.unit}
            draft={draft.poleMark}
            onDraft={(poleMark) => onChange({ ...draft, poleMark })}
            error={
              error === 'range'
                ? msg('pole.giveTheTargetHeightSuchAs', { edit: units.edit(units.round(1.5, 5)) })
                : null
            }
            help={
              own === 0 || height === null ? (
                targetHeightHelp()
              ) : (
                <span className="figures">
                  {msg('pole.ofTheTargetHeight', {
                    length: units.length(own),
                    name: draft.target!.name,
                    length2: units.length(height),
                    unit: units.unit,
                  })}
                </span>
              )
            }
          />
          {odd && <p className="border-l-4 border-ochre pl-3">{odd}</p>}
          {poles.length > 0 && (
            <Choice
              label={msg('common.pole')}
              value={draft.item ?? NOT_LISTED}
              options={[[NOT_LISTED, msg('common.notSaid')], ...poles.map((pole) => [pole.item, pole.name] as const)]}
              onChange={(item) => onChange({ ...draft, item: item === NOT_LISTED ? null : item })}
            />
          )}
          <Tick
            label={msg('pole.thePoleStandsOnLegsPlumbTo')}
            checked={draft.legs}
            onChange={(legs) => onChange({ ...draft, legs })}
          />
        </>
      )}
    </div>
  );
}

/** Below zero where the prism hangs under the mark. */
const LOWEST = -5;
const HIGHEST = 10;

/** Height that the parts give; null with what is wrong. */
export function heightOf(
  draft: PoleDraft,
  units: Units,
): { readonly height: number | null; readonly error: 'range' | null } {
  const mark = lengthOf(draft.poleMark, units);
  const height = mark === null ? null : composedTargetHeight(mark, draft.target?.ownHeight ?? 0);
  const inside = height !== null && height >= LOWEST && height <= HIGHEST;
  return { height: inside ? height : null, error: inside ? null : 'range' };
}

export function poleDraft(pole: CarriedPole | undefined, units: Units): PoleDraft {
  const poleMark = (pole?.targetHeight ?? 1.5) - (pole?.target?.ownHeight ?? 0);
  return {
    target: pole?.target ?? null,
    item: pole?.item ?? null,
    legs: pole?.legs ?? true,
    poleMark: written(poleMark, units.edit(poleMark)),
  };
}
