import { fireEvent, screen, waitFor, within } from "@testing-library/react";
import { bookDocument } from "@/core/recipe/document";
import type { RecipeKey } from "@/core/recipe/pick";
import type { MakingView } from "@/services/fill/readMaking";
import { FARM, fakeActions, makingOf, NOW_MS, renderWith, shelfItem } from "@/testing/views";
import { FillSheet } from "./FillSheet";
import { fillStartFrom, queryOf, recipeKeyFrom, sizeQuery } from "./recipeKey";

jest.mock("next/navigation", () => ({ useRouter: () => ({ push: jest.fn(), refresh: jest.fn() }) }));

const VESSEL = {
  id: 3,
  name: "Drum",
  kind: "drum",
  volumeL: 60,
  diameterM: 0.4,
  site: "",
  airW: 20,
  heldBefore: "nothing",
  state: "in-use",
  status: "free",
} as const;
const held = shelfItem;

function open(methodId: string, schoolId: string, change: Partial<MakingView> = {}, versionNo: number | null = null) {
  const actions = fakeActions();
  const key: RecipeKey = { methodId, schoolId, versionNo };
  renderWith(actions, <FillSheet vessel={VESSEL} making={makingOf(change)} farm={FARM} startWith={key} />);
  return { actions, sent: () => actions.fillVessel.mock.calls.at(-1)?.[0] as Record<string, unknown> };
}
const start = () => fireEvent.click(screen.getByRole("button", { name: "Start batch" }));
const water = (value: string) => fireEvent.change(screen.getByLabelText(/^Water for the brew/), { target: { value } });

describe("filling by any recipe", () => {
  it("sends no sugar that is due on day two, and shows it apart", async () => {
    const { sent, actions } = open("lactic-serum", "salted-rice");
    expect(screen.getByRole("region", { name: "Later" })).toHaveTextContent(/Brown sugar on day 2.*1\.\d+ kg/);
    start();
    await waitFor(() => expect(actions.fillVessel).toHaveBeenCalled());
    const lines = sent().lines as { ingredientId: string }[];
    expect(lines.map(({ ingredientId }) => ingredientId)).toEqual(["rice-wash", "sea-salt"]);
    // Rice wash is the liquid: no other water is asked for.
    expect(sent().water).toBeNull();
  });
  it("asks for what nobody states, refuses nonsense there, and sends what is said", async () => {
    const { sent, actions } = open("feeding-tea", "standard");
    const guano = screen.getByLabelText(/^Guano/);
    fireEvent.change(guano, { target: { value: "some" } });
    expect(screen.getByText(/A number, please/)).toBeVisible();
    fireEvent.change(guano, { target: { value: "0,2" } });
    expect(screen.getByLabelText("Guano, kg")).toHaveValue("0.2");
    water("source-1");
    start();
    await waitFor(() => expect(actions.fillVessel).toHaveBeenCalled());
    expect(sent().stated).toEqual([{ ingredient: "guano", amount: 0.2 }]);
  });
  it("lets something stand in, by its strength, and says what that changes", async () => {
    const { sent, actions } = open("cultured-extract", "equal-parts");
    fireEvent.change(screen.getByLabelText("Instead of lactic culture"), { target: { value: "whey" } });
    expect(screen.getByText(/half as strong/)).toBeInTheDocument();
    expect(screen.getByLabelText("Whey, L")).toBeInTheDocument();
    expect(screen.queryByLabelText("Lactic culture, L")).toBeNull();
    fireEvent.change(screen.getByLabelText("Instead of lactic culture"), { target: { value: "" } });
    expect(screen.getByLabelText("Lactic culture, L")).toBeInTheDocument();
    fireEvent.change(screen.getByLabelText("Instead of lactic culture"), { target: { value: "whey" } });
    water("source-1");
    start();
    await waitFor(() => expect(actions.fillVessel).toHaveBeenCalled());
    expect(sent().substitutes).toEqual([{ instead: "lactic-culture", use: "whey" }]);
  });
  it("doses what stands in the vessel already, by its depth", () => {
    open("cultured-extract", "equal-parts");
    fireEvent.click(screen.getByRole("radio", { name: "Liquid already in it" }));
    // A drum of 0.4 m holds 12.6 L to 10 cm.
    fireEvent.change(screen.getByLabelText("Depth (cm)"), { target: { value: "10" } });
    expect(screen.getByLabelText("Water, L")).toHaveValue("12.57");
    fireEvent.change(screen.getByLabelText("Depth (cm)"), { target: { value: "900" } });
    expect(screen.getByRole("alert")).toHaveTextContent("The depth must lie between");
    fireEvent.change(screen.getByLabelText("Depth (cm)"), { target: { value: "knee-high" } });
    expect(screen.getByRole("alert")).toHaveTextContent("A number, please, in cm.");
  });
  it("works out shell and acid for the vinegar in hand", () => {
    open("shell-calcium", "four-to-one");
    const chemistry = screen.getByRole("region", { name: "Shell and acid" });
    expect(chemistry).toHaveTextContent("The acid runs out firstCalcium: 16.7 g/L");
    fireEvent.change(within(chemistry).getByLabelText(/strength/), { target: { value: "10" } });
    expect(chemistry).toHaveTextContent("33.4 g/L");
    fireEvent.change(within(chemistry).getByLabelText(/strength/), { target: { value: "90" } });
    expect(within(chemistry).getByRole("alert")).toHaveTextContent("must lie between 0 % and 30 %");
    fireEvent.change(within(chemistry).getByLabelText(/strength/), { target: { value: "strong" } });
    expect(within(chemistry).getByRole("alert")).toHaveTextContent("Fill in the strength of the vinegar, in per cent.");
    expect(screen.getByLabelText("Crushed eggshell, kg")).toHaveValue("8.22");
  });
  it("warns where a starter is too thin, the brew too cold, the recipe new here", () => {
    open("cultured-extract", "equal-parts", { made: [] });
    expect(screen.getByText("First time on this farm")).toBeVisible();
    fireEvent.change(screen.getByLabelText("Lactic culture, L"), { target: { value: "0.1" } });
    expect(screen.getByText("Too little starter")).toBeVisible();
    fireEvent.change(screen.getByLabelText("Liquid stands at (°C)"), { target: { value: "11" } });
    expect(screen.getByText("Too cold")).toBeVisible();
    expect(screen.getByText(/W bring so much up in twelve hours/)).toBeVisible();
  });
  it("does not call it the first where one came off well", () => {
    open("cultured-extract", "equal-parts", { made: ["cultured-extract"] });
    expect(screen.queryByText("First time on this farm")).toBeNull();
    expect(screen.queryByText("Too little starter")).toBeNull();
    expect(screen.queryByText("Too cold")).toBeNull();
  });
  it("takes an ingredient that may go in from what the shed holds", async () => {
    const { sent, actions } = open("aerated-tea", "bacterial", { shelf: [held("kelp-meal", 3)] });
    fireEvent.click(screen.getByRole("checkbox", { name: /^Kelp meal: .*In stock: 3 kg/ }));
    expect(screen.getByLabelText("Kelp meal, kg")).toBeInTheDocument();
    water("source-1");
    start();
    await waitFor(() => expect(actions.fillVessel).toHaveBeenCalled());
    expect(sent().include).toEqual(["kelp-meal"]);
  });
  it("weighs the wet sack before anybody lifts it", () => {
    renderWith(
      fakeActions(),
      <FillSheet
        vessel={{ ...VESSEL, volumeL: 200 }}
        making={makingOf()}
        farm={FARM}
        startWith={{ methodId: "drum-manure-tea", schoolId: "standard", versionNo: null }}
      />,
    );
    expect(screen.getByText(/The sack comes out at about .* kg wet/)).toBeVisible();
  });
});

