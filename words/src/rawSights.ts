import { msg } from './message.ts';
/** What keeps a file of raw sights from being read. */
type Fault =
  | { readonly code: 'RAW_NOT_RAW' | 'RAW_NO_SETUP' }
  | { readonly code: 'RAW_TOO_LONG'; readonly lines: number; readonly most: number }
  | { readonly code: 'RAW_NOT_JSON'; readonly line: number }
  | { readonly code: 'RAW_LATER_VERSION'; readonly version: number }
  | { readonly code: 'RAW_BAD_LINE'; readonly line: number; readonly field: string; readonly message: string }
  | { readonly code: 'RAW_TWICE'; readonly line: number; readonly what: string }
  | { readonly code: 'RAW_UNKNOWN_CONTROL'; readonly line: number; readonly name: string };

export function rawSightsFaultWords(fault: Fault): string {
  switch (fault.code) {
    case 'RAW_NOT_RAW':
      return msg('rawSights.thisIsNoFileOfRawSights');
    case 'RAW_TOO_LONG':
      return msg('rawSights.theFileHasLinesMoreThanThe', { lines: fault.lines, most: fault.most });
    case 'RAW_NOT_JSON':
      return msg('rawSights.lineIsNoWholeJsonTheFile', { line: fault.line });
    case 'RAW_LATER_VERSION':
      return msg('rawSights.theFileWasWrittenByALater', { version: fault.version });
    case 'RAW_BAD_LINE':
      return msg('rawSights.line', { line: fault.line, field: fault.field, message: fault.message });
    case 'RAW_TWICE':
      return msg('rawSights.lineASecondAFileHoldsThe', { line: fault.line, what: fault.what });
    case 'RAW_NO_SETUP':
      return msg('rawSights.theFileDoesNotSayWithWhich');
    case 'RAW_UNKNOWN_CONTROL':
      return msg('rawSights.namesTheControlMarkButTheFile', {
        line: fault.line > 0 ? msg('rawSights.line2', { line: fault.line }) : msg('rawSights.theSetUp'),
        name: fault.name,
      });
  }
}
