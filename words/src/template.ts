import type { TemplateError } from '@idle-marker/core';

/** Why the strings of a road can't be made, and what to do. */
export function templateFaultWords(fault: TemplateError): string {
  switch (fault.code) {
    case 'STRING_TWICE':
      return `${fault.name} is the name of two strings: every string needs a name of its own, and “centreline” is taken.`;
    case 'STRING_UNKNOWN':
      return `${fault.wantedBy} counts from ${fault.name}, and there is no such string: choose one of the others or the centreline.`;
    case 'STRINGS_IN_A_RING':
      return `The height of ${fault.name} counts from itself by way of other strings: let one of them count from the centreline.`;
    case 'TABLE_EMPTY':
      return `${fault.name} has no figure at all: give at least one.`;
    case 'TABLE_NOT_RISING':
      return `The rows of ${fault.name} are not in order: put them by station.`;
  }
}