describe("what else goes in", () => {
  it("asks which plants were picked, and stops at a poisonous one", async () => {
    const { sent, actions } = open("cultured-extract", "equal-parts");
    fireEvent.click(screen.getByRole("checkbox", { name: "picked just now" }));
    fireEvent.change(screen.getByLabelText("Which plants"), { target: { value: "nettle and hemlock" } });
    expect(screen.getByText(/Hemlock kills.*Never use it in a brew/)).toBeVisible();
    expect(screen.getByText(/gloves/)).toBeVisible();
    fireEvent.change(screen.getByLabelText("Which plants"), { target: { value: "nettle" } });
    water("source-1");
    start();
    await waitFor(() => expect(actions.fillVessel).toHaveBeenCalled());
    const lines = sent().lines as { ingredientId: string; species?: string }[];
    expect(lines.find(({ ingredientId }) => ingredientId === "plant")).toMatchObject({ species: "nettle" });
  });
  it("offers the tools that hang in it, and says which want a wash", async () => {
    const tool = (id: number, kind: "stone" | "tubing" | "bag", dirtyFrom: "soak" | null = null) => ({
      id,
      kind,
      name: `${kind} ${id}`,
      count: 2,
      size: null,
      outlets: null,
      note: "",
      broken: false,
      dirtyFrom,
      calibratedOn: null,
      busy: false,
      washedBetween: true,
      calibrationDueOn: null,
    });
    const { sent, actions } = open("aerated-tea", "bacterial", {
      equipment: [tool(1, "stone", "soak"), tool(2, "tubing"), tool(3, "bag")],
    });
    expect(screen.queryByRole("checkbox", { name: /^bag 3/ })).toBeNull();
    expect(screen.getByText(/wash it first, it was in another family/)).toBeVisible();
    fireEvent.click(screen.getByRole("checkbox", { name: /^stone 1 .*not washed/ }));
    fireEvent.click(screen.getByRole("checkbox", { name: /^tubing 2/ }));
    water("source-1");
    start();
    await waitFor(() => expect(actions.fillVessel).toHaveBeenCalled());
    expect(sent().equipmentIds).toEqual([1, 2]);
  });
  it("takes what is on hold with a reason, and plans for a day", async () => {
    const { actions } = open("cultured-extract", "equal-parts", {
      shelf: [shelfItem("lactic-culture", 0, { softHeld: 5, heldBecause: "expired" })],
    });
    expect(screen.getByText(/on hold: expired/)).toBeVisible();
    fireEvent.change(screen.getByLabelText("Reason for using stock on hold"), {
      target: { value: "smells clean" },
    });
    fireEvent.click(screen.getByRole("button", { name: "Plan for later" }));
    fireEvent.change(screen.getByLabelText("For the day"), { target: { value: "2031-03-25" } });
    fireEvent.click(screen.getByRole("button", { name: "Plan it" }));
    await waitFor(() =>
      expect(actions.planBatch.mock.calls[0]?.[0]).toMatchObject({
        methodId: "cultured-extract",
        vesselId: 3,
        forDay: "2031-03-25",
      }),
    );
  });
  it("begins step by step with what is meant to go in", async () => {
    const { actions } = open("cultured-extract", "equal-parts");
    water("source-1");
    fireEvent.click(screen.getByRole("button", { name: "Fill step by step" }));
    await waitFor(() => expect(actions.startMixing).toHaveBeenCalled());
    const [{ lines, water: asked }] = actions.startMixing.mock.calls[0] as [
      { lines: { ingredientId: string; amount: number }[]; water: object },
    ];
    expect(lines[0]).toMatchObject({ ingredientId: "water", amount: expect.any(Number) as number });
    expect(asked).toMatchObject({ sourceId: 1 });
  });
});

