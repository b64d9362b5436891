import { fireEvent, screen, waitFor, within } from "@testing-library/react";
import { at, batchOf, FARM, fakeActions, NOW_MS, refused, renderWith } from "@/testing/views";
import { CloseSheet } from "./CloseSheet";
import { Toasts } from "../frame/Toasts";
import { LogSheet } from "./LogSheet";
import type { Correcting, LogFocus } from "./logFocus";

const push = jest.fn();
jest.mock("next/navigation", () => ({ useRouter: () => ({ push, refresh: jest.fn() }) }));

type Batch = ReturnType<typeof batchOf>;
function openLog(batch: Batch, focus: LogFocus = "ph", actions = fakeActions(), correcting?: Correcting) {
  const onClose = jest.fn();
  renderWith(
    actions,
    <LogSheet
      batch={batch}
      vesselName="Drum"
      focus={focus}
      clock={FARM}
      units="metric"
      nowMs={NOW_MS}
      {...(correcting ? { correcting } : {})}
      onClose={onClose}
    />,
  );
  return { actions, onClose, sent: () => actions.logEntry.mock.calls.at(-1)?.[0] as Record<string, unknown> };
}

describe("the log sheet", () => {
  it("begins at the last pH, and logs nothing that nobody touched", async () => {
    const { sent } = openLog(batchOf("cultured-extract"));
    expect(screen.getByRole("button", { name: /^Log pH/ })).toBeDisabled();
    expect(screen.getByRole("button", { name: /^Log the temperature/ })).toBeDisabled();
    expect(screen.getByRole("button", { name: "Log added water" })).toBeDisabled();
    fireEvent.click(screen.getByRole("button", { name: "pH up" }));
    fireEvent.click(screen.getByRole("button", { name: "Log pH 4.3" }));
    await waitFor(() =>
      expect(sent()).toMatchObject({
        batchId: 4,
        entry: { kind: "ph", value: 4.3, instrument: "meter", spot: "mid-depth" },
      }),
    );
    expect(sent()).not.toHaveProperty("at");
  });
  it("steps the number by what the instrument can tell", () => {
    openLog(batchOf("cultured-extract"));
    for (let taps = 0; taps < 2; taps += 1) fireEvent.click(screen.getByRole("button", { name: "pH down" }));
    expect(screen.getByRole("button", { name: "Log pH 4.25" })).toBeVisible();
    fireEvent.click(screen.getByRole("radio", { name: "strip" }));
    fireEvent.click(screen.getByRole("button", { name: "pH up" }));
    expect(screen.getByRole("button", { name: "Log pH 4.75" })).toBeVisible();
  });
  it("says that a pH from the film is kept but not counted", () => {
    openLog(batchOf("cultured-extract"));
    fireEvent.click(screen.getByRole("radio", { name: "in the film" }));
    expect(screen.getByText(/not taken as the batch’s pH/)).toBeVisible();
  });
  it("logs a word with one touch, and tells what it would mean here", async () => {
    const { sent } = openLog(batchOf("aerated-tea"), "smell");
    fireEvent.click(screen.getByRole("button", { name: /^earthy\s*ready$/ }));
    await waitFor(() => expect(sent()).toMatchObject({ entry: { kind: "smell", word: "earthy" } }));
  });
  it("asks first for what matters, by what it was opened for", () => {
    openLog(batchOf("aerated-tea"), "smell");
    const sections = screen.getAllByRole("region").map((section) => section.getAttribute("aria-label"));
    expect(sections[0]).toBe("Signs");
    expect(sections).toHaveLength(5);
  });
  it("dates an entry back by what was chosen", async () => {
    const { sent } = openLog(batchOf("aerated-tea"), "smell");
    fireEvent.change(screen.getByLabelText("When"), { target: { value: "2" } });
    fireEvent.click(screen.getByRole("button", { name: /^neutral/ }));
    await waitFor(() => expect(sent()).toMatchObject({ at: new Date(at(-2)).toISOString() }));
  });
  it("offers only the acts that the vessel knows", () => {
    openLog(batchOf("aerated-tea", { airOn: true }));
    expect(screen.getByRole("button", { name: "Air stopped" })).toBeVisible();
    expect(screen.queryByRole("button", { name: "Vented" })).toBeNull();
    expect(screen.queryByRole("button", { name: "Pushed solids under" })).toBeNull();
  });
  it("logs a top-up with its litres", async () => {
    const { sent } = openLog(batchOf("cultured-extract"));
    for (let taps = 0; taps < 2; taps += 1) fireEvent.click(screen.getByRole("button", { name: "Water added up" }));
    fireEvent.click(screen.getByRole("button", { name: "Log added water" }));
    await waitFor(() => expect(sent()).toMatchObject({ entry: { kind: "act", act: "topped-up", litres: 1.5 } }));
  });
  it("shows what is wrong and logs nothing", async () => {
    const { actions } = openLog(batchOf("cultured-extract"));
    fireEvent.change(screen.getByRole("spinbutton", { name: "pH" }), { target: { value: "19" } });
    fireEvent.click(screen.getByRole("button", { name: "Log pH 19" }));
    expect(await screen.findByRole("alert")).toHaveTextContent("At most 14.");
    // It is said where it was typed: the pH stands next after it.
    expect(screen.getByRole("alert").parentElement!.parentElement).toContainElement(
      screen.getByRole("spinbutton", { name: "pH" }),
    );
    expect(actions.logEntry).not.toHaveBeenCalled();
  });
  it("in correcting shows only that kind, names the old entry and closes when done", async () => {
    const correcting: Correcting = { entryId: 12, atMs: at(-30), was: "pH 9", kind: "ph" };
    const { sent, onClose } = openLog(batchOf("cultured-extract"), "ph", fakeActions(), correcting);
    expect(screen.getAllByRole("region").map((section) => section.getAttribute("aria-label"))).toEqual(["pH"]);
    expect(screen.getByText(/Instead of “pH 9”/)).toBeVisible();
    fireEvent.click(screen.getByRole("button", { name: "pH up" }));
    fireEvent.click(screen.getByRole("button", { name: "Log pH 4.3" }));
    await waitFor(() => expect(onClose).toHaveBeenCalled());
    expect(sent()).toMatchObject({ correctsId: 12, at: new Date(at(-30)).toISOString() });
  });
});

