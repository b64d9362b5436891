import { fireEvent, screen, waitFor } from "@testing-library/react";
import { TextDecoder, TextEncoder } from "node:util";
import { ReadableStream } from "node:stream/web";
import { fakeActions, renderWith } from "@/testing/views";
import { FilesScreen } from "./FilesScreen";
import { readLines, type FileLine } from "./readStream";

Object.assign(globalThis, { TextDecoder, TextEncoder, ReadableStream });

/** A body that comes in pieces, not at the ends of lines. */
const bodyOf = (lines: readonly object[], piece = 7) => {
  const bytes = new TextEncoder().encode(lines.map((line) => `${JSON.stringify(line)}\n`).join(""));
  return new ReadableStream<Uint8Array>({
    start(controller) {
      for (let from = 0; from < bytes.length; from += piece) controller.enqueue(bytes.slice(from, from + piece));
      controller.close();
    },
  }) as unknown as globalThis.ReadableStream<Uint8Array>;
};
const LOOK = {
  kind: "lots",
  rows: 2,
  counts: { new: 1, changed: 0, same: 0, wrong: 1 },
  shown: [
    {
      line: 2,
      what: "new",
      would: { code: "lot", ingredient: "honey", amount: 2.5, unit: "kg", receivedOn: "2031-03-01" },
      faults: {},
    },
    { line: 3, what: "wrong", would: null, faults: { amount: { code: "how-much" } } },
  ],
  refused: null,
  layout: { delimiter: ";", encoding: "utf-8", unknown: [] },
} as const;
const answers = (...rounds: readonly (readonly object[])[]) => {
  const queue = [...rounds];
  const asked: string[] = [];
  globalThis.fetch = jest.fn(async (url: string) => {
    asked.push(url);
    return { ok: true, body: bodyOf(queue.shift()!) };
  }) as unknown as typeof fetch;
  return asked;
};
const choose = () =>
  fireEvent.change(screen.getByLabelText("Or a file"), { target: { files: [new File(["x"], "lots.csv")] } });

describe("an answer that comes in pieces", () => {
  it("is read line by line, letters parted in the middle and all", async () => {
    const seen: FileLine[] = [];
    const last = await readLines(
      bodyOf(
        [
          { type: "progress", done: 1, total: 2 },
          { type: "failed", error: { code: "x", message: "Käse" } },
        ],
        3,
      ),
      (line) => seen.push(line),
    );
    expect(seen.map(({ type }) => type)).toEqual(["progress", "failed"]);
    expect(last).toEqual({ type: "failed", error: { code: "x", message: "Käse" } });
  });
});

describe("reading a file in", () => {
  beforeEach(() => renderWith(fakeActions(), <FilesScreen />));
  it("shows row by row what is wrong, and offers no writing", async () => {
    answers([{ type: "preview", value: LOOK }]);
    choose();
    expect(await screen.findByText("How much?")).toBeVisible();
    expect(screen.getByText("Parted by semicolons, in UTF-8.")).toBeVisible();
    expect(screen.queryByRole("button", { name: /^Write/ })).toBeNull();
  });
  it("writes what is right, once, and says so", async () => {
    const asked = answers(
      [{ type: "preview", value: { ...LOOK, rows: 1, counts: { ...LOOK.counts, wrong: 0 }, shown: [LOOK.shown[0]] } }],
      [
        { type: "progress", done: 0, total: 1 },
        { type: "written", value: { written: 1, same: 0 } },
      ],
    );
    choose();
    fireEvent.click(await screen.findByRole("button", { name: "Write 1 row" }));
    await waitFor(() => expect(screen.queryByRole("button", { name: "Write 1 row" })).toBeNull());
    expect(asked[1]).toMatch(/^\/api\/shed\/files\?kind=lots&write=1&key=[0-9a-f-]{36}$/);
  });
  it("keeps the dry run in sight where the write is refused", async () => {
    const fine = { ...LOOK, rows: 1, counts: { ...LOOK.counts, wrong: 0 }, shown: [LOOK.shown[0]] };
    answers(
      [{ type: "preview", value: fine }],
      [{ type: "failed", error: { code: "bad-request", message: "1 of 1 rows are wrong by now." } }],
    );
    choose();
    fireEvent.click(await screen.findByRole("button", { name: "Write 1 row" }));
    expect(await screen.findByText("1 of 1 rows are wrong by now.")).toBeVisible();
    expect(screen.getByText(/^2.5 kg of honey/)).toBeVisible();
  });
  it("says what is wrong with the file as a whole, and that all is there already", async () => {
    answers(
      [
        {
          type: "preview",
          value: {
            ...LOOK,
            refused: {
              code: "no-column",
              missing: ["unit"],
              found: ["lot"],
              wanted: ["lot", "unit"],
              optional: ["place"],
            },
          },
        },
      ],
      [{ type: "preview", value: { ...LOOK, counts: { new: 0, changed: 0, same: 2, wrong: 0 } } }],
    );
    choose();
    expect(await screen.findByText(/^No column "unit"[.]/)).toBeVisible();
    choose();
    expect(await screen.findByText(/All of it is there already/)).toBeVisible();
  });
  it("says so where nothing answers", async () => {
    globalThis.fetch = jest.fn(async () => Promise.reject(new TypeError("failed"))) as unknown as typeof fetch;
    choose();
    expect(await screen.findByText(/can't be reached just now/)).toBeVisible();
  });
  it("begins anew for another table", () => {
    fireEvent.click(screen.getByRole("radio", { name: "stock" }));
    expect(screen.getByText(/each row counts a lot/)).toBeVisible();
    expect(screen.getByRole("link", { name: /lots/ })).toHaveAttribute("href", "/api/shed/files?kind=lots");
  });
});
