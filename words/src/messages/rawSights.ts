/** Messages of rawSights. */
export const rawSights = {
  thisIsNoFileOfRawSights: 'This isn’t a file of raw sights: its first line doesn’t say so.',
  theFileHasLinesMoreThanThe:
    'The file has {lines} lines, more than the {most} of one setup: it is something else, or several in one.',
  lineIsNoWholeJsonTheFile: 'Line {line} isn’t complete JSON: the file is cut short, or was changed.',
  theFileWasWrittenByALater:
    'The file was written by a later version (form {version}): take a newer Idle Marker to read it.',
  line: 'Line {line}, {field}: {message}.',
  lineASecondAFileHoldsThe: 'Line {line}: a second {what}. A file holds the sights of one setup of the instrument.',
  theFileDoesNotSayWithWhich: 'The file doesn’t say with which instrument the sights were taken: it has no setup.',
  line2: 'Line {line}',
  theSetUp: 'The setup',
  namesTheControlMarkButTheFile: '{line} names the control mark {name}, but the file doesn’t say where it is.',
} as const;
