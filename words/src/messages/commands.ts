/** Messages of commands. */
export const commands = {
  fileInUnit: '{name}: in {unit}{stated}',
  asItStates: ', as it states',
  fileHolds: '  {points} points, {paths} lines, {texts} texts, {surfaces} surfaces',
  fileLeftOut: '  left out: {count} {what}',
  fileRow: '  row {row}: {code}',
  fileLookAt: '  look at: {code}',
  isOver64MibSplitIt: '{file} is over 64 MiB: split it.',
  doesNotExistCheckThePath: '{file} doesn’t exist: check the path.',
  cantBeReadAsUtf8Text: "{file} can't be read as UTF-8 text: {message}",
  isNotJson: '{file} isn’t JSON: {message}',
  nameAFileThatLiesBesideThe: 'name a file that lies beside the case, without a path',
  itIsOver1GibSplitIt: 'it is over 1 GiB: split it',
  thereIsNoSuchFileBesideThe: 'there is no such file beside the case',
  itCantBeRead: "it can't be read: {message}",
} as const;
