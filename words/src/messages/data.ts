/** Messages of data. */
export const data = {
  somethingElseThanTheServerAnswersSuch:
    'Something else than the server answers, such as the log-in page of a network. {then}',
  theServerDoesNotAnswer: 'The server doesn’t answer. {then}',
  serverAway: 'Server away',
  theServerDoesNotAnswer2: 'The server doesn’t answer.',
  whenItAnswersAgain: 'when it answers again',
  notTheServer: 'Not the server',
  somethingElseAnswersInTheServersPlace:
    'Something else answers in the server’s place, such as the log-in page of a network, or a proxy: log in there, or leave that network.',
  whenTheServerItselfAnswers: 'when the server itself answers',
  databaseAway: 'Database away',
  theServerAnswersButItsDatabaseDoes: 'The server answers, but its database doesn’t.',
  whenItIsBack: 'when it is back',
  serversDiskFull: 'Server’s disk full',
  theServerHasNoRoomToWrite:
    'The server has no room to write: its disk is full, or takes nothing any more. Somebody has to make room there.',
  whenThereIsRoom: 'when there is room',
  theBrowserHasNoRoomForIt: '{trouble} The browser has no room for it: leave this page open until it is sent.',
  theWaitsInThisBrowserAndGoes: 'The {name} waits in this browser and goes out by itself.',
} as const;
