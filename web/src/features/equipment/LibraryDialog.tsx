import { useState } from 'react';
import { formatSigned } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { confirmedItem, lastTest } from '@idle-marker/records';
import { msg, equipmentKindWords, targetForm, worded } from '@idle-marker/words';
import { useSite } from '../../site/SiteContext.tsx';
import { useUnits, type Units } from '../../field/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { Dialog } from '../../ui/Dialog.tsx';
import { EditItem } from './EditItem.tsx';
import type { Item, Kind } from './itemDraft.ts';

const KINDS: readonly Kind[] = ['instrument', 'target', 'pole', 'pair'];
const headingWords = worded(
  () =>
    ({
      instrument: msg('equipment.instruments'),
      target: msg('equipment.targets'),
      pole: msg('equipment.poles'),
      pair: msg('equipment.pairsWithAReceiver'),
    }) as const,
);
const addWords = worded(
  () =>
    ({
      instrument: msg('equipment.addAnInstrument'),
      target: msg('equipment.addATarget'),
      pole: msg('equipment.addAPole'),
      pair: msg('equipment.addAPair'),
    }) as const,
);
function aboutItem(item: Item, units: Units): string {
  switch (item.kind) {
    case 'instrument':
      return msg('equipment.mmPpmForCHpa', {
        angleSdSec: item.angleSdSec,
        distSdMm: item.distSdMm,
        distSdPpm: item.distSdPpm,
        referenceC: item.referenceC,
        referenceHPa: item.referenceHPa,
        plummet: item.plummet ? '; plummet' : '',
      });
    case 'target':
      return [
        ...(targetForm()[item.form].name === item.name ? [] : [targetForm()[item.form].name]),
        msg('equipment.constantMm', { signed: formatSigned(item.constantMm, 1) }),
        ...(item.ownHeight === 0
          ? []
          : [msg('equipment.centreAboveThePolesMark2', { length: units.length(item.ownHeight), unit: units.unit })]),
      ].join('; ');
    case 'pole':
      return msg('equipment.bubbleGoodTo', { bubbleMinutes: item.bubbleMinutes });
    case 'pair':
      return msg('equipment.receiverAboveThePrismsCentre', {
        receiver: item.receiver,
        length: units.length(item.offset),
        unit: units.unit,
      });
  }
}

function Tested({ item, now }: { readonly item: Item; readonly now: Date }) {
  const test = lastTest(item, now);
  if (!test) return null;
  return (
    <span className={test.old ? 'text-ochre' : 'text-ink2'}>
      {test.on === null
        ? msg('equipment.neverTestedAsFarAsNoted')
        : msg('equipment.tested', { on: test.on, old: test.old ? msg('equipment.longAgoTestItWhenFiguresDo') : '' })}
    </span>
  );
}

/** What the crew carries: instruments, targets and poles, with precision, constants and when they were last tested. */
export function LibraryDialog({ onClose }: { onClose(): void }) {
  const { state, now, say } = useSite();
  const units = useUnits();
  const [editing, setEditing] = useState<{ readonly kind: Kind; readonly item: Fact<'equipment'> | null } | null>(null);
  return (
    <Dialog open onClose={onClose} title={msg('equipment.instrumentsTargetsAndPoles')} wide={editing === null}>
      {editing ? (
        <EditItem kind={editing.kind} item={editing.item} onDone={() => setEditing(null)} />
      ) : (
        KINDS.map((kind) => {
          const items = state.equipment.filter((each) => each.body.what.kind === kind);
          return (
            <section key={kind} className="mb-4" aria-label={equipmentKindWords()[kind]}>
              <div className="flex items-center justify-between gap-3 border-b border-ink">
                <h3 className="text-[17px]">{headingWords()[kind]}</h3>
                <Button look="quiet" onClick={() => setEditing({ kind, item: null })}>
                  {addWords()[kind]}
                </Button>
              </div>
              {items.length === 0 && <p className="py-2 text-ink2">{msg('equipment.noneListedYet')}</p>}
              <ul>
                {items.map((item) => (
                  <li
                    key={item.id}
                    className="flex flex-wrap items-center justify-end gap-x-4 border-b border-rule py-1"
                  >
                    <span className="min-w-56 flex-1">
                      <strong>{item.body.what.name}</strong>{' '}
                      <span className="figures">{aboutItem(item.body.what, units)}</span>{' '}
                      <Tested item={item.body.what} now={now} />
                    </span>
                    {item.body.toConfirm && (
                      <span className="text-ochre">
                        {msg('equipment.theUsualFigure')}{' '}
                        <Button
                          look="quiet"
                          aria-label={msg('equipment.confirm', { name: item.body.what.name })}
                          onClick={() => void say({ type: 'equipment', body: confirmedItem(item) })}
                        >
                          {msg('common.itIsRight')}
                        </Button>
                      </span>
                    )}
                    <Button
                      look="quiet"
                      aria-label={msg('common.change2', { name: item.body.what.name })}
                      onClick={() => setEditing({ kind, item })}
                    >
                      {msg('common.change3')}
                    </Button>
                  </li>
                ))}
              </ul>
            </section>
          );
        })
      )}
    </Dialog>
  );
}
