import { fireEvent, screen, waitFor, within } from "@testing-library/react";
import { bookDocument } from "@/core/recipe/document";
import { at, fakeActions, FARM, fieldOf, NOW_MS, plotOf, refused, renderWith, fieldStoreOf } from "@/testing/views";
import { FieldPanel } from "@/testing/fieldPanel";
import { rectangle } from "@/core/land/ring";
import { FieldPlan } from "./plan/FieldPlan";
import { FieldScreen } from "./FieldScreen";

function openPanel(chosen: readonly number[], view = fieldOf(), actions = fakeActions()) {
  const onDone = jest.fn();
  renderWith(actions, <FieldPanel view={view} chosen={new Set(chosen)} onDone={onDone} />);
  return { actions, onDone, sent: () => actions.applyStore.mock.calls.at(-1)?.[0] as Record<string, unknown> };
}
const loads = () => screen.getByRole("region", { name: "Loads" });
const type = (label: string | RegExp, value: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value } });

describe("applying", () => {
  it("shows the loads as soon as beds are chosen, and sends just that", async () => {
    const { sent, onDone } = openPanel([1, 2]);
    // 24 mL for the last can is a fifth off in marks of 10 mL: thinned ten times first, it can be measured.
    expect(loads()).toHaveTextContent("Pre-mix first: 144 mL with 1.3 L of water");
    expect(loads()).toHaveTextContent("3 cans of 10 L with 400 mL of pre-mix in each");
    expect(loads()).toHaveTextContent("a last can of 6 L with 240 mL of pre-mix");
    expect(loads()).toHaveTextContent("In all 36 L of mix");
    fireEvent.click(screen.getByRole("button", { name: "Log application" }));
    await waitFor(() => expect(onDone).toHaveBeenCalled());
    expect(sent()).toMatchObject({
      storeId: 1,
      useId: "drench-growing",
      ratio: "1:250",
      mixRateL: 2,
      mixRatePer: "m2",
      toolId: 1,
      plotIds: [1, 2],
    });
  });
  it("says a ratio in every way, and the book's own span beside it", () => {
    openPanel([1]);
    expect(screen.getByText(/1 part to 250 of water: 4 mL per litre of water, 0.4 % of the mix/)).toHaveTextContent(
      "Usual range: 1:32 to 1:500.",
    );
    type("Dilution", "2 mL/L");
    expect(screen.getByText(/1 part to 500 of water/)).toBeVisible();
  });
  it("blocks dung before harvest until somebody answers for it in full", async () => {
    const { sent } = openPanel(
      [1],
      fieldOf({
        plots: [plotOf(1, { crop: "lettuce", leafEaten: true, harvestOn: "2031-03-25" })],
        stores: [fieldStoreOf({ carries: ["dung"] })],
      }),
    );
    expect(screen.getByText(/It holds dung, with its germs, and Bed 1 is harvested in/)).toBeVisible();
    const confirm = screen.getByRole("button", { name: "Log application" });
    type("This is blocked. Reason for going on", "ok");
    expect(confirm).toBeDisabled();
    type("This is blocked. Reason for going on", "ploughed in, goes to the hens");
    fireEvent.click(confirm);
    await waitFor(() => expect(sent()).toMatchObject({ overrideReason: "ploughed in, goes to the hens" }));
  });
  it("says in the same breath what carrying it means", () => {
    openPanel([1], fieldOf({ plots: [plotOf(1, { areaM2: 4047 })], stores: [fieldStoreOf({ onHandL: 900 })] }));
    expect(loads()).toHaveTextContent(/810 cans is about 68 hours .* an injector on the hose/);
  });
  it("shares out what does not reach: who wants it most first, and who goes without", async () => {
    const { sent } = openPanel(
      [1, 2, 3],
      fieldOf({
        plots: [plotOf(1), plotOf(2), plotOf(3, { lastByMethod: { "cultured-extract": 9 } })],
        stores: [fieldStoreOf({ onHandL: 10 })],
      }),
    );
    type("Dilution", "1:1");
    // 18 L each at 2 L/m², 9 L at the least; 10 L are there, which make 20 L of mix.
    expect(loads()).toHaveTextContent("27 L wanted, 10 L in stock: shared out");
    expect(loads()).toHaveTextContent("Bed 1 5.5 L of 9 L wanted, 11 L of mix");
    expect(loads()).toHaveTextContent("Goes withoutBed 3 9 L wanted; nothing is left");
    fireEvent.click(screen.getByRole("button", { name: "Bed 3: wants it. Change" }));
    expect(loads()).toHaveTextContent("Bed 3 9 L, 18 L of mix");
    type("Reason for using it anyway", "an old trial");
    fireEvent.click(screen.getByRole("button", { name: "Log application" }));
    await waitFor(() => expect(sent()).toMatchObject({ plotIds: [3], mixL: [18] }));
  });
  it("counts the mix or the concentrate, and says both", () => {
    openPanel([1]);
    type("Dilution", "1:9");
    expect(screen.getByText(/On a square metre: 2 L of mix, with 200 mL of concentrate/)).toBeVisible();
    fireEvent.click(screen.getByText(/^How it is counted/));
    fireEvent.click(screen.getByRole("radio", { name: "the concentrate" }));
    type("Concentrate (L per m²)", "0.1");
    expect(screen.getByText(/On a square metre: 1 L of mix, with 100 mL of concentrate/)).toBeVisible();
    expect(loads()).toHaveTextContent("In all 9 L of mix: 900 mL of concentrate");
  });
  it("leaves out what lies too near to water, and says so", () => {
    openPanel([1, 2], fieldOf({ plots: [plotOf(1), plotOf(2, { treatableM2: 0, nearWater: ["Brook"] })] }));
    expect(loads()).toHaveTextContent("Bed 2 too near to Brook");
    expect(loads()).toHaveTextContent("In all 18 L of mix");
  });
  it.each([
    ["1:0", 'Write "undiluted"'],
    ["a glug", "is not a ratio"],
    ["200 %", "100 % or more of the mix"],
  ])("refuses %s at its field", (ratio, words) => {
    openPanel([1]);
    type("Dilution", ratio);
    expect(screen.getByText(new RegExp(words))).toBeVisible();
    expect(screen.getByLabelText("Dilution")).toHaveAttribute("aria-invalid", "true");
  });
  it("wants a reason for what is stronger than the book", async () => {
    const { sent } = openPanel([1], fieldOf(), fakeActions());
    type("Dilution", "1:10");
    expect(screen.getByText(/stronger than the strongest usual/)).toBeVisible();
    type("Reason for using it anyway", "patch-tested on Sunday");
    fireEvent.click(screen.getByRole("button", { name: "Log application" }));
    await waitFor(() => expect(sent()).toMatchObject({ overrideReason: "patch-tested on Sunday" }));
  });
  it("bars a tea that died, with no field for a reason", () => {
    openPanel(
      [1],
      fieldOf({
        stores: [fieldStoreOf({ recipe: bookDocument("aerated-tea"), shelfFromMs: at(-20), expiresMs: at(-16) })],
      }),
    );
    expect(screen.getByText(/it is foul and goes on nothing but compost/)).toBeVisible();
    expect(screen.queryByLabelText("Reason for using it anyway")).toBeNull();
    expect(screen.getByRole("button", { name: "Log application" })).toBeDisabled();
  });
  it("has what stood long smelt first, here and now", async () => {
    const actions = fakeActions();
    openPanel([1], fieldOf({ stores: [fieldStoreOf({ recheck: { because: "age", dueMs: at(-3) } })] }), actions);
    expect(screen.getByText(/Not smelled for a long time/)).toBeVisible();
    expect(screen.getByRole("button", { name: "Log application" })).toBeDisabled();
    fireEvent.click(screen.getByRole("button", { name: "It smells good" }));
    await waitFor(() =>
      expect(actions.checkStore.mock.calls[0]?.[0]).toMatchObject({ storeId: 1, kind: "smelt-good" }),
    );
  });
  it("takes the injector for the injector's use, and refuses what it can't give", () => {
    openPanel([1]);
    fireEvent.click(screen.getByRole("radio", { name: "Through the injector" }));
    expect(screen.getByLabelText("Apply with")).toHaveValue("2");
    type("Dilution", "1:40");
    expect(screen.getByText(/stronger than this injector can give/)).toBeVisible();
  });
  it("counts by the plant where every chosen bed has its plants counted", () => {
    openPanel([1], fieldOf({ plots: [plotOf(1, { plants: 9, stage: "perennial" })] }));
    fireEvent.click(screen.getByRole("radio", { name: "by the plant" }));
    expect(screen.getByLabelText("Mix (L per plant)")).toHaveValue("4");
    expect(loads()).toHaveTextContent("In all 36 L of mix");
  });
  it("is partly done, with a note: what was left out is not sent", async () => {
    const { sent } = openPanel([1, 2]);
    fireEvent.click(screen.getByRole("checkbox", { name: "Bed 2 is done" }));
    type("Done differently?", "half of it, rain came");
    fireEvent.click(screen.getByRole("button", { name: "Log 1 of 2 beds" }));
    await waitFor(() => expect(sent()).toMatchObject({ plotIds: [1], note: "half of it, rain came" }));
    expect((sent() as { mixL: number[] }).mixL).toHaveLength(1);
  });
  it("on leaves wants it strained and the nozzle looked at, and sends that it was", async () => {
    const { sent } = openPanel([1]);
    fireEvent.click(screen.getByRole("radio", { name: "On the leaves" }));
    expect(screen.getByRole("region", { name: "After" })).toHaveTextContent("No watering over the leaves");
    fireEvent.click(screen.getByRole("checkbox", { name: /^Strained to 0.2 mm/ }));
    fireEvent.click(screen.getByRole("button", { name: "Log application" }));
    await waitFor(() => expect(sent()).toMatchObject({ useId: "foliar", isStrained: true }));
  });
  it("warns of mist on leaves", () => {
    openPanel([1]);
    fireEvent.click(screen.getByRole("radio", { name: "On the leaves" }));
    expect(screen.getByText(/Wear mask and gloves/)).toBeVisible();
  });
  it("keeps everything when it is refused", async () => {
    openPanel(
      [1],
      fieldOf(),
      fakeActions({ applyStore: refused("Another drew on it meanwhile.", { "/plotIds": "The store holds 1 L." }) }),
    );
    type("Mix (L per m²)", "3");
    fireEvent.click(screen.getByRole("button", { name: "Log application" }));
    expect(await screen.findByText("Another drew on it meanwhile.")).toBeVisible();
    expect(screen.getByLabelText("Mix (L per m²)")).toHaveValue("3");
  });
  it("prefers a store that has not gone over", () => {
    openPanel(
      [1],
      fieldOf({
        stores: [fieldStoreOf({ id: 8, label: "Old", expiresMs: at(-5) }), fieldStoreOf({ id: 9, label: "Fresh" })],
      }),
    );
    expect(screen.getByLabelText("What")).toHaveValue("9");
  });
});

