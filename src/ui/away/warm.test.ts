/** @jest-environment jsdom */
import { WARM_PLACES, type warm as Warm } from "./warm";

/** The page as it is loaded anew: nothing that only the page before knew is there. */
const loaded = async (): Promise<typeof Warm> => {
  jest.resetModules();
  return (await import("./warm")).warm;
};

describe("pages of a working day on the device", () => {
  const kept = new Map<string, unknown>();
  let answer: (path: string) => Promise<unknown>;
  const asked: string[] = [];
  beforeEach(() => {
    kept.clear();
    asked.length = 0;
    localStorage.clear();
    answer = async (path) => ({
      ok: true,
      clone: () => path,
      text: async () => (path === "/" ? '<a href="/batches/5">' : ""),
    });
    Object.assign(globalThis, {
      caches: { open: async () => ({ put: async (path: string, page: unknown) => void kept.set(path, page) }) },
      fetch: (path: string) => {
        asked.push(path);
        return answer(path);
      },
    });
    Object.defineProperty(navigator, "serviceWorker", {
      configurable: true,
      value: { getRegistration: async () => ({ active: true }) },
    });
  });
  it("are fetched with the drums that the yard tells of, and not again for a while", async () => {
    await (
      await loaded()
    )();
    expect([...kept.keys()]).toEqual([...WARM_PLACES, "/batches/5"]);
    asked.length = 0;
    await (
      await loaded()
    )();
    expect(asked).toEqual([]);
  });
  it("are fetched on the next page where somebody went on half-way", async () => {
    answer = () => new Promise(() => undefined);
    void (await loaded())();
    await new Promise((resolve) => setTimeout(resolve, 0));
    expect(asked).toEqual(["/"]);
    answer = async (path) => ({ ok: true, clone: () => path, text: async () => "" });
    await (
      await loaded()
    )();
    expect([...kept.keys()]).toEqual([...WARM_PLACES]);
  });
  it("are not fetched twice at once, and again soon where the line was lost", async () => {
    const warm = await loaded();
    await Promise.all([warm(), warm()]);
    expect(asked.filter((path) => path === "/field")).toHaveLength(1);
    localStorage.clear();
    asked.length = 0;
    answer = () => Promise.reject(new Error("no line"));
    await warm();
    answer = async (path) => ({ ok: true, clone: () => path, text: async () => "" });
    await warm();
    expect(asked.at(-1)).toBe("/ledger");
  });
});
