import { useState, type ReactNode } from 'react';
import { alikeName, familyOf, isProvenControl, markHistory, markTrend, type ControlMark } from '@idle-marker/records';
import { msg, controlKindWords, firmnessOf, firmnessWords, VISIT, partWord } from '@idle-marker/words';
import { usePaper } from '../../print/usePaper.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { useUnits } from '../../field/useUnits.ts';
import { dayAndTime } from '../../ui/time.ts';
import { useVisit, type VisitOutcome } from './useVisit.ts';

export interface MarkPageProps {
  readonly mark: ControlMark;
  onClose(): void;
  onRevise(): void;
  onMoved(): void;
}

/** What MarkPage shows, and what its buttons do. */
export function useMarkPage({ mark }: Pick<MarkPageProps, 'mark'>) {
  const { id, state, who, now } = useSite();
  const papers = usePaper();
  const units = useUnits();
  const [noted, setNoted] = useState<string | null>(null);
  const { body } = mark.revision;
  const looks = markHistory(state, mark.id);
  const trend = markTrend(looks);
  const family = familyOf(state, mark);
  const visits = state.visits.get(mark.id) ?? [];
  const firmness = firmnessOf(body);
  const alike = alikeName(
    body.name,
    state.control
      .filter((each) => each.id !== mark.id && each.revision.body.condition !== 'lost')
      .map((each) => each.revision.body.name),
  );
  const today = now.toISOString().slice(0, 10);
  const overdue = (body.useBefore ?? today) < today;
  const note = useVisit();
  const visit = async (outcome: VisitOutcome) => {
    await note(mark, outcome);
    setNoted(VISIT[outcome]);
  };
  const facts: readonly (readonly [string, ReactNode])[] = [
    [
      msg('control.type'),
      `${controlKindWords()[body.kind]}${body.spot ? msg('control.thePointIs', { spot: body.spot }) : ''}`,
    ],
    [
      msg('common.firmness'),
      `${firmnessWords()[firmness]}${body.firmness ? `: ${body.firmness.reason}` : msg('control.ratedFromItsKind')}`,
    ],
    [msg('common.setBy'), [body.setBy, body.setOn].filter(Boolean).join(', ') || msg('control.notNoted')],
    [msg('control.coordinatesFrom'), body.source || msg('control.notNoted')],
    [
      msg('common.heightFrom'),
      body.heightSource ?? (body.z === null ? msg('control.itHasNone') : msg('control.theSameSource')),
    ],
    ...(body.z !== null
      ? [
          [
            msg('common.height'),
            msg('control.trueHeight', {
              length: units.length(body.z),
              unit: units.unit,
              siteZero:
                state.settings.siteZero === null
                  ? ''
                  : msg('control.againstSiteZero2', { length: units.length(body.z - state.settings.siteZero) }),
            }),
          ] as const,
        ]
      : []),
    [
      msg('control.useFor'),
      [body.usePlan && 'plan', body.useHeight && partWord('height')].filter(Boolean).join(' and ') || 'nothing',
    ],
    ...(body.useBefore
      ? [
          [
            msg('control.useBefore'),
            <span
              className={overdue ? 'font-semibold text-brick' : ''}
            >{`${body.useBefore}${overdue ? msg('control.overdueReplaceIt') : ''}`}</span>,
          ] as const,
        ]
      : []),
    ...(body.validFor ? [[msg('control.validFor'), body.validFor] as const] : []),
    ...(body.retired ? [[msg('control.retired'), body.retired] as const] : []),
    ...(family.generation > 0
      ? [
          [
            msg('control.family'),
            msg('control.measuredFromWhichStoodOnGeneration', {
              station: family.station,
              parents: family.parents.join(', '),
              generation: family.generation,
              generation2: family.generation > 2 ? msg('control.theChainIsLongEachStationAdds') : '',
            }),
          ] as const,
          [
            msg('control.proven'),
            isProvenControl(state, mark) ? msg('control.byASecondStation') : msg('control.notYetByASecondFreshStation'),
          ] as const,
        ]
      : []),
    ...(alike === null
      ? []
      : [
          [
            msg('control.looksLike'),
            <span className="font-semibold text-ochre">{msg('control.giveOneOfThemANewName', { alike })}</span>,
          ] as const,
        ]),
    [
      msg('control.lastSeen'),
      visits.length > 0
        ? `${dayAndTime(visits.at(-1)!.at)}, ${VISIT[visits.at(-1)!.body.outcome]}`
        : msg('control.neverNoted'),
    ],
  ];
  return { id, who, now, papers, units, noted, body, looks, trend, visit, facts };
}
