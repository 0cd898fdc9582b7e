import { useState } from 'react';
import { useQuery } from '@tanstack/react-query';
import {
  alikeName,
  broughtControl,
  compareNames,
  frameDifferences,
  markLife,
  siteState,
  type ControlMark,
} from '@idle-marker/records';
import { msg, controlKindWords, worded, conditionWords } from '@idle-marker/words';
import { fetchFacts, fetchSites } from '../../data/sites.ts';
import { newId } from '../../data/uuid.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { useUnits } from '../../field/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { Dialog } from '../../ui/Dialog.tsx';
import { Choice, Tick } from '../../ui/Field.tsx';
import { dayAndTime } from '../../ui/time.ts';

const frameWords = worded(
  () =>
    ({
      coordinateSystem: msg('control.coordinateSystem'),
      heightDatum: msg('control.heightDatum'),
      combinedScaleFactor: msg('control.scaleFactor'),
    }) as const,
);

/** Single marks from another site, with what was known of them there. */
export function BringControl({ onClose }: { onClose(): void }) {
  const { id, state, say } = useSite();
  const units = useUnits();
  const [site, setSite] = useState('');
  const [wanted, setWanted] = useState<ReadonlySet<string>>(new Set());
  const sites = useQuery({ queryKey: ['sites'], queryFn: fetchSites });
  const others = (sites.data ?? []).filter((each) => each.id !== id);
  const chosen = others.find((each) => each.id === site) ?? others[0] ?? null;
  const records = useQuery({
    queryKey: [msg('control.recordsOf'), chosen?.id],
    queryFn: async () => siteState(await fetchFacts(chosen!.id)),
    enabled: chosen !== null,
  });
  const there = records.data;
  const marks = (there?.control ?? [])
    .filter(({ revision: { body } }) => body.condition !== 'lost' && !body.retired)
    .sort((a, b) => compareNames(a.revision.body.name, b.revision.body.name));
  const listed = state.control
    .filter(({ revision: { body } }) => body.condition !== 'lost')
    .map(({ revision: { body } }) => body.name);
  const alike = (mark: ControlMark) => alikeName(mark.revision.body.name, listed);
  const taken = marks.filter((mark) => wanted.has(mark.id) && alike(mark) === null);
  const differs = there ? frameDifferences(state, there) : [];
  const bring = async () => {
    if (!there || !chosen) return;
    await say(
      ...taken.map((mark) => ({
        type: 'control' as const,
        body: broughtControl({ id: chosen.id, state: there }, mark, newId()),
      })),
    );
    onClose();
  };
  return (
    <Dialog
      open
      onClose={onClose}
      wide
      title={msg('control.marksFromAnotherSite')}
      foot={
        <>
          <Button onClick={onClose}>{msg('common.cancel')}</Button>
          <Button look="primary" disabled={taken.length === 0} onClick={() => void bring()}>
            {msg('control.bring', { taken: taken.length })}
          </Button>
        </>
      }
    >
      {sites.isError || records.isError ? (
        <p role="alert" className="border-l-4 border-ochre pl-3">
          {msg('control.theServerDoesNotAnswerOtherSites')}{' '}
          <Button
            look="quiet"
            onClick={() => {
              void sites.refetch();
              if (chosen) void records.refetch();
            }}
          >
            {msg('control.tryAgain')}
          </Button>
        </p>
      ) : sites.isPending || (chosen && records.isPending) ? (
        <p className="text-ink2">{msg('control.reading')}</p>
      ) : !chosen ? (
        <p>{msg('control.thereIsNoOtherSiteOnThis')}</p>
      ) : (
        <>
          <Choice
            label={msg('common.site')}
            value={chosen.id}
            options={others.map((each) => [each.id, each.name] as const)}
            onChange={(next) => {
              setSite(next);
              setWanted(new Set());
            }}
          />
          {differs.length > 0 && (
            <p className="mt-2 font-medium text-ochre">
              {msg('control.theSitesNameAnotherTheSameFigures', {
                differs: differs.map((field) => frameWords()[field]).join(' and '),
              })}
            </p>
          )}
          {marks.length === 0 && (
            <p className="mt-3">{msg('control.hasNoMarkThatCouldBeUsed', { name: chosen.name })}</p>
          )}
          <ul className="mt-2">
            {marks.map((mark) => {
              const { name, kind, condition, source, e, n, z } = mark.revision.body;
              const same = alike(mark);
              const life = markLife(there!, mark);
              return (
                <li key={mark.id} className="border-b border-rule py-1">
                  {same === null ? (
                    <Tick
                      label={
                        <>
                          <strong>{name}</strong>, {controlKindWords()[kind]}, {conditionWords()[condition]}
                        </>
                      }
                      checked={wanted.has(mark.id)}
                      onChange={(on) =>
                        setWanted(new Set(on ? [...wanted, mark.id] : [...wanted].filter((each) => each !== mark.id)))
                      }
                    />
                  ) : (
                    <p className="py-2 text-ink2">
                      <strong>{name}</strong>{' '}
                      {msg('control.isNotBroughtThisSiteLists', {
                        same: same === name ? msg('control.oneOfThatName') : msg('control.whichLooksAlike', { same }),
                      })}
                    </p>
                  )}
                  <p className="figures text-[13px] text-ink2">
                    {msg('control.heightTheLast', {
                      axes: units.axes.map((axis) => units.length(axis === 'e' ? e : n)).join(', '),
                      z: z === null ? 'none' : units.length(z),
                      source: source || msg('control.noSourceNoted'),
                      life: life.length,
                      dayAndTime: dayAndTime(life.at(-1)!.at),
                    })}
                  </p>
                </li>
              );
            })}
          </ul>
        </>
      )}
    </Dialog>
  );
}
