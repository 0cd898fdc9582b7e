import { formatSigned } from '@idle-marker/core';
import { lineName, siteLines, type DrawnLine, type LineSight } from '@idle-marker/records';
import { msg, smallUnit } from '@idle-marker/words';
import { useSite } from '../../site/SiteContext.tsx';
import { useUnits } from '../../field/useUnits.ts';
import { currentLink } from '../../link/linkStore.ts';
import type { Shooting } from '../../pole/takeSight.ts';
import { Button } from '../../ui/Button.tsx';
import { TABLE, TD, TD_WORD, TH, TH_WORD } from '../../ui/table.ts';
import { Explained } from '../../ui/Explained.tsx';

/** Where along a line the simulated pole goes: elsewhere at each sight. */
const ALONG = [0.25, 0.75, 0.5, 0.1, 0.9] as const;

interface LineSightsProps {
  readonly lines: readonly LineSight[];
  readonly shooting: Shooting;
}

/** Sights to points on lines, how they lie, and the lines that can be sighted. */
export function LineSights({ lines, shooting }: LineSightsProps) {
  const { state, say } = useSite();
  const units = useUnits();
  const small = smallUnit(units.lengthUnit);
  const drawn = siteLines(state);
  const sight = async (line: DrawnLine) => {
    if (currentLink()?.kind === 'simulator') {
      const f = ALONG[lines.length % ALONG.length]!;
      const place = { e: line.from.e + f * (line.to.e - line.from.e), n: line.from.n + f * (line.to.n - line.from.n) };
      if (!(await shooting.walk(place))) return;
    }
    await shooting.shoot('station', line.target, null);
  };
  return (
    <>
      {lines.length > 0 && (
        <table className={TABLE}>
          <thead>
            <tr>
              <th className={TH_WORD}>{msg('common.onTheLine')}</th>
              <th className={TH}>{msg('station.offIt', { name: small.name })}</th>
              <th className={TH}>
                <Explained term="residualRatio">{msg('common.ratio')}</Explained>
              </th>
              <th className={TH}>
                <span className="sr-only">{msg('station.withdrawSight')}</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {lines.map(({ sight: taken, line, residual }) => (
              <tr key={taken.id} className={residual?.exceeds ? 'bg-brick-tint text-brick' : ''}>
                <td className={TD_WORD}>{line}</td>
                <td className={TD}>{residual ? formatSigned(residual.off * small.perMetre, small.decimals) : '–'}</td>
                <td className={TD}>
                  {residual?.w === null || residual?.w === undefined ? '–' : Math.abs(residual.w).toFixed(1)}
                </td>
                <td className={TD}>
                  <Button
                    look="quiet"
                    aria-label={msg('station.takeBackTheSightTo', { line })}
                    onClick={() =>
                      void say({
                        type: 'withdrawal',
                        body: {
                          record: taken.id,
                          occupation: null,
                          reason: msg('station.theSightToWasTakenBack', { line }),
                        },
                      })
                    }
                  >
                    {msg('station.withdrawSight')}
                  </Button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {lines.length < 3 && (
        <p className="my-2 text-ink2">
          {msg('station.moreAStationTheyMustNotAll', {
            value: 3 - lines.length,
            lines: lines.length === 2 ? msg('station.sightGives') : msg('station.sightsGive'),
          })}
        </p>
      )}
      <h2 className="mt-4 mb-1 text-[15px]">{msg('station.linesToSight')}</h2>
      <ul>
        {drawn.map((line) => (
          <li
            key={lineName(line.target) + line.target.package}
            className="flex items-center justify-between gap-3 border-b border-rule"
          >
            <span>{line.name}</span>
            <Button
              className="my-0.5 px-3 text-[14px]"
              disabled={shooting.doing !== null}
              onClick={() => void sight(line)}
              aria-label={msg('common.sight2', { name: line.name })}
            >
              {msg('common.sight')}
            </Button>
          </li>
        ))}
      </ul>
    </>
  );
}
