import { fireEvent, screen, waitFor } from "@testing-library/react";
import { PLANTS } from "@/core/book/plants";
import { binState } from "@/core/gather/wormBin";
import type { GatherView } from "@/services/gather/readGather";
import { at, FARM, fakeActions, NOW_MS, refused, renderWith } from "@/testing/views";
import { GatherScreen } from "./GatherScreen";
import { fitInto } from "../kit/smallJpeg";

jest.mock("next/navigation", () => ({ useRouter: () => ({ push: jest.fn(), refresh: jest.fn() }) }));

const VIEW: GatherView = {
  farm: FARM,
  nowMs: NOW_MS,
  today: "2031-03-20",
  season: "spring",
  sunriseMs: at(18),
  groups: [
    {
      kind: "leafy",
      good: "leaf growth",
      plants: PLANTS.filter(({ kind, refused: no }) => kind === "leafy" && no === null),
    },
  ],
  refused: PLANTS.filter(({ refused: no }) => no !== null),
  inSeason: ["Dry leaves"],
  wanted: [],
  crops: ["broad beans"],
  places: [
    {
      id: 3,
      name: "Under the oaks",
      kind: "leaf-mould",
      ground: "damp",
      permission: "ours",
      restD: 90,
      photoId: null,
      restsUntil: "2031-05-01",
      visits: [],
    },
    {
      id: 4,
      name: "Weir",
      kind: "plants",
      ground: "",
      permission: "",
      restD: 9,
      photoId: "a6",
      restsUntil: null,
      visits: [],
    },
  ],
  bins: [
    {
      id: 1,
      name: "Long box",
      state: binState(2, [{ atMs: at(-2000), kind: "fed", kg: 30 }], NOW_MS),
      roomKg: 7,
      entries: [],
    },
  ],
};
const open = (actions = fakeActions(), change: Partial<GatherView> = {}) => {
  renderWith(actions, <GatherScreen view={{ ...VIEW, ...change }} />);
  return actions;
};
const type = (label: string | RegExp, value: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value } });

describe("going out with a basket", () => {
  it("tells the sun's time, what is there and what never", () => {
    open();
    expect(screen.getByText("06:00")).toBeVisible();
    expect(screen.getByRole("button", { name: /^Picked: plantain/ })).toBeVisible();
    fireEvent.click(screen.getByRole("button", { name: /refused by name/ }));
    expect(screen.getByText(/Hemlock kills/)).toBeVisible();
  });
  it("does without a sunrise where there is none", () => {
    open(fakeActions(), { sunriseMs: null });
    expect(screen.getByText(/does not rise in these days/)).toBeVisible();
  });
  it("stops at a poisonous plant as its name is typed", () => {
    open();
    fireEvent.click(screen.getByRole("button", { name: "Log picked plants" }));
    type("Which plant", "Deadly nightshade");
    expect(screen.getByRole("alert")).toHaveTextContent("Nightshade poisons people");
    expect(screen.getByRole("button", { name: "Add to stock" })).toBeDisabled();
  });
  it("goes on with a cautioned one, with the reason typed", async () => {
    const actions = open();
    fireEvent.click(screen.getByRole("button", { name: /^Picked: nettle/ }));
    expect(screen.getByText(/gloves/)).toBeVisible();
    type("How much (kg)", "2,5");
    type("Where it grew", "hedge");
    type("Reason for using it anyway", "gloves on");
    fireEvent.click(screen.getByRole("button", { name: "Add to stock" }));
    await waitFor(() =>
      expect(actions.recordPick.mock.calls[0]?.[0]).toMatchObject({
        species: "nettle",
        ingredientId: "plant",
        amount: 2.5,
        place: "hedge",
        overrideReason: "gloves on",
        crops: [],
      }),
    );
  });
  it("cautions against the crop's own kin", () => {
    open();
    fireEvent.click(screen.getByRole("button", { name: "Log picked plants" }));
    type("Which plant", "vetch");
    type("Meant for which crop", "broad beans");
    expect(screen.getByText(/of the pea family, as broad beans is/)).toBeVisible();
  });
});

