import { Children, type ReactNode } from 'react';
import { messageParts, type MessageKey } from '@idle-marker/words';

/** A message with elements in it: a link, a name set in bold. */
export const rich = <K extends MessageKey>(
  key: K,
  ...values: Parameters<typeof messageParts<ReactNode, K>> extends [K, ...infer V] ? V : never
): ReactNode => Children.toArray(messageParts<ReactNode, K>(key, ...(values as never)) as ReactNode[]);
