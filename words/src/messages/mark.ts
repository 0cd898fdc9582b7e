/** Messages of mark. */
export const mark = {
  oneMoment: 'One moment',
  theMarksOfArePutInWalking: 'The marks of {name} are put in walking order…',
  aWorkPackageSaysWhichCornersGet:
    'A work package says which corners get hubs, at what offset, and how good they have to be.',
  theInstrumentHasNoPlaceThereSo:
    'This setup gives elevations only, so it can’t guide you to a mark by itself. A receiver on the same pole can; or station the instrument again from marks that are known in plan.',
  marksWaitInNoneCanBeSet: '{stops} marks wait in {name}. Station the instrument before setting them.',
  aheadOfYou: '{name}, {toInstrument} {unit} ahead',
} as const;
