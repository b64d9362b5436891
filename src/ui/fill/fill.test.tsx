import { cleanup, fireEvent, screen, waitFor, within } from "@testing-library/react";
import { FARM, fakeActions, makingOf, refused, renderWith, shelfItem, NOW_MS } from "@/testing/views";
import { FillSheet } from "./FillSheet";

const push = jest.fn();
jest.mock("next/navigation", () => ({ useRouter: () => ({ push, refresh: jest.fn() }) }));

const SHELF = [
  shelfItem("molasses", 9.4, {
    lots: [
      { id: 1, receivedOn: "2031-01-05", onHand: 0.4 },
      { id: 2, receivedOn: "2031-03-01", onHand: 9 },
    ],
  }),
  shelfItem("lactic-culture", 1),
  shelfItem("plant", 5),
];
const VESSEL = {
  id: 3,
  name: "Drum",
  kind: "drum",
  volumeL: 60,
  diameterM: null,
  site: "lean-to",
  airW: 0,
  heldBefore: "nothing",
  state: "in-use",
  status: "free",
} as const;

function open(
  actions = fakeActions(),
  vessel: typeof VESSEL | (Omit<typeof VESSEL, "airW"> & { airW: number }) = VESSEL,
  units: "metric" | "us" = "metric",
) {
  renderWith(
    actions,
    <FillSheet vessel={vessel} making={makingOf({ shelf: SHELF })} farm={{ ...FARM, units }} startWith={null} />,
  );
  return { sent: () => actions.fillVessel.mock.calls.at(-1)?.[0] as Record<string, unknown>, actions };
}

const pick = (methodId: string) => fireEvent.change(screen.getByLabelText("Method"), { target: { value: methodId } });
const water = (value = "source-1") =>
  fireEvent.change(screen.getByLabelText(/^Water for the brew/), { target: { value } });

