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
    'This part of the application was never fetched by this device, and the server doesn’t give it now. It comes by itself as soon as the server answers; what waits to be stored is safe. If the application was renewed meanwhile, load the page again.',
  loadThePageAgain: 'Load the page again',
} as const;
