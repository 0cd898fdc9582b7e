/** Messages of rawSights. */
export const rawSights = {
  thisIsNoFileOfRawSights: 'This is no file of raw sights: its first line does not say so.',
  theFileHasLinesMoreThanThe:
    'The file has {lines} lines, more than the {most} of one placing: it is something else, or several in one.',
  lineIsNoWholeJsonTheFile: 'Line {line} is no whole JSON: the file is cut short, or was changed.',
  theFileWasWrittenByALater:
    'The file was written by a later version (form {version}): take a newer Idle Marker to read it.',
  line: 'Line {line}, {field}: {message}.',
  lineASecondAFileHoldsThe: 'Line {line}: a second {what}. A file holds the sights of one placing of the instrument.',
  theFileDoesNotSayWithWhich: 'The file does not say with which instrument the sights were taken: it has no set-up.',
  line2: 'Line {line}',
  theSetUp: 'The set-up',
  namesTheControlMarkButTheFile: '{line} names the control mark {name}, but the file does not say where it is.',
} as const;
