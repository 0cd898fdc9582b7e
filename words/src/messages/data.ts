/** Messages of data. */
export const data = {
  somethingElseThanTheServerAnswersSuch:
    'Something other than the server answers, such as a network’s log-in page. {then}',
  theServerDoesNotAnswer: 'The server doesn’t answer. {then}',
  serverAway: 'Server away',
  theServerDoesNotAnswer2: 'The server doesn’t answer.',
  whenItAnswersAgain: 'when it answers again',
  notTheServer: 'Not the server',
  somethingElseAnswersInTheServersPlace:
    'Something other than the server answers, such as a network’s log-in page or a proxy. Log in there, or leave that network.',
  whenTheServerItselfAnswers: 'when the server itself answers',
  databaseAway: 'Database away',
  theServerAnswersButItsDatabaseDoes: 'The server answers, but its database doesn’t.',
  whenItIsBack: 'when it is back',
  serversDiskFull: 'Server’s disk full',
  theServerHasNoRoomToWrite: 'The server can’t write: its disk is full or read-only. Free some space there.',
  whenThereIsRoom: 'when there is room',
  theBrowserHasNoRoomForIt: '{trouble} The browser is out of space: leave this page open until everything is sent.',
  theWaitsInThisBrowserAndGoes: 'The {name} waits in this browser and is sent automatically.',
} as const;
