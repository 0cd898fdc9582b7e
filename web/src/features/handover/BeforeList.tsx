import type { Fact } from '@idle-marker/contract';
import type { stakesBefore } from '@idle-marker/records';
import { heightReferenceWords, hubPlaceWords, msg } from '@idle-marker/words';
import { useSite } from '../../site/SiteContext.tsx';
import { useUnits } from '../../field/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { TABLE, TD, TD_WORD, TH, TH_WORD } from '../../ui/table.ts';

interface BeforeListProps {
  readonly work: Fact<'package'>;
  readonly stakes: ReturnType<typeof stakesBefore>;
  onClose(): void;
}

/** The evening before: every mark with what its stake will say, and room for what only the driven hub gives. */
export function BeforeList({ work, stakes, onClose }: BeforeListProps) {
  const { state } = useSite();
  const units = useUnits();
  const title = msg('handover.listBeforeTitle', { name: work.body.name, site: state.settings.name });
  return (
    <div className="flex-1 overflow-y-auto p-5 max-md:p-3">
      <div className="mb-3 flex gap-2">
        <Button look="primary" onClick={() => window.print()}>
          {msg('handover.printList')}
        </Button>
        <Button onClick={onClose}>{msg('common.close')}</Button>
      </div>
      <section className="printed" aria-label={title}>
        <h2 className="mb-2 text-[17px]">{title}</h2>
        <table className={TABLE}>
          <thead>
            <tr>
              <th className={TH_WORD}>{msg('common.mark')}</th>
              <th className={TH_WORD}>{msg('handover.offsetTo')}</th>
              <th className={TH}>
                {heightReferenceWords()[work.body.heightReference]} ({units.unit})
              </th>
              <th className={TH}>
                {msg('common.hub')} ({units.unit})
              </th>
              <th className={TH}>{msg('handover.cutFill')}</th>
            </tr>
          </thead>
          <tbody>
            {stakes.map(({ plan }) => (
              <tr key={plan.key}>
                <td className={`${TD_WORD} h-9 font-semibold`}>{plan.name}</td>
                <td className={TD_WORD}>{hubPlaceWords(plan, units.lengthUnit)}</td>
                <td className={TD}>{units.length(plan.designZ)}</td>
                <td className={`${TD} w-28 border-l border-ink`} />
                <td className={`${TD} w-28 border-l border-ink`} />
              </tr>
            ))}
          </tbody>
        </table>
      </section>
    </div>
  );
}
