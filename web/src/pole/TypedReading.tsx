import { useEffect, useState } from 'react';
import { angleFromRadians, formatSigned, lengthFromMetres, sexagesimalExcess } from '@idle-marker/core';
import { isPoleless } from '@idle-marker/records';
import { msg } from '@idle-marker/words';
import { AngleField } from '../field/AngleField.tsx';
import { useSite } from '../site/SiteContext.tsx';
import { useUnits } from '../field/useUnits.ts';
import { Button } from '../ui/Button.tsx';
import { Dialog } from '../ui/Dialog.tsx';
import { Field, Tick } from '../ui/Field.tsx';
import { heightOf, PoleFields, poleDraft } from './PoleFields.tsx';
import { useHeightNotice } from './useCarried.ts';
import { changePole, currentLink, useLinked } from '../link/linkStore.ts';

const decimalsOf = (text: string): number => /[.,](\d+)/.exec(text)?.[1]?.length ?? 0;

/**
 * A reading keyed in from any instrument: circle, zenith, slope, and the target height confirmed each time. Opens when
 * the typed link waits for one.
 */
export function TypedReading({ title }: { title: string }) {
  const units = useUnits();
  const { state } = useSite();
  const open = useLinked((link) => link?.kind === 'typed' && link.busy === 'measuring');
  const onCancel = () => currentLink()?.cancel();
  const [circle, setCircle] = useState('');
  const [zenith, setZenith] = useState('');
  const [slope, setSlope] = useState('');
  const [pole, setPole] = useState(() => poleDraft(undefined, units));
  const notice = useHeightNotice();
  const fixed = useLinked((link) => link?.fixed ?? null);
  const [confirmed, setConfirmed] = useState(false);
  const [tried, setTried] = useState(false);
  const lastHeight = useLinked((link) => link?.pole.targetHeight) ?? 1.5;
  useEffect(() => {
    if (!open) return;
    setCircle('');
    setZenith('');
    setSlope('');
    const link = currentLink()?.state();
    setPole(poleDraft(link?.fixed ? { targetHeight: 0, legs: false, target: link.fixed.target } : link?.pole, units));
    setConfirmed(false);
    setTried(false);
    // Only when it opens: what was carried at the last sight is offered, but has to be confirmed.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [open]);
  const full = units.angleUnit === 'gon' ? 400 : 360;
  const example = units.angleUnit === 'gon' ? '159.3907' : units.angleUnit === 'dms' ? '143 27 08' : '143.4522';
  const c = units.readAngle(circle);
  const z = units.readAngle(zenith);
  const s = slope.trim() === '' ? null : units.readLength(slope);
  const isWithoutPole = fixed !== null || isPoleless(state, pole.target);
  const { height: h, error: heightError } = isWithoutPole ? { height: 0, error: null } : heightOf(pole, units);
  const inTurn = (value: number | null) =>
    value !== null && value >= 0 && angleFromRadians(value, units.angleUnit) < full;
  const beyond = (text: string) => {
    const excess = units.angleUnit === 'dms' ? sexagesimalExcess(text) : null;
    return excess && msg('pole.cantBeTheyGoTo59Read', { value: excess.value, part: excess.part });
  };
  const errors = {
    circle: beyond(circle)
      ? beyond(circle)
      : !inTurn(c)
        ? msg('pole.giveTheCircleReadingFrom0To', { full, example })
        : null,
    zenith: beyond(zenith)
      ? beyond(zenith)
      : !inTurn(z)
        ? msg('pole.giveTheZenithAngleSuchAs', {
            angleUnit: units.angleUnit === 'gon' ? '99.8210' : units.angleUnit === 'dms' ? '89 51 40' : '89.8611',
          })
        : Math.abs(Math.sin(z!)) < 1e-6
          ? msg('pole.aSightStraightUpOrDownHas')
          : null,
    slope:
      slope.trim() === ''
        ? null
        : s === null
          ? msg('pole.giveTheSlopeDistanceSuchAs93')
          : s <= 0
            ? msg('pole.aSlopeDistanceOf0CantBe')
            : null,
    height: fixed || heightError === null ? null : msg('pole.giveTheTargetHeight'),
  };
  const faulty = Object.values(errors).some((error) => error !== null);
  const same = h !== null && Math.abs(h - lastHeight) < 5e-5;
  const give = () => {
    setTried(true);
    const current = currentLink();
    if (faulty || !confirmed || current?.kind !== 'typed') return;
    if (fixed) current.setFixed({ target: pole.target });
    else changePole({ targetHeight: h!, legs: pole.legs, target: pole.target, item: pole.item });
    current.give({
      circle: angleFromRadians(c!, units.angleUnit),
      zenith: angleFromRadians(z!, units.angleUnit),
      slope: s === null ? null : lengthFromMetres(s, units.lengthUnit),
      angleUnit: units.angleUnit,
      lengthUnit: units.lengthUnit,
      angleDecimals: decimalsOf(circle),
      lengthDecimals: decimalsOf(slope),
      keyed: { circle, zenith, slope },
    });
  };
  const shown = (error: string | null, text: string) => (tried || text !== '' ? error : null);
  return (
    <Dialog
      open={open}
      onClose={onCancel}
      title={title}
      foot={
        <>
          <Button onClick={onCancel}>{msg('common.cancel')}</Button>
          <Button look="primary" type="submit" form="typed-reading">
            {msg('pole.saveShot')}
          </Button>
        </>
      }
    >
      <form
        id="typed-reading"
        className="flex flex-col gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          give();
        }}
      >
        <AngleField
          label={msg('pole.circle')}
          value={circle}
          onChange={setCircle}
          error={shown(errors.circle, circle)}
          autoFocus
          placeholder={example}
        />
        <AngleField
          label={msg('pole.zenithAngle')}
          value={zenith}
          onChange={setZenith}
          error={shown(errors.zenith, zenith)}
        />
        <Field
          label={msg('pole.slopeDistance')}
          unit={units.unit}
          value={slope}
          onChange={(event) => setSlope(event.target.value)}
          error={errors.slope}
          help={msg('pole.emptyForADirectionAlone')}
          inputMode="decimal"
        />
        <PoleFields
          draft={pole}
          fixed={fixed !== null}
          onChange={(next) => {
            setPole(next);
            // Another target or height is another thing to look at.
            setConfirmed(false);
          }}
        />
        <Tick
          label={
            isWithoutPole
              ? msg('pole.itIsReadTo', {
                  target: pole.target
                    ? msg('pole.constantMm', {
                        name: pole.target.name,
                        signed: formatSigned(pole.target.constantMm, 1),
                      })
                    : msg('pole.aTargetWithTheConstant0'),
                })
              : h !== null && notice(h, pole.target) !== null
                ? msg('pole.iLookedTheTargetHeightIsRight')
                : same
                  ? msg('pole.theTargetHeightIsStillTheOne')
                  : msg('pole.theTargetHeightIsRight')
          }
          checked={confirmed}
          onChange={setConfirmed}
        />
        {tried && !confirmed && (
          <p className="text-[13px] font-medium text-brick">
            {isWithoutPole ? msg('pole.lookAtTheTargetAndTickIt') : msg('pole.lookAtThePoleAndTickThe')}
          </p>
        )}
      </form>
    </Dialog>
  );
}