describe("the cards", () => {
  it("share the walk out to those who go, each with the beds that follow on each other", () => {
    const view = fieldOf({ plots: [1, 2, 3, 4].map((id) => plotOf(id)) });
    renderWith(fakeActions(), <FieldScreen view={view} start={{ storeId: null, step: null }} />);
    for (const id of [1, 2, 3, 4]) fireEvent.click(screen.getByRole("button", { name: new RegExp(`^Bed ${id},`) }));
    const cards = () => screen.getAllByRole("article", { hidden: true });
    expect(cards()).toHaveLength(1);
    expect(cards()[0]).toHaveTextContent("At the foot of the plants");
    type("Cards for", "2");
    expect(cards().map((card) => card.getAttribute("aria-label"))).toEqual(["Job card 1 of 2", "Job card 2 of 2"]);
    const beds = cards().map((card) =>
      [...(card.textContent ?? "").matchAll(/(?:st|nd)(Bed \d)/g)].map(([, bed]) => bed),
    );
    expect(beds.map(({ length }) => length)).toEqual([2, 2]);
    expect(beds.flat().toSorted()).toEqual(["Bed 1", "Bed 2", "Bed 3", "Bed 4"]);
    expect(cards()[0]).toHaveTextContent("36 L in all: 3.6 × a can of 10 L");
  });
});

