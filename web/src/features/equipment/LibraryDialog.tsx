import { useState } from 'react';
import { formatSigned } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { confirmedItem, lastTest } from '@idle-marker/records';
import { EQUIPMENT_KIND, TARGET_FORM } from '@idle-marker/words';
import { useSite } from '../../site/SiteContext.tsx';
import { useUnits, type Units } from '../../field/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { Dialog } from '../../ui/Dialog.tsx';
import { EditItem } from './EditItem.tsx';
import type { Item, Kind } from './itemDraft.ts';

const KINDS: readonly Kind[] = ['instrument', 'target', 'pole', 'pair'];
const HEADING = { instrument: 'Instruments', target: 'Targets', pole: 'Poles', pair: 'Pairs with a receiver' } as const;
const ADD = { instrument: 'Add an instrument', target: 'Add a target', pole: 'Add a pole', pair: 'Add a pair' } as const;
function aboutItem(item: Item, units: Units): string {
  switch (item.kind) {
    case 'instrument':
      return `${item.angleSdSec}″, ${item.distSdMm} mm + ${item.distSdPpm} ppm; for ${item.referenceC} °C, ${item.referenceHPa} hPa${item.plummet ? '; plummet' : ''}`;
    case 'target':
      return [
        ...(TARGET_FORM[item.form].name === item.name ? [] : [TARGET_FORM[item.form].name]),
        `constant ${formatSigned(item.constantMm, 1)} mm`,
        ...(item.ownHeight === 0 ? [] : [`centre ${units.length(item.ownHeight)} ${units.unit} above the pole’s mark`]),
      ].join('; ');
    case 'pole':
      return `bubble good to ${item.bubbleMinutes}′`;
    case 'pair':
      return `receiver ${item.receiver}, ${units.length(item.offset)} ${units.unit} above the prism’s centre`;
  }
}

function Tested({ item, now }: { readonly item: Item; readonly now: Date }) {
  const test = lastTest(item, now);
  if (!test) return null;
  return (
    <span className={test.old ? 'text-ochre' : 'text-ink2'}>
      {test.on === null ? 'never tested, as far as noted' : `tested ${test.on}${test.old ? ', long ago: test it when figures do not fit' : ''}`}
    </span>
  );
}

/** What the crew carries: instruments, targets and poles, with precision, constants and when they were last tested. */
export function LibraryDialog({ onClose }: { onClose(): void }) {
  const { state, now, say } = useSite();
  const units = useUnits();
  const [editing, setEditing] = useState<{ readonly kind: Kind; readonly item: Fact<'equipment'> | null } | null>(null);
  return (
    <Dialog open onClose={onClose} title="Instruments, targets and poles" wide={editing === null}>
      {editing ? (
        <EditItem kind={editing.kind} item={editing.item} onDone={() => setEditing(null)} />
      ) : (
        KINDS.map((kind) => {
          const items = state.equipment.filter((each) => each.body.what.kind === kind);
          return (
            <section key={kind} className="mb-4" aria-label={EQUIPMENT_KIND[kind]}>
              <div className="flex items-center justify-between gap-3 border-b border-ink">
                <h3 className="text-[17px]">{HEADING[kind]}</h3>
                <Button look="quiet" onClick={() => setEditing({ kind, item: null })}>
                  {ADD[kind]}
                </Button>
              </div>
              {items.length === 0 && <p className="py-2 text-ink2">None listed yet.</p>}
              <ul>
                {items.map((item) => (
                  <li key={item.id} className="flex flex-wrap items-center justify-end gap-x-4 border-b border-rule py-1">
                    <span className="min-w-56 flex-1">
                      <strong>{item.body.what.name}</strong> <span className="figures">{aboutItem(item.body.what, units)}</span>{' '}
                      <Tested item={item.body.what} now={now} />
                    </span>
                    {item.body.toConfirm && (
                      <span className="text-ochre">
                        the usual figure{' '}
                        <Button
                          look="quiet"
                          aria-label={`Confirm ${item.body.what.name}`}
                          onClick={() => void say({ type: 'equipment', body: confirmedItem(item) })}
                        >
                          It is right
                        </Button>
                      </span>
                    )}
                    <Button look="quiet" aria-label={`Change ${item.body.what.name}`} onClick={() => setEditing({ kind, item })}>
                      Change
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