describe("the fill panel", () => {
  beforeEach(() => push.mockClear());
  it("shows the mixing in order, each step with its reason, and the cautions", () => {
    open();
    const order = screen.getByRole("region", { name: "Filling steps" });
    const steps = within(order)
      .getAllByRole("listitem")
      .filter((step) => step.parentElement?.tagName === "OL");
    expect(steps).toHaveLength(5);
    expect(steps[0]).toHaveTextContent("Run the water in, free of chlorine");
    expect(steps[3]).toHaveTextContent("Chopped plant");
    const mind = screen.getByRole("region", { name: "Safety" });
    // What matters most is in sight; the rest is folded and a tap away.
    for (const words of [/no hemlock, foxglove/, /Keep the airlock filled/, /Follow local law, your certifier/])
      expect(within(mind).getByText(words)).toBeVisible();
    expect(within(mind).getByText(/Do not drink. Keep off skin/)).not.toBeVisible();
    fireEvent.click(within(mind).getByText(/more safety notes/));
    expect(within(mind).getByText(/Do not drink. Keep off skin/)).toBeVisible();
  });
  it("tells from which lots it would draw, oldest first, and what is short", () => {
    open();
    expect(screen.getByText("from 400 mL of 5 Jan 2031, then 99 mL of 1 Mar 2031")).toBeVisible();
    fireEvent.change(screen.getByLabelText("Lactic culture, L"), { target: { value: "3" } });
    expect(screen.getByText(/1 L in stock, 2 L missing/)).toBeVisible();
  });
  it("adds what somebody has to stock without leaving the fill, with its price and its plants", async () => {
    const { actions } = open();
    fireEvent.change(screen.getByLabelText("Lactic culture, L"), { target: { value: "3" } });
    fireEvent.click(screen.getByRole("button", { name: "I have this: Lactic culture" }));
    expect(screen.getByLabelText("How much (L)")).toHaveValue("2");
    fireEvent.change(screen.getByLabelText(/^It cost/), { target: { value: "4,50" } });
    fireEvent.click(screen.getByRole("button", { name: "Add to stock" }));
    await waitFor(() =>
      expect(actions.receiveLot.mock.calls[0]?.[0]).toMatchObject({
        ingredientId: "lactic-culture",
        amount: 2,
        cost: 4.5,
        origin: "bought",
      }),
    );
    // What was typed for the fill still stands.
    expect(screen.getByLabelText("Lactic culture, L")).toHaveValue("3");
  });
  it("is as it was left when it is opened again, and starts over by one tap", () => {
    open();
    fireEvent.change(screen.getByLabelText("Molasses, L"), { target: { value: "0,6" } });
    cleanup();
    open();
    expect(screen.getByLabelText("Molasses, L")).toHaveValue("0,6");
    fireEvent.click(screen.getByRole("button", { name: "Start over" }));
    expect(screen.getByLabelText("Molasses, L")).not.toHaveValue("0,6");
  });
  it("sends what really goes in, beside the method and school", async () => {
    const { sent } = open();
    fireEvent.click(screen.getByRole("radio", { name: /More plant/ }));
    fireEvent.change(screen.getByLabelText("Molasses, L"), { target: { value: "0,6" } });
    fireEvent.click(screen.getByRole("checkbox", { name: "picked just now" }));
    water();
    fireEvent.click(screen.getByRole("button", { name: "Start batch" }));
    await waitFor(() => expect(push).toHaveBeenCalledWith("/", { scroll: false }));
    const request = sent() as {
      schoolId: string;
      lines: { ingredientId: string; used: number; pickedNow: boolean }[];
      statedC: number | null;
    };
    expect(request).toMatchObject({
      vesselId: 3,
      methodId: "cultured-extract",
      schoolId: "more-plant",
      statedC: null,
      labourMin: 45,
      versionNo: null,
      water: { sourceId: 1, startId: null },
    });
    expect(request.lines.find(({ ingredientId }) => ingredientId === "molasses")).toMatchObject({ used: 0.6 });
    expect(request.lines.find(({ ingredientId }) => ingredientId === "plant")).toMatchObject({ pickedNow: true });
  });
  it("says that it was started before, where it was", async () => {
    const { sent } = open();
    fireEvent.click(screen.getByRole("checkbox", { name: "picked just now" }));
    water();
    fireEvent.change(screen.getByLabelText("Started"), { target: { value: "8" } });
    fireEvent.click(screen.getByRole("button", { name: "Start batch" }));
    await waitFor(() => expect(push).toHaveBeenCalledWith("/", { scroll: false }));
    expect(sent()).toMatchObject({ startedAt: new Date(NOW_MS - 8 * 3_600_000).toISOString() });
  });
  it("does not offer a method that needs air to a vessel without, and does to one with", () => {
    open();
    expect(
      screen.getByRole("option", { name: /Aerated castings tea \(needs air; this vessel has none\)/ }),
    ).toBeDisabled();
  });
  it("says the brim is passed and does not start", () => {
    open();
    fireEvent.change(screen.getByLabelText("Water, L"), { target: { value: "90" } });
    expect(screen.getByText(/it will overflow/)).toBeVisible();
    expect(screen.getByRole("button", { name: "Start batch" })).toBeDisabled();
  });
  it("marks the very line that the shed could not give, and keeps all that was typed", async () => {
    open(
      fakeActions({
        fillVessel: refused("The shed holds 300 mL of molasses.", {
          "/lines/1/used": "The shed holds 300 mL of molasses.",
        }),
      }),
    );
    fireEvent.change(screen.getByLabelText("Work time (min)"), { target: { value: "33" } });
    fireEvent.click(screen.getByRole("button", { name: "Start batch" }));
    await waitFor(() => expect(screen.getByLabelText("Molasses, L")).toHaveAttribute("aria-invalid", "true"));
    expect(screen.getByLabelText("Work time (min)")).toHaveValue("33");
    expect(push).not.toHaveBeenCalled();
  });
  it("calls a word in an amount's place what it is", () => {
    open();
    fireEvent.change(screen.getByLabelText("Molasses, L"), { target: { value: "a splash" } });
    expect(screen.getByText(/^A number, please/)).toBeVisible();
  });
  it("talks in gallons and Fahrenheit to a farm that does, and stores Celsius", async () => {
    const { sent } = open(fakeActions(), VESSEL, "us");
    expect(screen.getByText(/15.9 US gal full volume/)).toBeVisible();
    fireEvent.change(screen.getByLabelText("Liquid stands at (°F)"), { target: { value: "77" } });
    fireEvent.click(screen.getByRole("button", { name: "Start batch" }));
    await waitFor(() => expect(sent()).toMatchObject({ statedC: 25 }));
  });
  it("marks a temperature that is none, and does not start", async () => {
    const { actions } = open();
    fireEvent.change(screen.getByLabelText("Liquid stands at (°C)"), { target: { value: "lukewarm" } });
    water();
    fireEvent.click(screen.getByRole("button", { name: "Start batch" }));
    expect((await screen.findAllByText("This must be a number.")).length).toBeGreaterThan(0);
    expect(actions.fillVessel).not.toHaveBeenCalled();
  });
  it("starts over from the recipe when the method changes", () => {
    open();
    fireEvent.change(screen.getByLabelText("Molasses, L"), { target: { value: "9" } });
    pick("plant-juice");
    expect(screen.getByLabelText("Brown sugar, the cap on top, kg")).toBeInTheDocument();
    pick("cultured-extract");
    expect(screen.getByLabelText("Molasses, L")).not.toHaveValue("9");
  });
});

describe("a vessel that is taken while the panel is open", () => {
  it("stays open with what was typed, says so, and does not start", () => {
    const screenOf = (status: "free" | "running") => (
      <FillSheet vessel={{ ...VESSEL, status }} making={makingOf({ shelf: SHELF })} farm={FARM} startWith={null} />
    );
    const actions = fakeActions();
    const { rerender } = renderWith(actions, screenOf("free"));
    fireEvent.change(screen.getByLabelText("Molasses, L"), { target: { value: "0.7" } });
    rerender(screenOf("running"));
    expect(screen.getByText("Drum is in use.")).toBeVisible();
    expect(screen.getByLabelText("Molasses, L")).toHaveValue("0.7");
    expect(screen.getByRole("button", { name: "Start batch" })).toBeDisabled();
  });
});