describe("the field plan", () => {
  it("draws every bed as a button that says what it is and what it got last", () => {
    const last = { storeLabel: "Nettle extract", atMs: at(-26) };
    const onToggle = jest.fn();
    renderWith(
      fakeActions(),
      <FieldPlan
        marks={[]}
        plots={[plotOf(1), plotOf(2, { last })]}
        chosen={new Set([2])}
        onToggle={onToggle}
        clock={FARM}
        nowMs={NOW_MS}
        units="metric"
      />,
    );
    expect(screen.getByRole("button", { name: "Bed 1, carrots, 9 m²; last got nothing yet" })).toHaveAttribute(
      "aria-pressed",
      "false",
    );
    const second = screen.getByRole("button", {
      name: "Bed 2, carrots, 9 m²; last got nettle extract yesterday 10:00",
    });
    expect(second).toHaveAttribute("aria-pressed", "true");
    fireEvent.click(second);
    expect(onToggle).toHaveBeenCalledWith(2);
  });
  it("gives each bed a thumb's width, however narrow", () => {
    renderWith(
      fakeActions(),
      <FieldPlan
        marks={[]}
        plots={[plotOf(1, { ring: rectangle([0, 0], 0.3, 7.5) })]}
        chosen={new Set()}
        onToggle={() => undefined}
        clock={FARM}
        nowMs={NOW_MS}
        units="metric"
      />,
    );
    const hit = document.querySelector("[data-hit='1']")!;
    // At 28 px a metre it is 8 px wide, and the stroke that can be hit lies half on either side.
    expect(0.3 * 28 + parseFloat(hit.getAttribute("stroke-width")!)).toBeGreaterThanOrEqual(44);
  });
});

