import { fireEvent, screen, waitFor, within } from "@testing-library/react";
import { drawCautionCard } from "@/core/practice/cautionCards";
import { drawDrill } from "@/core/practice/drills";
import { standingsOf } from "@/core/practice/spacing";
import { DEFAULT_RULES } from "@/core/safety/carried";
import { FILMS, LIQUIDS, SOLIDS, SURFACES } from "@/core/book/words";
import { YARD_METHODS } from "@/core/practice/yard/drums";
import type { Learner, PracticeView } from "@/services/practice";
import { fakeActions, renderWith } from "@/testing/views";
import { AnswersScreen } from "./AnswersScreen";
import { DrumScreen } from "./DrumScreen";
import { PracticeScreen } from "./PracticeScreen";
import { SafetyScreen } from "./SafetyScreen";
import { SignsScreen } from "./SignsScreen";
import { SumsScreen } from "./SumsScreen";
import { WeekScreen } from "./WeekScreen";

const [push, refresh] = [jest.fn(), jest.fn()];
jest.mock("next/navigation", () => ({ useRouter: () => ({ push, refresh }), usePathname: () => "/practice" }));
beforeEach(() => {
  localStorage.clear();
  push.mockClear();
});
const click = (name: RegExp | string) => fireEvent.click(screen.getByRole("button", { name }));

describe("a training drum", () => {
  it("shows nothing but what is looked at, and is told once more at its end", async () => {
    const actions = fakeActions();
    renderWith(actions, <DrumScreen name="tea" seed={12} units="metric" isKept />);
    expect(screen.getByText(/You see only what you look at/)).toBeInTheDocument();
    expect(screen.getByRole("img", { name: /The lid is on/ })).toBeInTheDocument();
    click("Lift the lid");
    expect(screen.getByRole("img", { name: /Foam: / })).toBeInTheDocument();
    expect(screen.getByRole("button", { name: "Lift the lid" })).toBeDisabled();
    click("12 h");
    expect(screen.getByRole("img", { name: /The lid is on/ })).toBeInTheDocument();
    click("Smell it");
    expect(within(screen.getByRole("list", { name: "What you saw" })).getAllByRole("listitem")).toHaveLength(2);
    click("Strain and use it");
    expect(await screen.findByRole("heading", { name: /coins$/ })).toHaveFocus();
    expect(screen.getByText(/A calm grower ended at/)).toBeInTheDocument();
    await waitFor(() => expect(actions.logPracticeDrum).toHaveBeenCalledTimes(1));
    expect(actions.logPracticeDrum.mock.calls[0]![0]).toMatchObject({ code: "tea-12", hour: 12 });
    click("The same drum again");
    expect(screen.getByText(/You see only what you look at/)).toBeInTheDocument();
  });
  it("keeps nothing for who may only look, and goes on where it was left", () => {
    const actions = fakeActions();
    const { unmount } = renderWith(actions, <DrumScreen name="shell" seed={3} units="us" isKept={false} />);
    click("3 days");
    click("Look at the solids");
    unmount();
    renderWith(actions, <DrumScreen name="shell" seed={3} units="us" isKept={false} />);
    expect(screen.getByText(/Day 4/, { selector: "p" })).toBeInTheDocument();
    click("Throw it away");
    expect(actions.logPracticeDrum).not.toHaveBeenCalled();
    expect(screen.getByText(/nothing is kept/)).toBeInTheDocument();
  });
});

describe("sums and safety", () => {
  it("tell right and wrong at once, with the trick; what is no number is said at its field", async () => {
    const actions = fakeActions();
    renderWith(actions, <SumsScreen units="metric" isKept firstSeed={5} />);
    const drill = drawDrill("per-can", 1, "metric", 5);
    click("Check it");
    expect(screen.getByLabelText(/Your answer/)).toHaveAccessibleDescription(/Enter a number/);
    fireEvent.change(screen.getByLabelText(/Your answer/), { target: { value: String(drill.answer * 2) } });
    click("Check it");
    expect(screen.getByText(/Not quite/)).toBeInTheDocument();
    click("Next sum");
    const next = drawDrill("one-one-one-hundred", 1, "metric", 6);
    fireEvent.change(screen.getByLabelText(/Your answer/), { target: { value: String(next.answer) } });
    click("Check it");
    expect(screen.getByText("Right")).toBeInTheDocument();
    expect(screen.getByText(/1 of 2 right/)).toBeInTheDocument();
    await waitFor(() => expect(actions.logPracticeSum).toHaveBeenCalledTimes(2));
  });
  it("ask for the caution of a method and tell it whole", async () => {
    const actions = fakeActions();
    renderWith(actions, <SafetyScreen isKept firstSeed={9} />);
    const card = drawCautionCard(9);
    const buttons = within(screen.getByRole("list")).getAllByRole("button");
    fireEvent.click(buttons[card.options.indexOf(card.right)]!);
    expect(screen.getByText("Right.")).toBeInTheDocument();
    await waitFor(() =>
      expect(actions.logPracticeCaution.mock.calls[0]![0]).toMatchObject({ seed: 9, said: card.right }),
    );
    click("Next one");
    expect(screen.getByText("1 of 1 right")).toBeInTheDocument();
  });
});

