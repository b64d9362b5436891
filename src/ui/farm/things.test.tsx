import { fireEvent, screen, waitFor } from "@testing-library/react";
import fc from "fast-check";
import { fieldErrors } from "@/contracts/fieldErrors";
import validators from "@/contracts/generated/acts.cjs";
import { toBase } from "@/core/quantity/units";
import { OF_LITRES, readMeasured, typedAmount } from "@/formats/measured";
import type { UnitSystem } from "@/formats/amounts";
import { fakeActions, FARM, renderWith } from "@/testing/views";
import type { ThingFacts, ThingKind } from "@/services/types";
import { FarmScreen } from "./FarmScreen";
import { changedFacts, factsOf, THING_FIELDS, typedOf, type Amounts } from "./thingFields";
import { ThingSheet, type ThingAsItIs } from "./ThingSheet";
import { ThingsScreen } from "./ThingsScreen";

const refresh = jest.fn();
jest.mock("next/navigation", () => ({ useRouter: () => ({ push: jest.fn(), refresh }), usePathname: () => "/farm" }));
beforeEach(() => localStorage.clear());

const amountsIn = (units: UnitSystem): Amounts => ({
  units,
  readL: (text) => {
    const read = readMeasured(text, OF_LITRES, [], units);
    return read.type === "read" ? Number(read.amount.toFixed(3)) : null;
  },
  showL: (litres) => typedAmount(litres, "L", units, true),
});
const SAMPLES: Readonly<Record<ThingKind, ThingFacts>> = {
  "person": { name: "Ana", state: "in-use" },
  "vessel": {
    name: "Drum",
    kind: "drum",
    volumeL: 208.198,
    diameterM: 0.5715,
    site: "barn",
    airW: 20,
    heldBefore: "food",
    state: "in-use",
  },
  "tool": { name: "Can", kind: "can", volumeL: 7.571, stepMl: 9.858, partsWater: null, state: "in-use" },
  "water": { name: "Butt", kind: "rain", state: "in-use" },
  "equipment": { name: "Pump", kind: "pump", count: 1, size: 40, outlets: 2, note: "", state: "in-use" },
  "own-ingredient": { name: "Pond weed", densityKgPerL: null, keepsD: 3, caution: "", keeping: "", state: "in-use" },
  "gathering-place": { name: "Hedge", ground: "shade", permission: "", restD: 90, state: "in-use" },
  "worm-bin": { name: "Bin", state: "in-use" },
  "device": { name: "Mast" },
};
const CHANGE = {
  "person": "changePerson",
  "vessel": "changeVessel",
  "tool": "changeTool",
  "water": "changeWater",
  "equipment": "changeEquipment",
  "own-ingredient": "changeOwnIngredient",
  "gathering-place": "changeGatheringPlace",
  "worm-bin": "changeWormBin",
  "device": "changeDevice",
} as const;
const KINDS = Object.keys(SAMPLES) as ThingKind[];
const requestKey = "00000000-0000-4000-8000-000000000000";