describe("places and bins", () => {
  it("asks why a resting place is taken from", async () => {
    const actions = open(
      fakeActions({
        visitForage: refused("Under the oaks rests until 1 May 2031.", { "/overrideReason": "It is still resting." }),
      }),
    );
    fireEvent.click(screen.getByRole("button", { name: "A visit to Under the oaks" }));
    expect(screen.queryByLabelText(/^It rests until/)).toBeNull();
    type("Taken (kg)", "2");
    fireEvent.click(screen.getByRole("button", { name: "Save visit" }));
    expect(await screen.findByText("It is still resting.")).toBeVisible();
    expect(screen.getByLabelText("Taken (kg)")).toHaveValue("2");
    expect(actions.visitForage.mock.calls[0]?.[0]).toMatchObject({ placeId: 3, vigour: "strong", takenKg: 2 });
  });
  it("shows a place's picture, and sends plants to the pickings", () => {
    open();
    expect(screen.getByRole("img", { name: "Weir" })).toHaveAttribute("src", "/api/photos/a6");
    fireEvent.click(screen.getByRole("button", { name: "A visit to Weir" }));
    expect(screen.getByText(/written down as a picking/)).toBeVisible();
  });
  it("takes castings after the ball, and separates them by light", async () => {
    const actions = open();
    fireEvent.click(screen.getByRole("button", { name: "Feed or take castings: Long box" }));
    expect(screen.getByRole("radio", { name: "castings taken" })).toBeChecked();
    fireEvent.click(screen.getByRole("button", { name: "The lamp is on" }));
    expect(screen.getByRole("timer")).toHaveTextContent("08:00");
    fireEvent.click(screen.getByRole("button", { name: /Scraped/ }));
    expect(screen.getByText(/1 layer so far/)).toBeVisible();
    type("Castings (kg)", "3");
    fireEvent.click(screen.getByRole("radio", { name: /holds, then crumbles/ }));
    fireEvent.click(screen.getByLabelText(/Plastic, labels and glass/));
    fireEvent.click(screen.getByRole("button", { name: "Save" }));
    await waitFor(() =>
      expect(actions.noteWormBin.mock.calls[0]?.[0]).toMatchObject({
        kind: "harvested",
        kg: 3,
        ball: "holds, then crumbles",
        plasticPicked: true,
      }),
    );
  });
  it("warns of feeding more than they eat", () => {
    open();
    fireEvent.click(screen.getByRole("button", { name: "Feed or take castings: Long box" }));
    fireEvent.click(screen.getByRole("radio", { name: "fed" }));
    type("Food (kg)", "20");
    expect(screen.getByText(/More than they eat in a week/)).toBeVisible();
  });
  it("adds a place and a bin", async () => {
    const actions = open();
    fireEvent.click(screen.getByRole("button", { name: "Another place" }));
    type("Name", "Ditch");
    fireEvent.click(screen.getByRole("button", { name: "Save" }));
    await waitFor(() =>
      expect(actions.addForagePlace.mock.calls[0]?.[0]).toMatchObject({
        name: "Ditch",
        kind: "leaf-mould",
        restD: 180,
      }),
    );
    fireEvent.click(await screen.findByRole("button", { name: "Another bin" }));
    type("Name", "Crate");
    type("Worms in it (kg)", "0,5");
    fireEvent.click(screen.getByRole("button", { name: "Save" }));
    await waitFor(() => expect(actions.addWormBin.mock.calls[0]?.[0]).toMatchObject({ name: "Crate", wormsKg: 0.5 }));
  });
});

it.each([
  [4000, 3000, 1280, 960],
  [300, 200, 300, 200],
  [1000, 5000, 256, 1280],
])("makes a picture of %s × %s small without bending it", (width, height, w, h) =>
  expect(fitInto(width, height, 1280)).toEqual({ width: w, height: h }),
);
