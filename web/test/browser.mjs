/** What a browser has and jsdom lacks. */
import { TextDecoder, TextEncoder } from 'node:util';
import { deserialize, serialize } from 'node:v8';

globalThis.TextEncoder ??= TextEncoder;
globalThis.TextDecoder ??= TextDecoder;
globalThis.structuredClone ??= (value) => deserialize(serialize(value));
globalThis.performance.mark ??= () => undefined;
globalThis.MessageChannel ??= class {
  port1 = { onmessage: null };
  port2 = { postMessage: (data) => setTimeout(() => this.port1.onmessage?.({ data }), 0) };
};
globalThis.ResizeObserver ??= class {
  observe() {}
  unobserve() {}
  disconnect() {}
};
globalThis.Element.prototype.scrollTo ??= () => undefined;
globalThis.Element.prototype.scrollIntoView ??= () => undefined;
globalThis.Element.prototype.hasPointerCapture ??= () => false;
/** jsdom has files without a way to read them. */
const readBy = (how) =>
  function read() {
    return new Promise((resolve, reject) => {
      const reader = new globalThis.FileReader();
      reader.onload = () => resolve(reader.result);
      reader.onerror = () => reject(new Error(String(reader.error)));
      reader[how](this);
    });
  };
globalThis.Blob.prototype.arrayBuffer ??= readBy('readAsArrayBuffer');
globalThis.Blob.prototype.text ??= readBy('readAsText');
/** It would say at every call that it draws nothing. */
globalThis.HTMLCanvasElement.prototype.getContext = () => null;
globalThis.document.fonts ??= { ready: Promise.resolve() };

// No media query holds: a desk.
window.matchMedia = (media) => ({ media, matches: false, addEventListener: () => {}, removeEventListener: () => {} });
