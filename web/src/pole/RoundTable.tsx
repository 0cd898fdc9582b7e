import { hindranceFrom, isOpen, keepClearOf, withProofDue, type RoundStop } from '@idle-marker/records';
import type { PlanPoint } from '@idle-marker/core';
import { msg, standingWords } from '@idle-marker/words';
import { Link } from 'react-router';
import { useProofAge } from '../site/railFacts.ts';
import { useSite } from '../site/SiteContext.tsx';
import { useProofCandidates } from '../site/useProofCandidates.ts';
import { useUnits } from '../field/useUnits.ts';
import { Button } from '../ui/Button.tsx';
import { LINK } from '../ui/link.ts';
import { TABLE, TD, TD_WORD, TH, TH_WORD } from '../ui/table.ts';

type RoundRow = RoundStop & { readonly walk: number };

const STATE = { rough: 'rough', set: 'set', confirmed: 'confirmed' } as const;

function stateWords({ mark, standing, outdated, obstruction }: RoundRow): { text: string; tone: string } {
  if (obstruction) return { text: `blocked: ${obstruction.body.what}`, tone: 'text-ochre' };
  if (!mark) return { text: msg('pole.toSet'), tone: 'text-ink2' };
  if (mark.body.state === 'rough') return { text: 'rough', tone: 'text-ink2' };
  if (outdated) return { text: msg('pole.ofAnEarlierPlan'), tone: 'font-semibold text-brick' };
  const text = standing ? `${STATE[mark.body.state]}, ${standingWords()[standing]}` : STATE[mark.body.state];
  return { text, tone: standing === 'inDoubt' ? 'font-semibold text-brick' : 'text-good' };
}

interface RoundTableProps {
  readonly rows: readonly RoundRow[];
  readonly chosen: string;
  /** Null where its place is not known: then nothing is said of sights. */
  readonly instrument: PlanPoint | null;
  readonly minutesPerMark: number | null;
  onChoose(key: string): void;
  onFirst(key: string): void;
}

/** All marks of the package in walking order: what is seen from here first, with the next proof worked in. */
export function RoundTable({ rows, chosen, instrument, minutesPerMark, onChoose, onFirst }: RoundTableProps) {
  const { id, state } = useSite();
  const units = useUnits();
  const age = useProofAge();
  const areas = keepClearOf(state);
  const hindered = new Map(
    rows.flatMap((row) =>
      isOpen(row) && instrument ? [[row.plan.key, hindranceFrom(instrument, row, areas)] as const] : [],
    ),
  );
  const waits = (row: RoundRow) => Boolean(hindered.get(row.plan.key));
  const [candidate] = useProofCandidates();
  const minutesLeft = age ? (age.due ? 0 : Math.max(0, state.settings.proofIntervalMinutes - age.minutes)) : 0;
  const open = rows.filter((row) => isOpen(row) && !waits(row));
  const rest = rows.filter((row) => isOpen(row) && waits(row));
  const done = rows.filter((row) => !isOpen(row));
  const entries = withProofDue(
    [...open, ...rest, ...done],
    (row) => isOpen(row) && !waits(row),
    open.length > 0 ? (candidate ?? null) : null,
    minutesLeft,
    minutesPerMark,
  );
  return (
    <table className={`${TABLE} mt-3`}>
      <thead>
        <tr>
          <th className={TH_WORD}>{msg('pole.inWalkingOrder')}</th>
          <th className={TH}>{msg('pole.walk')}</th>
          <th className={TH}>{msg('common.state')}</th>
          <th className={TH}>
            <span className="sr-only">{msg('pole.putFirst')}</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {entries.map((entry) => {
          if (entry.kind === 'proof')
            return (
              <tr key="proof" className="bg-paper">
                <td className={TD_WORD} colSpan={4}>
                  <Link className={LINK} to={`/sites/${id}/prove`}>
                    {msg('common.proveOn', { name: entry.on.mark.revision.body.name })}
                  </Link>{' '}
                  <span className="text-ochre">
                    {entry.afterMinutes === 0
                      ? msg('pole.dueNow')
                      : msg('pole.dueInMin', { afterMinutes: Math.round(entry.afterMinutes) })}
                  </span>
                </td>
              </tr>
            );
          const row = entry.stop;
          const { key, name } = row.plan;
          const { text, tone } = stateWords(row);
          const hindrance = hindered.get(key) ?? null;
          return (
            <tr key={key} className={key === chosen ? 'outline-2 -outline-offset-2 outline-spruce' : ''}>
              <td className={TD_WORD}>
                <button
                  type="button"
                  className="min-h-11 w-full text-left font-semibold"
                  aria-current={key === chosen}
                  onClick={() => onChoose(key)}
                >
                  {name}
                </button>
              </td>
              <td className={TD}>{units.length(row.walk, 1)}</td>
              <td className={`${TD} ${tone}`}>
                {row.mark === null && row.obstruction === null && key === chosen ? 'now' : text}
                {hindrance && (
                  <span className="block text-[13px] text-ochre">
                    {hindrance.code === 'HIDDEN'
                      ? msg('pole.notSeenFromHere', { by: hindrance.by })
                      : msg('pole.fartherThan', { length: units.length(hindrance.most, 0), unit: units.unit })}
                  </span>
                )}
              </td>
              <td className={TD}>
                {isOpen(row) && key !== chosen && (
                  <Button look="quiet" aria-label={msg('pole.putFirst2', { name })} onClick={() => onFirst(key)}>
                    {msg('common.first')}
                  </Button>
                )}
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
