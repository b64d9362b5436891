import { fireEvent, screen, waitFor, within } from "@testing-library/react";
import { analyseTrial, placeTrial, type Trial } from "@/core/trial";
import { rectangle } from "@/core/land/ring";
import type { ScoringView, TrialStartView, TrialView } from "@/services/trials";
import { fakeActions, FARM, refused, renderWith } from "@/testing/views";
import { BeginTrialScreen } from "./BeginTrialScreen";
import { linesOf } from "./PairLines";
import { ScoreScreen } from "./ScoreScreen";
import { draftOf, emptyDraft, joiningOf, termsOf } from "./trialDraft";
import { TrialScreen } from "./TrialScreen";
import { TrialsScreen } from "./TrialsScreen";

const push = jest.fn();
jest.mock("next/navigation", () => ({
  useRouter: () => ({ push, replace: jest.fn(), refresh: jest.fn() }),
  usePathname: () => "/field/trials",
}));
beforeEach(() => {
  localStorage.clear();
  push.mockClear();
});

const TERMS: TrialView["terms"] = {
  ...{ question: "Does tea help the leeks?", inputs: [{ arm: "with", name: "Tea", methodId: "aerated-tea" }] },
  ...{ useId: "drench-growing", kind: "height", scale: "difference", unit: "cm", smallest: 3, card: [] },
  ...{ isChange: false, looks: "several", decidingOn: "2031-06-20", asked: 3 },
};
const PAIRS: Trial["pairs"] = Array.from({ length: 8 }, (_, nth) => ({
  ...{ id: `1.${nth + 1}`, with: 36 + (nth % 3), without: 30 + (nth % 2) },
}));
const ASKED: Trial = {
  measure: { kind: "height", scale: "difference", smallest: 3 },
  looks: "one",
  applications: 3,
  pairs: PAIRS,
};

function trialView(change: Partial<TrialView> = {}): TrialView {
  const units = Array.from({ length: 16 }, (_, nth) => ({ id: `${nth + 1}`, x: nth, y: 0 }));
  const placement = placeTrial({ units, seed: 4, gradient: { direction: 0 }, use: "drench" });
  const arms = new Map(
    placement.blocks.flatMap((block) => block.units.map((one) => [one.unit, { ...one, block: block.block }])),
  );
  return {
    ...{ farm: FARM, today: "2031-06-20", id: 4, terms: TERMS, begunOn: "2031-04-01", by: "Ana", stopped: null },
    rounds: [
      {
        ...{ roundNo: 1, decidingOn: "2031-06-20", drawnOn: "2031-04-01", redraws: [], isFrozen: true, isShown: true },
        ...{ guardM: 0.5, spare: 0 },
        units: units.map(({ id, x }, nth) => ({
          ...{
            unit: id,
            plotId: nth + 1,
            plotName: `Bed ${id}`,
            strip: null,
            code: placement.codes[id]!,
            isRead: true,
          },
          ...{ ring: rectangle([3 * x, 0], 1, 8), arm: arms.get(id)!.arm, block: `1.${arms.get(id)!.block}` },
        })),
      },
    ],
    blocks: placement.blocks.map(({ block, units: own }) => ({
      ...{
        id: `1.${block}`,
        units: own.map(({ unit }) => unit),
        isRead: true,
        isApart: false,
        isLooked: false,
        leftOut: null,
      },
    })),
    ...{
      knows: true,
      putOn: [],
      applications: 3,
      judged: 8,
      mayLook: true,
      confounders: [],
      notedByHand: [],
    },
    ...{ looks: [], curve: [] },
    ...change,
  };
}

