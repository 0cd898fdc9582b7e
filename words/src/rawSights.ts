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
      return 'This is no file of raw sights: its first line does not say so.';
    case 'RAW_TOO_LONG':
      return `The file has ${fault.lines} lines, more than the ${fault.most} of one placing: it is something else, or several in one.`;
    case 'RAW_NOT_JSON':
      return `Line ${fault.line} is no whole JSON: the file is cut short, or was changed.`;
    case 'RAW_LATER_VERSION':
      return `The file was written by a later version (form ${fault.version}): take a newer Idle Marker to read it.`;
    case 'RAW_BAD_LINE':
      return `Line ${fault.line}, ${fault.field}: ${fault.message}.`;
    case 'RAW_TWICE':
      return `Line ${fault.line}: a second ${fault.what}. A file holds the sights of one placing of the instrument.`;
    case 'RAW_NO_SETUP':
      return 'The file does not say with which instrument the sights were taken: it has no set-up.';
    case 'RAW_UNKNOWN_CONTROL':
      return `${fault.line > 0 ? `Line ${fault.line}` : 'The set-up'} names the control mark ${fault.name}, but the file does not say where it is.`;
  }
}
