import { sha1 } from '@noble/hashes/legacy.js';
import { bytesToHex, hexToBytes, utf8ToBytes } from '@noble/hashes/utils.js';

/** Name-based UUID, version 5 (RFC 9562): the same namespace and name always give the same id. */
export function v5(namespace: string, name: string): string {
  const hash = sha1(new Uint8Array([...hexToBytes(namespace.replace(/-/g, '')), ...utf8ToBytes(name)])).slice(0, 16);
  hash[6] = (hash[6]! & 0x0f) | 0x50;
  hash[8] = (hash[8]! & 0x3f) | 0x80;
  const hex = bytesToHex(hash);
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-${hex.slice(12, 16)}-${hex.slice(16, 20)}-${hex.slice(20)}`;
}