describe("a thing that is changed", () => {
  it("sends nothing of what nobody touched, in litres and in gallons", () => {
    for (const units of ["metric", "us"] as const)
      for (const kind of KINDS) {
        const amounts = amountsIn(units);
        expect([
          kind,
          units,
          changedFacts(kind, typedOf(kind, SAMPLES[kind], amounts), SAMPLES[kind], amounts),
        ]).toEqual([kind, units, {}]);
      }
  });
  it("sends what its own schema takes, whatever field is typed anew", () => {
    for (const kind of KINDS)
      for (const { fact, type: asked } of THING_FIELDS[kind]) {
        const amounts = amountsIn("metric");
        const typed = {
          ...typedOf(kind, SAMPLES[kind], amounts),
          name: "Other",
          [fact]: fact === "name" ? "Other" : asked === "dose" ? "7 mL" : asked === "density" ? "0.7" : "7",
        };
        const select = THING_FIELDS[kind].find((field) => field.fact === fact)!.options?.[1]?.value;
        const facts = changedFacts(kind, select ? { ...typed, [fact]: select } : typed, SAMPLES[kind], amounts);
        expect([kind, fact, fieldErrors(validators[CHANGE[kind]]!, { requestKey, id: 1, ...facts })]).toEqual([
          kind,
          fact,
          null,
        ]);
      }
  });
  it("reads back the volume that it shows, whatever it is, in both units", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 20000, noNaN: true }),
        fc.constantFrom("metric" as const, "us" as const),
        (litres, units) => {
          const amounts = amountsIn(units);
          const facts = { ...SAMPLES.vessel, volumeL: Number(litres.toFixed(3)) };
          const typed = typedOf("vessel", facts, amounts);
          const sent = factsOf("vessel", { ...typed, name: "Other" }, facts, amounts);
          expect(Math.abs(Number(sent.volumeL) / facts.volumeL - 1)).toBeLessThan(0.002);
        },
      ),
    );
  });
});

const drum: ThingAsItIs = { id: 3, name: "Drum", state: "in-use", facts: SAMPLES.vessel, busy: false };
const type = (label: RegExp | string, value: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value } });

describe("the sheet of a thing", () => {
  it("saves only what was typed, and keeps what is not saved yet for the next time", async () => {
    const actions = fakeActions();
    const first = renderWith(actions, <ThingSheet kind="vessel" thing={drum} onClose={jest.fn()} />);
    type("Place", "greenhouse");
    first.unmount();
    renderWith(actions, <ThingSheet kind="vessel" thing={drum} onClose={jest.fn()} />);
    expect(screen.getByLabelText("Place")).toHaveValue("greenhouse");
    expect(screen.getByText(/Not saved yet/)).toBeInTheDocument();
    fireEvent.click(screen.getByRole("button", { name: "Save changes" }));
    await waitFor(() => expect(actions.changeVessel.mock.calls[0]?.[0]).toMatchObject({ id: 3, site: "greenhouse" }));
    expect(Object.keys(actions.changeVessel.mock.calls[0]![0]).toSorted()).toEqual(["id", "requestKey", "site"]);
  });
  it("starts over by one tap", () => {
    renderWith(fakeActions(), <ThingSheet kind="vessel" thing={drum} onClose={jest.fn()} />);
    type("Place", "greenhouse");
    fireEvent.click(screen.getByRole("button", { name: "Start over" }));
    expect(screen.getByLabelText("Place")).toHaveValue("barn");
  });
  it("adds one after another without closing", async () => {
    const actions = fakeActions();
    const onClose = jest.fn();
    renderWith(actions, <ThingSheet kind="vessel" onClose={onClose} />);
    type("Name", "Pail 1");
    type(/^Full volume/, "20");
    fireEvent.click(screen.getByRole("button", { name: "Add, and another" }));
    await waitFor(() => expect(screen.getByLabelText("Name")).toHaveValue(""));
    type("Name", "Pail 2");
    fireEvent.click(screen.getByRole("button", { name: "Add vessel" }));
    await waitFor(() => expect(onClose).toHaveBeenCalled());
    expect(actions.addVessel.mock.calls.map(([request]) => [request.name, request.volumeL])).toEqual([
      ["Pail 1", 20],
      ["Pail 2", 20],
    ]);
  });
  it("lends, and says nothing of repair for a person", async () => {
    const actions = fakeActions();
    const first = renderWith(actions, <ThingSheet kind="vessel" thing={drum} onClose={jest.fn()} />);
    fireEvent.click(screen.getByRole("button", { name: "Lend out" }));
    await waitFor(() =>
      expect(actions.setThingState.mock.calls[0]?.[0]).toMatchObject({ kind: "vessel", id: 3, state: "lent" }),
    );
    first.unmount();
    renderWith(actions, <ThingSheet kind="person" thing={{ ...drum, facts: SAMPLES.person }} onClose={jest.fn()} />);
    expect(screen.queryByRole("button", { name: "Send to repair" })).toBeNull();
    expect(screen.getByRole("button", { name: "Put away" })).toBeInTheDocument();
  });
  it("asks an injector for its ratio and no can for one", () => {
    renderWith(fakeActions(), <ThingSheet kind="tool" onClose={jest.fn()} />);
    expect(screen.queryByLabelText(/Parts of water/)).toBeNull();
    type("Kind", "injector");
    expect(screen.getByLabelText(/Parts of water/)).toBeInTheDocument();
    expect(screen.queryByLabelText(/Smallest dose/)).toBeNull();
  });
});

