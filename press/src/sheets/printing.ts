/**
 * How the sheets of a workbook are printed: what of them, as wide as the paper, with their heads on every page (Office
 * Open XML, ECMA-376, "definedName" and "pageSetup").
 */

/** What is printed of one sheet, from its first cell on. */
export interface Printed {
  readonly columns: number;
  readonly rows: number;
  /** The first row stands on every page. */
  readonly head: boolean;
}

/** 1 is A, 27 is AA. */
function columnName(column: number): string {
  let name = '';
  for (let rest = column; rest > 0; rest = Math.floor((rest - 1) / 26))
    name = String.fromCharCode(65 + ((rest - 1) % 26)) + name;
  return name;
}

interface SheetNamed {
  readonly sheet?: string | undefined;
}

const quoted = (name: string): string => `'${name.replace(/'/g, "''").replace(/&/g, '&amp;').replace(/</g, '&lt;')}'`;

/** For the writer of workbooks: print areas, heads on every page, and pages as wide as the paper. */
export const printing = (printed: readonly Printed[]) => ({
  files: {
    transform: {
      'xl/workbook.xml': {
        transform: (xml: string, sheets: readonly SheetNamed[]) => {
          const names = printed.flatMap(({ columns, rows, head }, i) => {
            const sheet = quoted(sheets[i]?.sheet ?? `Sheet${i + 1}`);
            const area = `${sheet}!$A$1:$${columnName(columns)}$${rows}`;
            return [
              `<definedName name="_xlnm.Print_Area" localSheetId="${i}">${area}</definedName>`,
              ...(head
                ? [
                    `<definedName name="_xlnm.Print_Titles" localSheetId="${i}">${sheet}!$A:$A,${sheet}!$1:$1</definedName>`,
                  ]
                : []),
            ];
          });
          return xml.replace('</sheets>', `</sheets><definedNames>${names.join('')}</definedNames>`);
        },
      },
      'xl/worksheets/sheet{id}.xml': {
        transform: (xml: string) => withFit(xml).replace(/<pageSetup /, '<pageSetup fitToWidth="1" fitToHeight="0" '),
      },
    },
  },
});

/** Says that a page is made to fit, at the place that the schema has for it. */
function withFit(xml: string): string {
  const fit = '<pageSetUpPr fitToPage="1"/>';
  if (xml.includes('<sheetPr/>')) return xml.replace('<sheetPr/>', `<sheetPr>${fit}</sheetPr>`);
  if (xml.includes('</sheetPr>')) return xml.replace('</sheetPr>', `${fit}</sheetPr>`);
  return xml.replace(/(<worksheet[^>]*>)/, `$1<sheetPr>${fit}</sheetPr>`);
}
