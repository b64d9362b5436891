import "@testing-library/jest-dom";
import { webcrypto } from "node:crypto";
import { configure } from "@testing-library/react";

// Ends a wait for what never comes; how quick the machine is must not decide.
configure({ asyncUtilTimeout: 60_000 });

// What every browser has and jsdom lacks.
Object.defineProperty(globalThis, "crypto", { value: webcrypto });
globalThis.ResizeObserver ??= class {
  observe() {}
  unobserve() {}
  disconnect() {}
};
Element.prototype.scrollIntoView ??= () => undefined;
Element.prototype.hasPointerCapture ??= () => false;
