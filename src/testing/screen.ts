import "@testing-library/jest-dom";
import { webcrypto } from "node:crypto";

// What every browser has and jsdom lacks.
Object.defineProperty(globalThis, "crypto", { value: webcrypto });
globalThis.ResizeObserver ??= class {
  observe() {}
  unobserve() {}
  disconnect() {}
};
Element.prototype.scrollIntoView ??= () => undefined;
Element.prototype.hasPointerCapture ??= () => false;