describe("a trial on the screen", () => {
  it("shows no figure before somebody looks, and asks what the records can't tell", async () => {
    const actions = fakeActions();
    renderWith(actions, <TrialScreen view={trialView()} />);
    expect(screen.queryByText("Better each time, or once?")).toBeNull();
    fireEvent.click(screen.getByRole("button", { name: "Look at it" }));
    fireEvent.click(screen.getByLabelText("The strips without it got no water in its place."));
    fireEvent.click(screen.getByRole("button", { name: "Look, and write it down" }));
    await waitFor(() => expect(actions.lookAtTrial).toHaveBeenCalled());
    expect(actions.noteTrial.mock.calls[0]![0]).toMatchObject({
      trialId: 4,
      note: { type: "confounder", code: "control-got-no-water" },
    });
  });
  it("says what may be said, with every pair and the ways to go on", () => {
    const look = { entryId: 1, on: "2031-06-20", by: "Ana", asked: ASKED, answer: analyseTrial(ASKED) };
    renderWith(fakeActions(), <TrialScreen view={trialView({ looks: [look], mayLook: false })} />);
    expect(screen.getByRole("heading", { name: /Likely helped/ })).toBeVisible();
    expect(screen.getByText(/^8 of 8 higher with it/)).toBeVisible();
    expect(screen.getByText(/^Here and this season/)).toBeVisible();
  });
  it("keeps it from whoever does not put it on, and says why", async () => {
    const actions = fakeActions();
    const [round] = trialView().rounds;
    const units = round!.units.map((unit) => ({ ...unit, arm: null }));
    renderWith(
      actions,
      <TrialScreen view={trialView({ knows: false, rounds: [{ ...round!, isShown: false, units }] })} />,
    );
    expect(screen.queryByLabelText("What the strips get")).toBeNull();
    fireEvent.click(screen.getByRole("button", { name: /show who gets what/ }));
    await waitFor(() => expect(actions.openPlacement).toHaveBeenCalled());
  });
  it("leaves a pair out with its reason, and keeps a refusal where it is read", async () => {
    const actions = fakeActions({
      noteTrial: refused("This pair was compared already.", { "/note/blockId": "compared" }),
    });
    renderWith(actions, <TrialScreen view={trialView()} />);
    fireEvent.click(screen.getByRole("button", { name: "Leave a pair out" }));
    fireEvent.change(await screen.findByLabelText("Why?"), { target: { value: "slugs" } });
    fireEvent.click(screen.getByRole("button", { name: "Leave it out" }));
    expect((await screen.findAllByText("This pair was compared already.")).length).toBeGreaterThan(0);
    expect(screen.getByLabelText("Why?")).toHaveValue("slugs");
  });
  it("lists trials with how each stands", () => {
    const line = {
      ...{ id: 1, terms: TERMS, begunOn: "2031-04-01", pairs: 8, readPairs: 8, applications: 3, isStopped: false },
      ...{ isUnlooked: false, verdicts: [{ arm: "with", verdict: "cannot-tell" as const }] },
    };
    const view = {
      farm: FARM,
      today: "2031-06-20",
      trials: [line, { ...line, id: 2, verdicts: [], isUnlooked: true }],
    };
    renderWith(fakeActions(), <TrialsScreen view={view} mayBegin={false} />);
    const [told, open] = screen.getAllByRole("listitem");
    expect(told).toHaveTextContent("Can’t tell yet");
    expect(open).toHaveTextContent("Read, not looked at.");
    expect(screen.queryByRole("link", { name: "Begin a trial" })).toBeNull();
  });
  it("draws a line a pair, by area where that counts, and of a change the change", () => {
    expect(
      linesOf({ ...ASKED, pairs: [{ id: 1, with: 10, without: 4, areaWith: 2, areaWithout: 4 }] }, "with"),
    ).toEqual([{ id: "1", with: 5, without: 1 }]);
    const readings = [
      { block: "a", arm: "with", before: 1, after: 4 },
      { block: "a", arm: "without", before: 2, after: 3 },
    ];
    expect(linesOf({ ...ASKED, pairs: undefined!, design: "baci", readings }, "with")).toEqual([
      { id: "a", with: 3, without: 1 },
    ]);
    expect(linesOf({ ...ASKED, pairs: [{ id: 1, with: 1, without: 2, leftOut: "x" }] }, "with")).toEqual([]);
  });
});

const START: TrialStartView = {
  ...{ farm: FARM, today: "2031-04-01", methods: [{ id: "aerated-tea", name: "Castings tea" }] },
  plots: [1, 2, 3].map((id) => ({
    ...{ id, name: `Bed ${id}`, crop: id < 3 ? "leeks" : "peas", areaM2: 12, ring: rectangle([0, 3 * id], 12, 1) },
  })),
};

describe("a trial as it is begun", () => {
  it("counts pairs as beds and strips are chosen, and is sent as the farm takes it", async () => {
    const actions = fakeActions({ beginTrial: { ok: true, value: { trialId: 9 } } });
    renderWith(actions, <BeginTrialScreen view={START} />);
    fireEvent.click(screen.getByRole("button", { name: "all leeks (2)" }));
    expect(screen.getByText("One pair")).toBeVisible();
    fireEvent.click(screen.getByRole("radio", { name: "6 strips" }));
    expect(screen.getByText("6 pairs")).toBeVisible();
    fireEvent.click(screen.getByRole("button", { name: "Begin, and draw lots" }));
    await waitFor(() => expect(push).toHaveBeenCalledWith("/field/trials/9"));
    expect(actions.beginTrial.mock.calls[0]![0]).toMatchObject({
      ...{ plotIds: [1, 2], strips: 6, gradientDeg: null, edgePlotIds: [] },
      terms: {
        question: "Does castings tea help the leeks?",
        kind: "weight",
        scale: "ratio",
        smallest: 0.2,
        unit: "g",
      },
    });
  });
  it("comes back from its own terms as it was typed, in percent and in units", () => {
    const draft = { ...emptyDraft(START), kind: "disease-share" as const, asShare: false, smallest: "15" };
    const terms = termsOf({ ...draft, question: "?" }, "metric");
    expect(terms).toMatchObject({ scale: "difference", smallest: 0.15 });
    const inputs = terms.inputs.map((input) => ({ ...input, arm: "with" }));
    expect(draftOf({ terms: { ...terms, inputs } as never }).smallest).toBe("15");
    expect(joiningOf({ ...draft, plotIds: [1], edgePlotIds: [1, 7], gradient: "north-south" })).toEqual({
      ...{ plotIds: [1], strips: 1, gradientDeg: 90, edgePlotIds: [1] },
    });
  });
});