describe("an input that was topped up", () => {
  it("says how weak it is, and the mix that makes up for it", () => {
    openPanel([1], fieldOf({ stores: [fieldStoreOf({ strength: 0.8 })] }));
    expect(screen.getByText(/it is at 80 % of its first strength, and 1:\d+ does what 1:\d+ would/)).toBeVisible();
  });
  it("says nothing at full strength", () => {
    openPanel([1]);
    expect(screen.queryByText(/first strength/)).toBeNull();
  });
});

describe("the field without something", () => {
  it.each([
    ["stores", { stores: [] }, "No inputs yet"],
    ["tools", { tools: [] }, "Add the can, knapsack or injector"],
    ["beds", { plots: [] }, "No beds yet"],
  ])("no %s: says what comes next", (_what, change, words) => {
    renderWith(fakeActions(), <FieldScreen view={fieldOf(change)} start={{ storeId: null, step: null }} />);
    expect(screen.getByText(new RegExp(words))).toBeVisible();
  });
  it("names the next hours that are fit, and skips those that are not", () => {
    const band = (fromH: number, fit: "none" | "soil") => ({
      fromMs: NOW_MS + fromH * 3_600_000,
      toMs: NOW_MS + (fromH + 3) * 3_600_000,
      when: "dusk" as const,
      fit,
      because: fit === "none" ? ("cold" as const) : ("rain" as const),
      windMPerS: 1,
      airC: 3,
    });
    renderWith(
      fakeActions(),
      <FieldScreen
        view={fieldOf({ bands: [band(2, "none"), band(9, "soil")] })}
        start={{ storeId: null, step: null }}
      />,
    );
    expect(screen.getByText(/^Next good time to apply: .*rain, soil only/)).toBeVisible();
  });
  it("chooses all beds and none", () => {
    renderWith(fakeActions(), <FieldScreen view={fieldOf()} start={{ storeId: 1, step: null }} />);
    fireEvent.click(screen.getByRole("button", { name: "Choose all" }));
    expect(loads()).toHaveTextContent("In all 36 L of mix");
    fireEvent.click(screen.getByRole("button", { name: "Choose none" }));
    expect(loads()).toHaveTextContent("Choose beds on the plan");
  });
});

