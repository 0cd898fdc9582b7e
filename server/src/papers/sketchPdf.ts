/** The sketch of a package on a sheet of paper. */
import { sketchScene, type SketchOptions } from '@idle-marker/paper';
import type { CutSheet } from '@idle-marker/records';
import { msg } from '@idle-marker/words';
import { drawScene, finish, measureOn, newDocument } from '../pdf/pdfPage.ts';

export async function sketchPdf(
  sheet: CutSheet & { readonly number?: number; readonly revision?: number },
  options: SketchOptions,
): Promise<Buffer> {
  const page = newDocument(msg('papers.sketch', { package: sheet.package }), {
    size: options.paper,
    upright: options.upright,
  });
  const { pages } = sketchScene(sheet, options, measureOn(page));
  for (const [i, scene] of pages.entries()) {
    if (i > 0) page.addPage();
    drawScene(page, scene);
  }
  return finish(page);
}
