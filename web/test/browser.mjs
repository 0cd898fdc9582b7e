/** What a browser has and jsdom lacks. */
import { TextDecoder, TextEncoder } from 'node:util';
import { deserialize, serialize } from 'node:v8';

globalThis.TextEncoder ??= TextEncoder;
globalThis.TextDecoder ??= TextDecoder;
globalThis.structuredClone ??= (value) => deserialize(serialize(value));
globalThis.ResizeObserver ??= class {
  observe() {}
  unobserve() {}
  disconnect() {}
};
globalThis.Element.prototype.scrollTo ??= () => undefined;
globalThis.Element.prototype.scrollIntoView ??= () => undefined;
globalThis.Element.prototype.hasPointerCapture ??= () => false;
globalThis.Blob.prototype.arrayBuffer ??= function arrayBuffer() {
  return new Promise((resolve, reject) => {
    const reader = new globalThis.FileReader();
    reader.onload = () => resolve(reader.result);
    reader.onerror = () => reject(reader.error);
    reader.readAsArrayBuffer(this);
  });
};
globalThis.document.fonts ??= { ready: Promise.resolve() };
