// What Node and jsdom leave out and the interface's libraries ask for.
import { TextDecoder, TextEncoder } from 'node:util';
import { deserialize, serialize } from 'node:v8';

class NoResizeObserver {
  observe(): void {}
  unobserve(): void {}
  disconnect(): void {}
}

const clone = <T>(value: T): T => deserialize(serialize(value)) as T;
Object.assign(globalThis, {
  ResizeObserver: NoResizeObserver,
  TextDecoder,
  TextEncoder,
  structuredClone: globalThis.structuredClone ?? clone,
});

if (typeof Element !== 'undefined') {
  Element.prototype.scrollIntoView = () => undefined;
  HTMLCanvasElement.prototype.getContext = () => null;
  globalThis.fetch = () => Promise.reject(new TypeError('no network in this test'));
}

// requests of the interface are relative to its page; here there is no page
if (typeof Request !== 'undefined') {
  const Plain = Request;
  globalThis.Request = class extends Plain {
    constructor(input: RequestInfo | URL, init?: RequestInit) {
      super(typeof input === 'string' ? new URL(input, 'http://page.test') : input, init);
    }
  };
}