describe("all things of a kind", () => {
  it("tells each by its facts and how it stands, those that are put away last, and finds one of many", () => {
    const things = Array.from({ length: 14 }, (_, index) => ({ ...drum, id: index + 1, name: `Drum ${index + 1}` }));
    things[0] = { ...things[0]!, state: "retired" };
    renderWith(fakeActions(), <ThingsScreen view={{ farm: FARM, kind: "vessel", things }} />);
    const rows = screen.getByRole("list", { name: "Vessels" }).querySelectorAll("li");
    expect(rows[0]).toHaveTextContent("Drum 2drum · 208 L · barn · air, 20 W");
    expect(rows[13]).toHaveTextContent("Drum 1 ■ put away");
    type("Find", "drum 13");
    expect(screen.getByRole("list", { name: "Vessels" }).querySelectorAll("li")).toHaveLength(1);
  });
  it("leads to where those are added that ask more", () => {
    renderWith(fakeActions(), <ThingsScreen view={{ farm: FARM, kind: "device", things: [] }} />);
    expect(screen.getByRole("link", { name: /Add sensor/ })).toHaveAttribute("href", "/shed/probes");
    expect(screen.queryByRole("button", { name: "Add sensor" })).toBeNull();
  });
});

describe("farm settings", () => {
  const SETTINGS = {
    ...FARM,
    latitudeDeg: 45,
    longitudeDeg: 15,
    labourMinorPerH: 1250,
    powerMinorPerKWh: 30,
    climateMeanC: 11.23,
    climateSwingC: 8.17,
  };
  it("saves what was changed and nothing else", async () => {
    const actions = fakeActions();
    renderWith(actions, <FarmScreen farm={SETTINGS} zones={[]} />);
    expect(screen.getByRole("button", { name: "Save settings" })).toBeDisabled();
    type("Cost of 1 hour of work (crowns)", "15,50");
    fireEvent.click(screen.getByRole("button", { name: "Save settings" }));
    await waitFor(() => expect(actions.changeFarm.mock.calls[0]?.[0]).toMatchObject({ labourPerH: 15.5 }));
    expect(Object.keys(actions.changeFarm.mock.calls[0]![0]).toSorted()).toEqual(["labourPerH", "requestKey"]);
  });
  it("keeps the climate where only the units change, and shows it in them", async () => {
    const actions = fakeActions();
    renderWith(actions, <FarmScreen farm={SETTINGS} zones={[]} />);
    fireEvent.click(screen.getByRole("radio", { name: /US gallons/ }));
    const warm = SETTINGS.climateMeanC + SETTINGS.climateSwingC + 4.5;
    const shown = Number((screen.getByLabelText(/^A warm afternoon/) as HTMLInputElement).value);
    expect(toBase({ value: shown, unit: "°F" }).value).toBeCloseTo(warm, 1);
    fireEvent.click(screen.getByRole("button", { name: "Save settings" }));
    await waitFor(() => expect(actions.changeFarm).toHaveBeenCalled());
    expect(actions.changeFarm.mock.calls[0]![0]).toEqual({ requestKey: expect.any(String), units: "us" });
  });
});