function openClose(batch: Batch, actions = fakeActions()) {
  const onClose = jest.fn();
  renderWith(
    actions,
    <CloseSheet batch={batch} vesselName="Drum" units="metric" clock={FARM} nowMs={NOW_MS} onClose={onClose} />,
  );
  return { actions, onClose, sent: () => actions.closeBatch.mock.calls.at(-1)?.[0] as Record<string, unknown> };
}

describe("straining", () => {
  beforeEach(() => push.mockClear());
  it("offers the usual yield, and puts a keeping input into a store", async () => {
    const { sent, onClose } = openClose(batchOf("cultured-extract", { state: "ready", stateWords: "Ready" }));
    expect(screen.getByLabelText("Strained off (L)")).toHaveValue("152");
    fireEvent.click(screen.getByRole("button", { name: "Strain and store" }));
    await waitFor(() => expect(onClose).toHaveBeenCalled());
    expect(sent()).toMatchObject({
      kind: "strained",
      yieldL: 152,
      atOnce: false,
      residue: "compost",
      overrideReason: "",
    });
    expect(push).not.toHaveBeenCalled();
  });
  it("is undone in the seconds after it", async () => {
    const actions = fakeActions();
    renderWith(
      actions,
      <>
        <CloseSheet
          batch={batchOf("cultured-extract", { state: "ready", stateWords: "Ready" })}
          vesselName="Old drum"
          units="metric"
          clock={FARM}
          nowMs={NOW_MS}
          onClose={jest.fn()}
        />
        <Toasts />
      </>,
    );
    fireEvent.click(screen.getByRole("button", { name: "Strain and store" }));
    // What the tests before it told is shown here, too.
    const told = (await screen.findByText(/Wash Old drum next/)).closest("li")!;
    fireEvent.click(within(told).getByText("Undo"));
    await waitFor(() => expect(actions.takeBackEnd).toHaveBeenCalledWith(expect.objectContaining({ batchId: 4 })));
  });
  it("is dated back where it was done before", async () => {
    const { sent, onClose } = openClose(batchOf("cultured-extract", { state: "ready", stateWords: "Ready" }));
    fireEvent.change(screen.getByLabelText("When"), { target: { value: "2" } });
    fireEvent.click(screen.getByRole("button", { name: "Strain and store" }));
    await waitFor(() => expect(onClose).toHaveBeenCalled());
    expect(sent()).toMatchObject({ kind: "strained", at: new Date(at(-2)).toISOString() });
  });
  it("sends a living tea on to the field, with no store to put it in", async () => {
    const { sent } = openClose(batchOf("aerated-tea", { state: "peak", stateWords: "Best now" }));
    expect(screen.getByRole("radio", { name: /Store it/ })).toBeDisabled();
    fireEvent.click(screen.getByRole("button", { name: "Strain, then apply" }));
    await waitFor(() => expect(push).toHaveBeenCalledWith("/field?store=7"));
    expect(sent()).toMatchObject({ atOnce: true });
  });
  it("asks for a reason only against the verdict", () => {
    openClose(batchOf("cultured-extract", { state: "early", stateWords: "Too early" }));
    expect(screen.getByLabelText(/Its state is “too early”\. Why strain it now\?/)).toBeVisible();
  });
  it("lets a failed batch only be thrown away, with the caution", async () => {
    const { sent } = openClose(batchOf("cultured-extract", { state: "spoiled", stateWords: "Failed" }));
    expect(screen.getByRole("radio", { name: /Used at once/ })).toBeDisabled();
    expect(screen.getByText(/Put it on hot compost/)).toBeVisible();
    fireEvent.click(screen.getByRole("button", { name: "Throw away batch" }));
    await waitFor(() => expect(sent()).toMatchObject({ kind: "discarded", yieldL: 0 }));
  });
  it("keeps what was typed when it is refused, and marks the field", async () => {
    openClose(
      batchOf("cultured-extract", { state: "ready" }),
      fakeActions({ closeBatch: refused("Only 170 L went in.", { "/yieldL": "Only 170 L went in." }) }),
    );
    const yielded = screen.getByLabelText("Strained off (L)");
    fireEvent.change(yielded, { target: { value: "500" } });
    fireEvent.click(screen.getByRole("button", { name: "Strain and store" }));
    await waitFor(() => expect(yielded).toHaveAttribute("aria-invalid", "true"));
    expect(yielded).toHaveValue("500");
    expect(within(screen.getByRole("dialog")).getAllByRole("alert").length).toBeGreaterThan(0);
  });
  it("calls words in a number's place what they are", async () => {
    const { actions } = openClose(batchOf("cultured-extract", { state: "ready" }));
    fireEvent.change(screen.getByLabelText("Strained off (L)"), { target: { value: "plenty" } });
    fireEvent.click(screen.getByRole("button", { name: "Strain and store" }));
    expect(await screen.findByText("This must be a number.")).toBeVisible();
    expect(actions.closeBatch).not.toHaveBeenCalled();
  });
});
