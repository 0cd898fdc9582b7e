import { compassWord } from '@idle-marker/core';
import type { AffectedMark, AffectedPackage } from '@idle-marker/records';
import { msg, outlineErrorWords, smallLength } from '@idle-marker/words';
import type { ComparedDrawings } from '@idle-marker/formats';

import { useUnits } from '../../field/useUnits.ts';
import { Tick } from '../../ui/Field.tsx';
import { TABLE, TD, TD_WORD, TH, TH_WORD } from '../../ui/table.ts';

interface ComparedProps {
  readonly compared: ComparedDrawings;
  readonly affected: readonly AffectedPackage[];
  readonly bring: ReadonlySet<string>;
  onBring(next: ReadonlySet<string>): void;
}

const CORNERS_SHOWN = 12;

/** Something of it changes, and its rule goes along. */
export const canBeBrought = ({ next, moved, marks }: AffectedPackage): boolean =>
  next.ok && (moved > 0 || marks.length > 0);

const SAME = 0.0005;

/** What a newer drawing changes: corners, packages, and marks that stand already. */
export function Compared({ compared, affected, bring, onBring }: ComparedProps) {
  const units = useUnits();
  const { moved, gone, come, unchanged } = compared;
  const small = (metres: number) => smallLength(metres, units.lengthUnit);
  const counted = (list: ComparedDrawings['gone']) =>
    list.map(({ layer, elements }) => msg('design.on', { elements, layer })).join(', ');
  return (
    <section className="mt-4 border-t border-rule pt-3" aria-label={msg('design.whatTheNewerDrawingChanges')}>
      <h3 className="text-[17px]">
        {moved.length === 0
          ? msg('design.noCornerMoved')
          : msg('design.movedByUpTo', { moved: moved.length, small: small(moved[0]!.by) })}
      </h3>
      <p className="text-[14px] text-ink2">
        {msg('design.standWhereTheyStood', {
          unchanged,
          counted: gone.length > 0 && msg('design.gone', { counted: counted(gone) }),
          counted2: come.length > 0 && msg('design.new', { counted: counted(come) }),
        })}
      </p>
      {moved.length > 0 && (
        <table className={`${TABLE} mt-1`}>
          <thead>
            <tr>
              <th className={TH_WORD}>{msg('design.cornerOn')}</th>
              <th className={TH}>{msg('design.wasAt', { axes: units.axes[0] === 'e' ? 'E, N' : 'N, E' })}</th>
              <th className={TH}>{msg('design.moved')}</th>
            </tr>
          </thead>
          <tbody>
            {moved.slice(0, CORNERS_SHOWN).map(({ layer, from, to, by }, i) => (
              <tr key={i}>
                <td className={TD_WORD}>{layer}</td>
                <td className={TD}>{units.axes.map((axis) => units.length(from[axis])).join(', ')}</td>
                <td className={TD}>
                  {small(by)} {compassWord(Math.atan2(to.e - from.e, to.n - from.n))}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {moved.length > CORNERS_SHOWN && (
        <p className="text-[13px] text-ink2">{msg('design.andMore', { moved: moved.length - CORNERS_SHOWN })}</p>
      )}
      {affected.length === 0 && <p className="mt-2 text-[14px]">{msg('design.noPackageWasTakenFromThisDrawing')}</p>}
      <AffectedPackages affected={affected} bring={bring} onBring={onBring} />
    </section>
  );
}

/** Packages that a change of the design reaches, each to be brought along or left. */
export function AffectedPackages({ affected, bring, onBring }: Pick<ComparedProps, 'affected' | 'bring' | 'onBring'>) {
  return affected.map((each) => (
    <Affected
      key={each.work.id}
      affected={each}
      checked={bring.has(each.work.id)}
      onChecked={(on) =>
        onBring(new Set(on ? [...bring, each.work.id] : [...bring].filter((id) => id !== each.work.id)))
      }
    />
  ));
}

function Affected({
  affected,
  checked,
  onChecked,
}: {
  affected: AffectedPackage;
  checked: boolean;
  onChecked(on: boolean): void;
}) {
  const units = useUnits();
  const { work, moved, largest, lost, marks, next } = affected;
  const small = (metres: number) => smallLength(metres, units.lengthUnit);
  const [shifted, raised] = [
    marks.filter(({ by }) => by >= SAME),
    marks.filter(({ rises }) => rises === null || Math.abs(rises) >= SAME),
  ];
  const change = ({ by, rises }: AffectedMark) =>
    [
      by >= SAME && msg('design.by', { small: small(by) }),
      rises === null
        ? msg('design.heightComeOrGone')
        : Math.abs(rises) >= SAME && `${small(Math.abs(rises))} ${rises > 0 ? 'higher' : 'lower'}`,
    ]
      .filter(Boolean)
      .join(', ');
  const standing = marks.filter(({ mark }) => mark !== null && mark.body.state !== 'rough');
  return (
    <div className="mt-3 border-l-4 border-pencil pl-3">
      <p>
        <strong>{work.body.name}</strong>:{' '}
        {moved === 0
          ? msg('design.noneOfItsCornersMoved')
          : msg('design.ofItsCornersMovedByUpTo', { moved, small: small(largest) })}
        .{shifted.length > 0 && msg('design.ofItsMarksAnotherPlace', { shifted: shifted.length })}
        {raised.length > 0 && msg('design.ofItsMarksAnotherHeight', { raised: raised.length })}
      </p>
      {standing.length > 0 && (
        <p className="font-medium text-brick">
          {msg('design.theyStayInTheBookAreWithheld', {
            standing:
              standing.length === 1
                ? msg('design.setAlreadyAndAffected')
                : msg('design.setAlreadyAndAffected2', { standing: standing.length }),
            standing2: standing.map((mark) => `${mark.name} ${change(mark)}`).join('; '),
          })}
        </p>
      )}
      {lost.length > 0 && (
        <p className="font-medium text-ochre">
          {msg('design.notFoundAnyMoreWhereLookAt', { lost: lost.join(', '), lost2: lost.length })}
        </p>
      )}
      {!next.ok && (
        <p className="font-medium text-brick">
          {msg('design.itCantBeBroughtAlong', { item: `${next.error.item}: ${outlineErrorWords(next.error)}` })}
        </p>
      )}
      {canBeBrought(affected) && (
        <Tick label={msg('design.bringAlong', { name: work.body.name })} checked={checked} onChange={onChecked} />
      )}
    </div>
  );
}
