/** Messages of ui. */
export const ui = {
  showAll: 'Show all {rows} {what}',
  theseAreTheFirst: 'These are the first {count}.',
  reading: 'Reading {fileName}',
  reading2: 'Reading {fileName}{share}',
  stopReading: 'Stop reading',
  slip: 'Slip',
  bodyOfTheSlip: 'Body of the slip',
  planOnly: 'Plan only',
  finerThanTheReadingIsGood: 'Beyond the accuracy of this shot',
  isNotHereYet: '{name} isn’t here yet',
  thisPartOfTheApplicationWasNever:
    'This part of the application isn’t on this device yet, and the server doesn’t send it now. It loads as soon as the server answers; entries waiting to be stored are safe. If the application was updated meanwhile, load the page again.',
  loadThePageAgain: 'Load the page again',
  list: 'List',
} as const;
