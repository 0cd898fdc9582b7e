import type { Proposal } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { compareNames, decidedSolution } from '@idle-marker/records';
import { msg, standingWords } from '@idle-marker/words';
import { useSite } from '../../site/SiteContext.tsx';
import { Button } from '../../ui/Button.tsx';
import { TABLE, TD, TD_WORD, TH, TH_WORD } from '../../ui/table.ts';

interface SetMarksProps {
  readonly busy: boolean;
  onResight(mark: Fact<'mark'>): void;
}

const SHOWN = 40;
/** Marks that should be sighted again come first, then those that nothing vouches for yet. */
const ORDER = ['inDoubt', 'unproven', 'open', 'notMeasured', 'held'] as const;

/**
 * Marks as set, to be sighted again: from another station it proves them, from their own it shows whether anything
 * moved.
 */
export function SetMarks({ busy, onResight }: SetMarksProps) {
  const { state, trust, inForce } = useSite();
  const asked = new Map(
    trust.propose.flatMap((each: Proposal) =>
      each.mark && each.action === 'resight' ? [[each.mark, each] as const] : [],
    ),
  );
  const standings = new Map(trust.marks.map((mark) => [mark.id, mark.standing]));
  const rank = (mark: Fact<'mark'>) => (asked.has(mark.id) ? -1 : ORDER.indexOf(standings.get(mark.id) ?? 'held'));
  const marks = [...state.marks.values()]
    .filter((mark) => mark.body.state !== 'rough')
    .sort((a, b) => rank(a) - rank(b) || compareNames(a.body.name, b.body.name));
  if (marks.length === 0) return <p className="mt-3 text-ink2">{msg('prove.noMarkIsSetYetThereIs')}</p>;
  return (
    <>
      <table className={TABLE}>
        <thead>
          <tr>
            <th className={TH_WORD}>{msg('common.mark')}</th>
            <th className={TH_WORD}>{msg('prove.setFrom')}</th>
            <th className={TH_WORD}>{msg('prove.itIs')}</th>
            <th className={TH}>
              <span className="sr-only">{msg('prove.sightItAgain')}</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {marks.slice(0, SHOWN).map((mark) => {
            const station = decidedSolution(state, mark.body.solution)?.fact;
            const standing = standings.get(mark.id);
            return (
              <tr key={mark.id}>
                <td className={`${TD_WORD} font-semibold`}>{mark.body.name}</td>
                <td className={TD_WORD}>{station?.id === inForce?.fact.id ? 'here' : (station?.body.name ?? '?')}</td>
                <td className={`${TD_WORD} ${standing === 'inDoubt' ? 'font-semibold text-brick' : ''}`}>
                  {standing ? standingWords()[standing] : '–'}
                  {asked.has(mark.id) && <strong className="block text-ochre">{msg('prove.sightThisOneNext')}</strong>}
                </td>
                <td className={TD}>
                  <Button
                    className="my-0.5 px-3 text-[14px]"
                    disabled={busy}
                    onClick={() => onResight(mark)}
                    aria-label={msg('common.sightAgain', { name: mark.body.name })}
                  >
                    {msg('common.sight')}
                  </Button>
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      {marks.length > SHOWN && (
        <p className="mt-1 text-ink2">{msg('prove.andMoreWhichNothingAsksFor', { marks: marks.length - SHOWN })}</p>
      )}
      <p className="mt-1.5 text-[13px] leading-snug text-ink2">{msg('prove.sightedFromAStationThatIsProven')}</p>
    </>
  );
}
