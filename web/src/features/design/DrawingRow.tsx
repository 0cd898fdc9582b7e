import { readAgain, type ShownDrawing } from '../../drawings/useDrawings.ts';
import { cancelDrawings } from '../../drawings/drawings.ts';
import { useUnits } from '../../field/useUnits.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { besideAddress } from '../../data/beside.ts';
import { msg, offWords, smallLength, drawingUnitWords } from '@idle-marker/words';
import { Button } from '../../ui/Button.tsx';
import { LINK } from '../../ui/link.ts';
import { NewReadingNotice } from './NewReadingNotice.tsx';

interface DrawingRowProps {
  readonly drawing: ShownDrawing;
  onChange(): void;
  onReplace(): void;
  /** Its file once more, to be placed by pairs. */
  onPlace(): void;
}

/** A drawing of the site: what it is, how it is placed, and what can be done with it. */
export function DrawingRow({ drawing, onChange, onReplace, onPlace }: DrawingRowProps) {
  const { fact, state } = drawing;
  const { id, state: site } = useSite();
  const units = useUnits();
  const { name, fileName, unit, placing, hidden, supersedes, file } = fact.body;
  return (
    <>
      <div className="flex flex-wrap items-baseline justify-between gap-x-3 px-[18px] py-1.5">
        <span>
          <strong>{msg('design.drawing', { name })}</strong>:{' '}
          <a className={LINK} href={besideAddress(id, 'sources', file)} download={fileName}>
            {fileName}
          </a>
          {msg('design.in', {
            name: drawingUnitWords(unit.name),
            pairs:
              placing &&
              msg('design.placedByPairsWithinMm', {
                pairs: placing.pairs,
                misfit: smallLength(placing.misfitMm / 1000, units.lengthUnit),
              }),
            value: supersedes && msg('design.aLaterRevision'),
            hidden: hidden.length > 0 && msg('design.off', { hidden: hidden.length }),
          })}{' '}
          {state.status === 'reading' && (
            <span className="text-ink2">
              {msg('design.reading2', { share: Math.round(state.share * 100) })}{' '}
              <Button look="quiet" onClick={cancelDrawings}>
                {msg('common.cancel')}
              </Button>
            </span>
          )}
          {state.status === 'failed' && (
            <>
              <span className="font-medium text-brick">{state.trouble}</span>{' '}
              <Button look="quiet" onClick={() => void readAgain(id, fact, site.settings.lengthUnit)}>
                {msg('common.readAgain')}
              </Button>
            </>
          )}
          {placing?.misfits && (
            <span className="block text-[13px] text-ink2">
              {msg('design.leftAtEach', {
                misfits: placing.misfits
                  .map(
                    (each) => `${each.name} ${offWords(each.dEMm / 1000, each.dNMm / 1000, site.settings.lengthUnit)}`,
                  )
                  .join('; '),
              })}
            </span>
          )}
        </span>
        <span className="flex gap-3">
          <Button look="quiet" aria-label={msg('design.placeAnew', { name })} onClick={onPlace}>
            {msg('design.place')}
          </Button>
          <Button look="quiet" aria-label={msg('design.replace', { name })} onClick={onReplace}>
            {msg('design.replace2')}
          </Button>
          <Button look="quiet" aria-label={msg('design.layersOf', { name })} onClick={onChange}>
            {msg('design.layers2')}
          </Button>
        </span>
      </div>
      <NewReadingNotice drawing={drawing} onTake={onPlace} />
    </>
  );
}
