import type { ControlMark, ProofCandidate } from '@idle-marker/records';
import { msg, aboutLength, worded, partWord } from '@idle-marker/words';
import { useNaming } from '../../site/useNaming.ts';
import { Button } from '../../ui/Button.tsx';
import { TABLE, TD, TD_WORD, TH, TH_WORD } from '../../ui/table.ts';
import { clockTime } from '../../ui/time.ts';
import { Explained } from '../../ui/Explained.tsx';

interface CandidateTableProps {
  readonly candidates: readonly ProofCandidate[];
  readonly chosen: string | null;
  readonly busy: boolean;
  onChoose(mark: string): void;
  onProve(mark: ControlMark): void;
}

const usedAs = worded(
  () =>
    ({
      both: msg('prove.usedARepeat'),
      plan: msg('prove.usedInPlan'),
      height: msg('prove.usedInHeight'),
    }) as const,
);

/** Marks to prove on: what the station did not use first, and of these the ones kept for it. */
export function CandidateTable({ candidates, chosen, busy, onChoose, onProve }: CandidateTableProps) {
  const naming = useNaming();
  return (
    <table className={TABLE}>
      <thead>
        <tr>
          <th className={TH_WORD}>{msg('common.mark')}</th>
          <th className={TH_WORD}>{msg('prove.forTheStationItIs')}</th>
          <th className={TH}>
            <Explained term="unseenEffect">{msg('common.unseenEffect')}</Explained>
          </th>
          <th className={TH_WORD}>{msg('prove.lastSighted')}</th>
          <th className={TH}>
            <span className="sr-only">{msg('common.sightIt')}</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {candidates.map(({ mark, used, proves, last, onPostOf, hidden }) => {
          const use = used.plan && used.height ? 'both' : used.plan ? 'plan' : used.height ? 'height' : null;
          const part = proves.length === 1 ? proves[0]! : null;
          return (
            <tr key={mark.id} className={chosen === mark.id ? 'outline-2 -outline-offset-2 outline-spruce' : ''}>
              <td className={TD_WORD}>
                <button
                  type="button"
                  className="min-h-11 min-w-11 text-left font-semibold"
                  onClick={() => onChoose(mark.id)}
                >
                  {mark.revision.body.name}
                </button>
              </td>
              <td className={TD_WORD}>
                {use !== null ? (
                  <>
                    {usedAs()[use]}
                    {part && <strong>{msg('prove.proves', { part })}</strong>}
                  </>
                ) : onPostOf === null ? (
                  <strong>
                    {part
                      ? msg('prove.unused', { part: msg('prove.proves2', { part: partWord(part) }) })
                      : msg('prove.notUsedProvesTheStation')}
                  </strong>
                ) : (
                  msg('prove.onThePostOfHardlyAProof', { name: naming.nameOf(onPostOf) })
                )}
              </td>
              <td className={TD}>{hidden === null ? '' : aboutLength(hidden, naming.unit)}</td>
              <td className={TD_WORD}>{last ? clockTime(last.at) : '–'}</td>
              <td className={TD}>
                <Button
                  className="my-0.5 px-3 text-[14px]"
                  disabled={busy}
                  onClick={() => onProve(mark)}
                  aria-label={msg('common.proveOn', { name: mark.revision.body.name })}
                >
                  {msg('common.sight')}
                </Button>
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
