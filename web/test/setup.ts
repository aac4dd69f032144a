// What jsdom leaves out and the interface's libraries ask for.
import { TextDecoder, TextEncoder } from 'node:util';

class NoResizeObserver {
  observe(): void {}
  unobserve(): void {}
  disconnect(): void {}
}

Object.assign(globalThis, { ResizeObserver: NoResizeObserver, TextDecoder, TextEncoder, structuredClone });
Element.prototype.scrollIntoView = () => undefined;
