import { msg, nextTrades, type NextTrade } from '@idle-marker/words';
import { Button } from '../../ui/Button.tsx';

interface NextTradeButtonsProps {
  readonly use: string;
  readonly onTake: (trade: NextTrade) => void;
}

/**
 * Who builds from the marks: fills in the use and the kind of mark that suits it, and says why. All of it can be
 * changed after.
 */
export function NextTradeButtons({ use, onTake }: NextTradeButtonsProps) {
  const taken = nextTrades().find((trade) => trade.use === use.trim());
  return (
    <div role="group" aria-label={msg('design.whoBuildsFromThem')} className="sm:col-span-3">
      <p className="text-[13px] text-ink2">{msg('design.whoBuildsFromThemFillsInThe')}</p>
      <div className="flex flex-wrap gap-2">
        {nextTrades().map((trade) => (
          <Button
            key={trade.id}
            look="quiet"
            aria-pressed={trade === taken}
            className={trade === taken ? 'underline' : ''}
            onClick={() => onTake(trade)}
          >
            {trade.name}
          </Button>
        ))}
      </div>
      {taken && <p className="text-[13px] text-ochre">{taken.advice}</p>}
    </div>
  );
}
