export { stationErrorSentence } from './stationErrors.ts';