const SCORING: ScoringView = {
  ...{
    farm: FARM,
    today: "2031-06-20",
    id: 4,
    question: "Does it help?",
    kind: "colour",
    scale: "ordinal",
    unit: "",
    card: [],
  },
  units: ["AB2", "CD3", "EF4"].map((code, nth) => ({ code, plotName: `Bed ${nth}`, strip: nth === 0 ? null : nth })),
  isBlind: true,
};

describe("strips as they are read", () => {
  it("come one after the other with no way back, some twice; a guess at the end; nothing is lost by a reload", async () => {
    const actions = fakeActions({ scoreTrial: { ok: true, value: { readingIds: [1], isHard: true } } });
    const { unmount } = renderWith(actions, <ScoreScreen view={SCORING} />);
    fireEvent.click(screen.getByRole("button", { name: "Begin" }));
    const next = () => {
      fireEvent.click(within(screen.getByRole("radiogroup")).getAllByRole("radio")[3]!);
      fireEvent.click(screen.getByRole("button", { name: "Next strip" }));
    };
    expect(screen.getByRole("button", { name: "Next strip" })).toBeDisabled();
    next();
    unmount();
    renderWith(actions, <ScoreScreen view={SCORING} />);
    expect(screen.getByText(/^Strip 2 of 5/)).toBeVisible();
    for (let nth = 1; nth < 5; nth += 1) next();
    fireEvent.click(within(screen.getByRole("group", { name: "CD3" })).getByRole("button", { name: "with" }));
    fireEvent.click(screen.getByRole("button", { name: "Done, write it down" }));
    await waitFor(() => expect(push).toHaveBeenCalledWith("/field/trials/4"));
    const sent = actions.scoreTrial.mock.calls[0]![0] as {
      readings: { code: string; isAgain: boolean; parts: number[] }[];
      guesses: object[];
    };
    expect(sent.readings).toHaveLength(5);
    expect(sent.readings.filter(({ isAgain }) => isAgain)).toHaveLength(2);
    expect(sent.readings.every(({ parts }) => parts[0] === 4)).toBe(true);
    expect(sent.guesses).toEqual([{ code: "CD3", guess: "with" }]);
    expect(localStorage.getItem("ruchka-draft/score/4")).toBeNull();
  });
  it("says so to whoever knows, and begins anew where the stakes are others by now", () => {
    localStorage.setItem(
      "ruchka-draft/score/4",
      JSON.stringify({
        value: { order: [{ code: "ZZ9", isAgain: false }], readings: [], guesses: {} },
        savedMs: Date.now(),
      }),
    );
    renderWith(fakeActions(), <ScoreScreen view={{ ...SCORING, isBlind: false }} />);
    expect(screen.getByText(/You know which strip gets what/)).toBeVisible();
    expect(screen.getByRole("button", { name: "Begin" })).toBeVisible();
  });
  it("takes several plants of a strip as one reading", () => {
    renderWith(fakeActions(), <ScoreScreen view={{ ...SCORING, kind: "height", scale: "difference", unit: "cm" }} />);
    fireEvent.click(screen.getByRole("button", { name: "Begin" }));
    fireEvent.change(screen.getByLabelText(/^Height/), { target: { value: "31,5" } });
    fireEvent.click(screen.getByRole("button", { name: "And another plant of this strip" }));
    expect(screen.getByText(/One so far/)).toHaveTextContent("31.5");
    fireEvent.change(screen.getByLabelText(/^Height/), { target: { value: "33" } });
    fireEvent.click(screen.getByRole("button", { name: "Next strip" }));
    expect(JSON.parse(localStorage.getItem("ruchka-draft/score/4")!).value.readings[0].parts).toEqual([31.5, 33]);
  });
});
