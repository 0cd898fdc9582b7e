import { createElement, Fragment, type ReactNode } from 'react';
import { messageParts, type MessageKey } from '@idle-marker/words';

type ValuesOf<K extends MessageKey> = Parameters<typeof messageParts<ReactNode, K>> extends [K, ...infer V] ? V : never;

/** A message with elements in it: a link, a name set in bold. */
export const rich = <K extends MessageKey>(key: K, ...values: ValuesOf<K>): ReactNode =>
  createElement(Fragment, null, ...messageParts<ReactNode, K>(key, ...(values as never)));
