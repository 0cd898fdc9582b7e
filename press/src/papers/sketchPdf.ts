/** The sketch of a package on a sheet of paper. */
import { sketchScene, type SketchOptions } from '@idle-marker/paper';
import type { CutSheet } from '@idle-marker/records';
import { msg, sheetClock } from '@idle-marker/words';
import { Flow } from '../pdf/flow.ts';
import { drawScene, finish, measureOn, newDocument } from '../pdf/pdfPage.ts';

export async function sketchPdf(
  sheet: CutSheet & { readonly number?: number; readonly revision?: number },
  options: SketchOptions,
): Promise<Buffer> {
  const title = msg('papers.sketch', { package: sheet.package });
  const page = newDocument(title);
  const { pages } = sketchScene(sheet, options, measureOn(page));
  const flow = new Flow(page, { size: options.paper, upright: options.upright });
  for (const [i, scene] of pages.entries()) {
    if (i > 0) flow.newPage();
    drawScene(page, scene, scene.title);
  }
  const clock = sheetClock(sheet.timeZone, sheet.issuedAt);
  const { number, revision } = sheet;
  flow.foot(
    [
      number === undefined || revision === undefined ? null : msg('papers.cutSheetRevision2', { number, revision }),
      title,
      sheet.site,
    ]
      .filter((part) => part !== null)
      .join(' · '),
    {
      by: msg('papers.issuedBy', {
        day: clock.day(sheet.issuedAt),
        time: clock.time(sheet.issuedAt),
        issuedBy: sheet.issuedBy,
      }),
    },
  );
  return finish(page);
}
