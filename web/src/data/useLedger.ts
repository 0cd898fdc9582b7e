import { useSyncExternalStore } from 'react';
import { snapshot, subscribe, type LedgerState } from './ledger.ts';

export const useLedger = (): LedgerState => useSyncExternalStore(subscribe, snapshot);