describe("filling by the farm's own version", () => {
  const versions = [
    {
      methodId: "cultured-extract",
      schoolId: "equal-parts",
      versionNo: 3,
      document: { ...bookDocument("cultured-extract"), name: "Ours", note: "sweeter" },
      unconfirmed: [],
      actorName: "Ana",
      addedMs: NOW_MS,
    },
  ];
  it("sends its number, and starts with it where the farm goes by it", async () => {
    const { sent, actions } = open("cultured-extract", "equal-parts", { versions }, 3);
    expect(screen.getByRole("radio", { name: /Ours, own version 3/ })).toBeChecked();
    water("source-1");
    start();
    await waitFor(() => expect(actions.fillVessel).toHaveBeenCalled());
    expect(sent()).toMatchObject({ methodId: "cultured-extract", schoolId: "equal-parts", versionNo: 3 });
  });
  it("can't be picked while a figure of it is not confirmed", () => {
    const unconfirmed = [{ weight: "unconfirmed" as const, path: "/x", text: "A slip, or meant?" }];
    open("cultured-extract", "equal-parts", { versions: [{ ...versions[0]!, unconfirmed }] });
    expect(screen.getByRole("radio", { name: /Ours, own version 3/ })).toBeDisabled();
    expect(screen.getByText(/Not confirmed: A slip/)).toBeVisible();
  });
  it("is named in an address, and read back from it", () => {
    const key = { methodId: "cultured-extract", schoolId: "equal-parts", versionNo: 3 };
    const query = Object.fromEntries(new URLSearchParams(queryOf(key)));
    expect(recipeKeyFrom(query, versions)).toEqual(key);
    expect(recipeKeyFrom({ ...query, version: "9" }, versions)).toEqual({ ...key, versionNo: null });
    expect(recipeKeyFrom({ method: "cultured-extract", school: "thirds" }, [])).toMatchObject({
      schoolId: "equal-parts",
    });
    expect(recipeKeyFrom({ method: "moon-water" }, [])).toBeNull();
    expect(recipeKeyFrom({}, [])).toBeNull();
  });
});

describe("a size in an address", () => {
  const start = {
    basisAmount: 0.2418,
    choice: {
      include: ["kelp-meal"],
      stated: [{ ingredient: "guano", amount: 0.2 }],
      substitutes: [{ instead: "lactic-culture", use: "whey" }],
    },
  };
  it("comes back as it was handed on", () =>
    expect(fillStartFrom(Object.fromEntries(new URLSearchParams(sizeQuery(start))))).toEqual(start));
  it("is none where it is no amount, and leaves out what nobody knows", () => {
    for (const amount of [undefined, "", "0", "-3", "many", "Infinity"])
      expect(fillStartFrom({ ...(amount === undefined ? {} : { amount }) })).toBeNull();
    expect(fillStartFrom({ amount: "5", include: "moonlight", stated: "guano:x,dust:1", swaps: "whey" })).toEqual({
      basisAmount: 5,
      choice: { include: [], stated: [], substitutes: [] },
    });
  });
});
