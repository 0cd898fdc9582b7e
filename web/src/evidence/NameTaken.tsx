import { planDistance, type Metres } from '@idle-marker/core';
import type { ControlMark } from '@idle-marker/records';
import { msg, smallLength } from '@idle-marker/words';
import { useSite } from '../site/SiteContext.tsx';
import { Button } from '../ui/Button.tsx';
import { Card } from '../ui/Slip.tsx';

export interface GivenPlace {
  readonly e: Metres | null;
  readonly n: Metres | null;
  readonly z: Metres | null;
}

interface NameTakenProps {
  readonly known: ControlMark;
  readonly place: GivenPlace;
  /** A name that is free. */
  readonly free: string;
  /** The figures are new ones of the mark that is there. */
  onRevise(place: GivenPlace): void;
  /** It is another mark. */
  onRename(name: string): void;
}

const NEAR: Metres = 0.1;
const mean = (one: Metres | null, other: Metres | null): Metres | null =>
  one === null || other === null ? null : (one + other) / 2;

/**
 * The name is taken: what may be meant, and what each does to what hangs on the older figures. Those are never lost.
 */
export function NameTaken({ known, place, free, onRevise, onRename }: NameTakenProps) {
  const { state } = useSite();
  const { body } = known.revision;
  const used = state.accepted.filter((each) => each.fact.body.uses.some((use) => use.control === known.id)).length;
  const away =
    place.e !== null && place.n !== null && body.e !== null && body.n !== null
      ? planDistance({ e: place.e, n: place.n }, { e: body.e, n: body.n })
      : null;
  const rise = place.z !== null && body.z !== null ? place.z - body.z : null;
  // Farther apart than this they are no two measurements of one thing.
  const isNear = (away !== null || rise !== null) && (away ?? 0) <= NEAR && Math.abs(rise ?? 0) <= NEAR;
  const middle = {
    e: mean(place.e, body.e) ?? body.e,
    n: mean(place.n, body.n) ?? body.n,
    z: mean(place.z, body.z) ?? body.z,
  };
  const unit = state.settings.lengthUnit;
  const differs = [
    away !== null && msg('evidence.awayFromWhatYouGive', { smallLength: smallLength(away, unit) }),
    rise !== null && `${smallLength(Math.abs(rise), unit)} ${rise > 0 ? 'lower' : 'higher'}`,
  ].filter(Boolean);
  return (
    <Card
      tone="ochre"
      title={msg('evidence.isThereAlready', {
        name: body.name,
        differs: differs.length > 0 ? `: ${differs.join(', ')}` : '',
      })}
    >
      <p>
        {msg('evidence.whateverYouChooseItsFiguresStay', {
          used: used === 0 ? msg('evidence.noStationUsedItYet') : msg('evidence.usedIt', { used }),
        })}
      </p>
      <ul className="mt-2 flex flex-col gap-2">
        <li className="flex flex-wrap items-center gap-x-3">
          <Button onClick={() => onRevise(place)}>{msg('evidence.newFiguresOf', { name: body.name })}</Button>
          <span className="text-[15px]">{msg('evidence.theOldOnesWereTemporaryOrWrong')}</span>
        </li>
        {isNear && (
          <li className="flex flex-wrap items-center gap-x-3">
            <Button onClick={() => onRevise(middle)}>{msg('evidence.meanOfBoth')}</Button>
            <span className="text-[15px]">{msg('evidence.bothAreAsGoodANewRevision')}</span>
          </li>
        )}
        <li className="flex flex-wrap items-center gap-x-3">
          <Button onClick={() => onRename(free)}>{msg('evidence.anotherMark', { free })}</Button>
          <span className="text-[15px]">{msg('evidence.bothAreThereThisOneUnderA')}</span>
        </li>
      </ul>
    </Card>
  );
}
