import "@testing-library/jest-dom";
import { webcrypto } from "node:crypto";
import { configure } from "@testing-library/react";
import { allCome } from "@/ui/kit/later";

// Ends a wait for what never comes; how quick the machine is must not decide.
configure({ asyncUtilTimeout: 60_000 });

// What every browser has and jsdom lacks.
Object.defineProperty(globalThis, "crypto", { value: webcrypto });
globalThis.ResizeObserver ??= class {
  observe() {}
  unobserve() {}
  disconnect() {}
};
window.matchMedia ??= () => ({ matches: false }) as never;
Element.prototype.scrollIntoView ??= () => undefined;
Element.prototype.hasPointerCapture ??= () => false;

// No style sheet is loaded here, so that an element's own style and `hidden` are all there is to compute; jsdom walks through the browser's sheet
// for each element that a role is looked for in, which is half of what such a test costs.
const computed = window.getComputedStyle.bind(window);
window.getComputedStyle = (element, pseudo) =>
  pseudo || !(element instanceof HTMLElement)
    ? computed(element, pseudo)
    : new Proxy(element.style, {
        get: (style, name) => {
          if (name === "display" && (element.hidden || element.tagName === "TEMPLATE")) return "none";
          const value = Reflect.get(style, name);
          return typeof value === "function" ? value.bind(style) : value;
        },
      });

/** Everything is in sight: there is no screen here to be scrolled. */
class AllSeen implements Pick<IntersectionObserver, "observe" | "unobserve" | "disconnect"> {
  constructor(private readonly onSeen: (entries: { isIntersecting: boolean }[]) => void) {}
  observe() {
    this.onSeen([{ isIntersecting: true }]);
  }
  unobserve() {}
  disconnect() {}
}
globalThis.IntersectionObserver ??= AllSeen as never;

// Screens are whole from the start; what comes later has a test of its own.
beforeAll(allCome);

// What one test left on its device is not there in the next.
afterEach(() => localStorage.clear());
