import { DropdownMenu } from 'radix-ui';
import { controlCsv, controlLandXml, type WrittenMark } from '@idle-marker/formats';
import { now } from '../../ledger/clock.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { Button } from '../../ui/Button.tsx';
import { saveAs } from '../../ui/saveAs.ts';

const ITEM = 'flex min-h-11 cursor-pointer items-center px-4 outline-none data-[highlighted]:bg-paper data-[highlighted]:underline';

/** The control list for the other trades, in the unit of the site. */
export function ExportControl() {
  const { id, state, who } = useSite();
  const { lengthUnit, name } = state.settings;
  const marks = (): WrittenMark[] => state.control.map((mark) => mark.revision.body);
  const file = name.toLowerCase().replace(/[^a-z0-9]+/g, '-');
  const stamp = () => {
    const [date, time] = now().toISOString().split('T');
    return { date: date!, time: time!.slice(0, 8) };
  };
  const { timeZone } = Intl.DateTimeFormat().resolvedOptions();
  const report = `/api/v1/sites/${id}/control-report?${new URLSearchParams({ at: now().toISOString(), by: who, timeZone }).toString()}`;
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger asChild>
        <Button>Export…</Button>
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content align="end" className="z-30 border-[1.5px] border-ink bg-sheet shadow-xl">
          <DropdownMenu.Item className={ITEM} onSelect={() => saveAs(`${file}-control.csv`, 'text/csv', controlCsv(marks(), lengthUnit))}>
            As CSV
          </DropdownMenu.Item>
          <DropdownMenu.Item className={ITEM} onSelect={() => saveAs(`${file}-control.xml`, 'application/xml', controlLandXml(marks(), lengthUnit, stamp()))}>
            As LandXML
          </DropdownMenu.Item>
          <DropdownMenu.Item className={ITEM} asChild>
            <a href={report} download>
              Control report, one page (PDF)
            </a>
          </DropdownMenu.Item>
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
