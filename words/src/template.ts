import type { TemplateError } from '@idle-marker/core';
import { msg } from './message.ts';

/** Why the strings of a road can't be made, and what to do. */
export function templateFaultWords(fault: TemplateError): string {
  switch (fault.code) {
    case 'STRING_TWICE':
      return msg('template.isTheNameOfTwoStringsEvery', { name: fault.name });
    case 'STRING_UNKNOWN':
      return msg('template.countsFromAndThereIsNoSuch', { wantedBy: fault.wantedBy, name: fault.name });
    case 'STRINGS_IN_A_RING':
      return msg('template.theHeightOfCountsFromItselfBy', { name: fault.name });
    case 'TABLE_EMPTY':
      return msg('template.hasNoFigureAtAllGiveAt', { name: fault.name });
    case 'TABLE_NOT_RISING':
      return msg('template.theRowsOfAreNotInOrder', { name: fault.name });
  }
}
