import type { Reliability, Unnoticed } from '@idle-marker/core';
import { msg, aboutLength, eitherWay, unnoticedSubject, unnoticedWords } from '@idle-marker/words';
import { useNaming } from '../../site/useNaming.ts';
import { useUnits } from '../../field/useUnits.ts';
import { TABLE, TD, TD_WORD, TH, TH_WORD } from '../../ui/table.ts';
import { Explained } from '../../ui/Explained.tsx';

/** How tight is one thing, how checkable another: what could be wrong without being noticed, and what it would do. */
export function Unseen({ reliability, chosen }: { readonly reliability: Reliability; readonly chosen: string | null }) {
  const naming = useNaming();
  const units = useUnits();
  const [worst] = reliability.unnoticed;
  if (!worst) return null;
  const own = reliability.unnoticed.find((each) => chosen !== null && each.names.includes(chosen));
  const size = ({ fault, noticed }: Unnoticed): string => {
    if (noticed === null) return 'any';
    return fault === 'SCALE'
      ? msg('station.ppm', { noticed: Math.round(noticed * 1e6) })
      : aboutLength(noticed, units.lengthUnit);
  };
  return (
    <details className="mt-2 border-y border-rule">
      <summary className="min-h-11 cursor-pointer py-2.5">
        <strong>{unnoticedSubject(worst, naming).replace(/^./, (first) => first.toUpperCase())}:</strong>{' '}
        {unnoticedWords(worst, naming)}
      </summary>
      {own && own !== worst && (
        <p className="pb-1">
          <strong>{unnoticedSubject(own, naming)}:</strong> {unnoticedWords(own, naming)}
        </p>
      )}
      <table className={TABLE}>
        <thead>
          <tr>
            <th className={TH_WORD}>{msg('station.mistakeAt')}</th>
            <th className={TH}>{msg('station.noticedFrom')}</th>
            <th className={TH}>
              <Explained term="unseenEffect">{msg('common.unseenEffect')}</Explained>
            </th>
            <th className={TH_WORD}>{msg('station.blindDirection')}</th>
          </tr>
        </thead>
        <tbody>
          {reliability.unnoticed.map((each) => (
            <tr
              key={each.fault + each.names.join()}
              className={each === own ? 'outline-2 -outline-offset-2 outline-spruce' : ''}
            >
              <td className={TD_WORD}>{unnoticedSubject(each, naming)}</td>
              <td className={TD}>{size(each)}</td>
              <td className={TD}>{each.effect === null ? 'any' : aboutLength(each.effect, units.lengthUnit)}</td>
              <td className={`${TD_WORD} text-[13px]`}>{each.blind === null ? '' : eitherWay(each.blind)}</td>
            </tr>
          ))}
          {reliability.height?.unnoticed.map(({ names, noticed, effect }) => (
            <tr key={`height ${names.join()}`}>
              <td className={TD_WORD}>
                {msg('station.heightOf', { names: names.map((name) => naming.nameOf(name)).join(' and ') })}
              </td>
              <td className={TD}>{noticed === null ? 'any' : aboutLength(noticed, units.lengthUnit)}</td>
              <td className={TD}>{effect === null ? 'any' : aboutLength(effect, units.lengthUnit)}</td>
              <td className={TD_WORD} />
            </tr>
          ))}
        </tbody>
      </table>
      <p className="pb-2 text-[13px] text-ink2">{msg('station.whatIsLargerIsFoundFourTimes')}</p>
    </details>
  );
}
