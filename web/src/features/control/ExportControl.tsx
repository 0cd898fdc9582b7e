import { DropdownMenu } from 'radix-ui';
import { controlCsv, controlLandXml, type WrittenMark } from '@idle-marker/formats';
import { fileWord } from '@idle-marker/paper';
import { controlListVersion, exportedAbout } from '@idle-marker/records';
import { msg, worded } from '@idle-marker/words';
import { addressOf } from '../../data/server.ts';
import { now } from '../../data/clock.ts';
import { PaperProgress } from '../../print/PaperProgress.tsx';
import { usePaper } from '../../print/usePaper.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { Button } from '../../ui/Button.tsx';
import { saveAs } from '../../ui/saveAs.ts';

const ITEM =
  'flex min-h-11 cursor-pointer items-center px-4 outline-none data-[highlighted]:bg-paper data-[highlighted]:underline';

/** Labels to stand beside the marks: name, height, and which revision. */
const labelChoices = worded(
  () =>
    [
      ['a4of24', msg('control.labelsA4Of24Pdf')],
      ['letterOf30', msg('control.labelsLetterOf30Pdf')],
      ['roll24', msg('control.labelsRollOf24MmPdf')],
    ] as const,
);

/** The control list for the other trades, in the unit of the site. */
export function ExportControl() {
  const { id, state, trust, who } = useSite();
  const { name } = state.settings;
  const marks = (): WrittenMark[] => state.control.map((mark) => mark.revision.body);
  const { version } = controlListVersion(state);
  const file = `${fileWord(name)}-control-v${version}`;
  const about = () => exportedAbout(state, trust, { at: now().toISOString(), by: who });
  const papers = usePaper();
  const { timeZone } = Intl.DateTimeFormat().resolvedOptions();
  const report = addressOf('controlReport', { site: id }, { at: now().toISOString(), by: who, timeZone });
  return (
    <>
      <PaperProgress papers={papers} />
      <DropdownMenu.Root>
        <DropdownMenu.Trigger asChild>
          <Button>{msg('control.export')}</Button>
        </DropdownMenu.Trigger>
        <DropdownMenu.Portal>
          <DropdownMenu.Content align="end" className="z-30 border-[1.5px] border-ink bg-sheet shadow-xl">
            <DropdownMenu.Label className="border-b border-rule px-4 py-2 text-[13px] text-ink2">
              {msg('control.listVersion', { version })}
            </DropdownMenu.Label>
            <DropdownMenu.Item
              className={ITEM}
              onSelect={() => saveAs(`${file}.csv`, 'text/csv', controlCsv(marks(), about()))}
            >
              {msg('common.asCsv')}
            </DropdownMenu.Item>
            <DropdownMenu.Item
              className={ITEM}
              onSelect={() => saveAs(`${file}.xml`, 'application/xml', controlLandXml(marks(), about(), version))}
            >
              {msg('control.asLandxml')}
            </DropdownMenu.Item>
            {labelChoices().map(([format, words]) => (
              <DropdownMenu.Item
                key={format}
                className={ITEM}
                onSelect={() =>
                  void papers.fetchPaper(
                    'controlLabelsPaper',
                    { site: id },
                    {
                      body: { at: now().toISOString(), by: who, timeZone, format },
                    },
                  )
                }
              >
                {words}
              </DropdownMenu.Item>
            ))}
            <DropdownMenu.Item className={ITEM} asChild>
              <a href={report} download>
                {msg('control.controlReportOnePagePdf')}
              </a>
            </DropdownMenu.Item>
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      </DropdownMenu.Root>
    </>
  );
}