it("of another hour, takes the reason that the farm alone asks for", async () => {
  const actions = fakeActions();
  actions.applyStore.mockResolvedValueOnce(
    refused("Why at that hour?", { "/overrideReason": "The sun was high: give a reason." }),
  );
  const { sent } = openPanel([1], undefined, actions);
  fireEvent.change(screen.getByLabelText("When"), { target: { value: "8" } });
  expect(screen.queryByLabelText("Reason for using it anyway")).toBeNull();
  fireEvent.click(screen.getByRole("button", { name: "Log application" }));
  const reason = await screen.findByLabelText("Reason for using it anyway");
  expect(reason).toHaveAttribute("aria-invalid", "true");
  fireEvent.change(reason, { target: { value: "overcast all day" } });
  await waitFor(() => expect(screen.getByRole("button", { name: "Log application" })).toBeEnabled());
  fireEvent.click(screen.getByRole("button", { name: "Log application" }));
  await waitFor(() =>
    expect(sent()).toMatchObject({
      overrideReason: "overcast all day",
      at: new Date(NOW_MS - 8 * 3_600_000).toISOString(),
    }),
  );
});

describe("beside the mix", () => {
  const living = () =>
    fieldOf({ stores: [fieldStoreOf({ methodId: "aerated-tea", recipe: bookDocument("aerated-tea") })] });
  afterEach(() => localStorage.clear());
  it("a living mix has a clock of its own, that runs on though the page is closed", () => {
    const { unmount } = renderWith(fakeActions(), <FieldPanel view={living()} chosen={new Set([1])} />);
    fireEvent.click(screen.getByRole("button", { name: "It is mixed: start the clock" }));
    expect(screen.getByRole("region", { name: "Clock of the mix" })).toHaveTextContent(/Out of the can by .* left/);
    unmount();
    localStorage.setItem("mixed-1", String(Date.now() - 9 * 3_600_000));
    renderWith(fakeActions(), <FieldPanel view={living()} chosen={new Set([1])} />);
    const clock = screen.getByRole("region", { name: "Clock of the mix" });
    expect(clock).toHaveTextContent("Its time is over");
    fireEvent.click(within(clock).getByRole("button", { name: "It is out of the can" }));
    expect(clock).toHaveTextContent("start the clock");
  });
  it("what keeps has none", () => {
    openPanel([1]);
    expect(screen.queryByRole("region", { name: "Clock of the mix" })).toBeNull();
  });
  it("water that is not fit says when it would be, if it is begun now", () => {
    openPanel([1]);
    fireEvent.change(screen.getByLabelText(/^Water for dilution/), { target: { value: "source-2" } });
    expect(screen.getByText(/Begun now it is fit: .*vitamin C/)).toBeVisible();
  });
  it("an estimate of the mix is called one", () => {
    openPanel([1]);
    expect(screen.getByText(/^An estimate, not a reading: the mix has about pH/)).toBeVisible();
  });
  it("two liquids are limited by the scarcer, blended first, and sent as two", async () => {
    const view = fieldOf({
      stores: [fieldStoreOf({ id: 7, onHandL: 20 }), fieldStoreOf({ id: 8, label: "Comfrey", onHandL: 1 })],
    });
    const { sent } = openPanel([1, 2], view);
    fireEvent.click(screen.getByText("Two liquids in one can"));
    fireEvent.change(screen.getByLabelText("Together with"), { target: { value: "8" } });
    fireEvent.change(screen.getByLabelText("Parts of it to one of Nettle extract"), { target: { value: "2" } });
    expect(
      screen.getByText(/1.5 L of the two can be had: Comfrey ends first, 19.5 L of Nettle extract stay/),
    ).toBeVisible();
    expect(loads()).toHaveTextContent(/Blend first: .* of Nettle extract with .* of Comfrey/);
    fireEvent.change(screen.getByLabelText(/^Water for dilution/), { target: { value: "source-1" } });
    fireEvent.click(screen.getByRole("button", { name: "Log application" }));
    await waitFor(() => expect(sent()).toMatchObject({ storeId: 7, second: { storeId: 8, parts: 2 } }));
  });
  it("a solid is counted by the litre, worked in down to a depth, with no water asked", () => {
    const char = fieldStoreOf({
      methodId: "charged-char",
      recipe: bookDocument("charged-char", "standard"),
      onHandL: 200,
    });
    openPanel([1], fieldOf({ stores: [char] }));
    expect(screen.getByText(/One part in 38 of that ground/)).toBeVisible();
    expect(screen.queryByLabelText(/^Water for dilution/)).toBeNull();
  });
  it("each bed the same, in whole loads where that is wanted", async () => {
    const { sent } = openPanel([1, 2]);
    fireEvent.click(screen.getByText(/^How it is counted/));
    fireEvent.click(screen.getByRole("radio", { name: "each bed the same" }));
    type("Mix (L each)", "14");
    expect(loads()).toHaveTextContent("In all 28 L of mix");
    fireEvent.click(screen.getByRole("checkbox", { name: /^Whole loads of the can only/ }));
    expect(loads()).toHaveTextContent("In all 20 L of mix");
    type(/^Water for dilution/, "source-1");
    fireEvent.click(screen.getByRole("button", { name: "Log application" }));
    await waitFor(() => expect(sent()).toMatchObject({ mixRatePer: "whole", mixRateL: 14, mixL: [10, 10] }));
  });
  it("what is not on the plan has its own way, and takes so much in all", () => {
    const pots = plotOf(9, { name: "Sill", kind: "houseplants", areaM2: 1, treatableM2: 1, crop: "" });
    openPanel([9], fieldOf({ elsewhere: [pots] }));
    expect(screen.getByRole("radio", { name: "Houseplants" })).toBeChecked();
    expect(screen.getByLabelText("Mix (L each)")).toHaveValue("10");
    expect(screen.getByRole("button", { name: "It is done" })).toBeVisible();
  });
});

it("a farm with no bed at all can name what is not on the plan, and then treat it", () => {
  const { unmount } = renderWith(
    fakeActions(),
    <FieldScreen view={fieldOf({ plots: [] })} start={{ storeId: null, step: null }} />,
  );
  fireEvent.click(screen.getByText(/^Not on the plan/));
  expect(screen.getByRole("button", { name: "Add one" })).toBeVisible();
  unmount();
  const pots = plotOf(9, { name: "Sill", kind: "houseplants", areaM2: 1, treatableM2: 1, crop: "" });
  renderWith(
    fakeActions(),
    <FieldScreen view={fieldOf({ plots: [], elsewhere: [pots] })} start={{ storeId: null, step: null }} />,
  );
  fireEvent.click(screen.getByRole("button", { name: /^Sill/ }));
  expect(screen.getByRole("button", { name: "It is done" })).toBeVisible();
});