describe("answers", () => {
  const facts = {
    versions: [],
    choices: [],
    rules: Object.values(DEFAULT_RULES).map((rule) => ({ ...rule, isOwn: false })),
    crops: ["chard"],
    system: "metric",
  } as const;
  const type = (text: string) =>
    fireEvent.change(screen.getByLabelText(/Type a question/), { target: { value: text } });
  const answer = () => screen.getByRole("region", { name: "Answer" });

  it("come from the farm’s recipe and rules, and say where from", () => {
    renderWith(fakeActions(), <AnswersScreen facts={facts} />);
    type("may I spray manure tea on lettuce today?");
    expect(answer()).toHaveTextContent(/never on leaves/);
    type("plant extract smells of eggs, what now?");
    expect(answer()).toHaveTextContent(/Do not use it/);
    expect(answer()).toHaveTextContent(/From the recipe that this farm uses/);
    type("how much castings tea in my can?");
    expect(answer()).toHaveTextContent(/into a can of 10 L/);
  });
  it("say when they don’t know", () => {
    renderWith(fakeActions(), <AnswersScreen facts={facts} />);
    fireEvent.change(screen.getByLabelText("Crop"), { target: { value: "" } });
    expect(answer()).toHaveTextContent(/does not know this/);
  });
});

describe("a week on a small farm", () => {
  it("lets days pass over four drums, takes minutes, and is told at its end", () => {
    renderWith(fakeActions(), <WeekScreen seed={5} units="us" />);
    expect(screen.getByText(/Day 1 of 10, 07:00 · 30 min left .* purse 40 coins/)).toBeInTheDocument();
    click("Smell it");
    expect(screen.getByText(/28 min left/)).toBeInTheDocument();
    click("Throw it away");
    expect(screen.getByText(/16 min left/)).toBeInTheDocument();
    click("to the next morning");
    expect(screen.getByText(/Day 2 of 10, 07:00 · 30 min left/)).toBeInTheDocument();
    for (let day = 2; day < 11; day += 1) {
      const next = screen.queryByRole("button", { name: "to the next morning" });
      if (next) fireEvent.click(next);
    }
    expect(screen.getByRole("region", { name: "The week once more" })).toHaveTextContent(/a calm grower/i);
    click("Begin this week again");
    expect(screen.getByText(/Day 1 of 10/)).toBeInTheDocument();
  });
});

describe("the plate of signs", () => {
  it("has one drawing for each sign, no two alike", () => {
    const { container } = renderWith(fakeActions(), <SignsScreen />);
    const drawings = [...container.querySelectorAll("svg[role=img]")];
    expect(drawings).toHaveLength(SURFACES.length + FILMS.length + SOLIDS.length + LIQUIDS.length + 4);
    // What shows nothing is drawn as nothing: still water, no film, thick liquid differ by the drum they are drawn in.
    expect(new Set(drawings.map(({ innerHTML }) => innerHTML)).size).toBe(drawings.length);
  });
});

describe("where practice begins", () => {
  const learner = (personId: number, name: string, change: Partial<Learner> = {}): Learner => ({
    ...{ personId, name, standings: standingsOf([]), lastOn: null },
    methods: YARD_METHODS.map(({ method }) => ({
      methodId: method,
      drums: 0,
      right: 0,
      isSure: false,
      hasLeave: false,
    })),
    ...change,
  });
  const view: PracticeView = {
    ...{ today: "2031-03-20", system: "metric", isKept: true },
    me: learner(1, "Ana"),
    others: [learner(2, "Ben")],
  };
  it("offers what is next, opens a drum by its code, and refuses what is none", () => {
    renderWith(fakeActions(), <PracticeScreen view={view} />);
    click("Start a drum");
    expect(push.mock.calls[0]![0]).toMatch(/^\/practice\/drum\/[a-z-]+-\d+$/);
    fireEvent.change(screen.getByLabelText(/Play a drum by its code/), { target: { value: "soup 3" } });
    click("Open it");
    expect(screen.getByLabelText(/Play a drum by its code/)).toHaveAccessibleDescription(/No practice drum/);
    fireEvent.change(screen.getByLabelText(/Play a drum by its code/), { target: { value: "Leaf soak 12" } });
    click("Open it");
    expect(push).toHaveBeenLastCalledWith("/practice/drum/leaf-soak-12");
  });
  it("lets a steward say who may judge alone", async () => {
    const actions = fakeActions();
    renderWith(actions, <PracticeScreen view={view} />);
    click(/Castings tea/);
    await waitFor(() =>
      expect(actions.setPracticeLeave.mock.calls[0]![0]).toMatchObject({
        personId: 2,
        methodId: "aerated-tea",
        isGiven: true,
      }),
    );
  });
});
