import { render, type RenderResult } from "@testing-library/react";
import type { ReactNode } from "react";
import validators from "@/contracts/generated/acts.cjs";
import { findRecipe } from "@/core/book";
import { findIngredient } from "@/core/book/ingredients";
import { batchContent } from "@/core/recipe/composition";
import { leavesOf } from "@/core/recipe/residue";
import { strainSchedule } from "@/core/recipe/straining";
import { expectedYield } from "@/core/recipe/expectedYield";
import { bookDocument } from "@/core/recipe/document";
import { SIGN_KINDS, SIGN_WORDS } from "@/core/book/words";
import { rectangle } from "@/core/land/ring";
import type { BatchView } from "@/services/batch";
import type { Progress } from "@/services/ferment";
import type { MakingView } from "@/services/fill";
import type { WatersView } from "@/services/water";
import type { FieldStore, FieldView, PlotView } from "@/services/field";
import type { ShelfItem } from "@/services/shed";
import type { StoreView } from "@/services/stores";
import type { YardVessel, YardView } from "@/services/yard";
import type { ActsOf, Place } from "@/services/acts";
import { DoorProvider, type Door } from "@/ui/acts/act";

/** Midday of a known day. */
export const NOW_MS = Date.parse("2031-03-20T12:00:00Z");
const HOUR = 3_600_000;
export const at = (hours: number): number => NOW_MS + hours * HOUR;
export const FARM = { name: "Test field", timeZone: "UTC", units: "metric", currency: "crowns" } as const;

export type ActName = { [P in Place]: keyof ActsOf<P> }[Place];
type Calls = { readonly [N in ActName]: jest.Mock };

/** Acts that are answered at once and remember what they were asked. */
export function fakeActions(answers: Partial<Record<ActName, unknown>> = {}): Calls {
  const made = (Object.keys(validators) as ActName[]).map((name) => [
    name,
    jest.fn(
      async () =>
        answers[name] ?? {
          ok: true,
          value: { entryId: 7, batchId: 7, storeId: 7, vesselId: 7, applicationId: 7, versionNo: 2, unconfirmed: 0 },
        },
    ),
  ]);
  return Object.fromEntries(made) as Calls;
}

/** A door that leads to such acts. */
export const doorTo = (acts: Calls): Door => ({
  send: async (name, request) => acts[name as ActName](request),
  read: async (name) => {
    throw new Error(`Nothing answers ${name} here.`);
  },
  units: "metric",
  onChanged: () => undefined,
  role: "steward",
});

export const refused = (message: string, fields: Record<string, string> = {}) => ({
  ok: false,
  error: { code: "refused", message, fields },
});

export const renderWith = (actions: Calls, screen: ReactNode, read = doorTo(actions).read): RenderResult =>
  render(screen, {
    wrapper: ({ children }) => <DoorProvider door={{ ...doorTo(actions), read }}>{children}</DoorProvider>,
  });

const none = { p10: null, p50: null, p90: null };

/** A batch's course with nothing in it yet. */
export const progressOf = (change: Partial<Progress> = {}): Progress => ({
  curve: null,
  liquid: [],
  temperatures: [],
  tending: [],
  stages: [],
  photos: [],
  given: [],
  earlier: [],
  meter: null,
  ...change,
});

/** A method that was never made here. */
export const NO_RECORD = { lines: [], hits: 0, judged: 0, offD: null, ruleOffD: null, learned: null } as const;

/** What a batch's page carries besides its own subject. */
export const PAGE_REST = {
  progress: progressOf(),
  looks: "acid",
  people: [],
  shares: [],
  residues: [],
  strength: 1,
} as const;

export function batchOf(methodId: string, change: Partial<BatchView> = {}): BatchView {
  const recipe = findRecipe(methodId);
  return {
    id: 4,
    methodId,
    name: recipe.name,
    shortName: recipe.shortName,
    schoolName: recipe.school.name,
    versionNo: null,
    closing: {
      expected: expectedYield(recipe, change.basisAmount ?? 160, []),
      unit: recipe.yieldUnit,
      makes: recipe.makes ?? null,
      keeping: recipe.keeping,
      residues: leavesOf({ recipe, used: [] }),
      straining: strainSchedule(recipe, expectedYield(recipe, change.basisAmount ?? 160, [])),
    },
    lid: recipe.lid,
    aerated: recipe.aerated,
    airOn: recipe.aerated,
    filledL: 170,
    basisAmount: 160,
    vesselL: 200,
    startedMs: at(-200),
    ageText: "day 8",
    state: "near",
    stateWords: "Almost ready",
    reasons: ["pH 4.3, falling 0.2 a day; it must reach 4.", "17 °C over the last day."],
    ifWarmer: null,
    basis: "air",
    spoilt: null,
    spoilChance: 0.03,
    ready: 0,
    rate: 1,
    remaining: "Do not use it yet.",
    bestLook: null,
    measures: [],
    hasHeater: false,
    moved: false,
    wrapped: false,
    powerOff: false,
    lidOff: false,
    solidsIn: false,
    onceActs: [],
    keptUntilMs: null,
    isBed: false,
    phDecides: false,
    seal: null,
    next: { act: "read-ph", words: "Measure pH", atMs: at(2) },
    window: {
      start: { p10: at(8), p50: at(20), p90: at(40) },
      peak: { p10: at(30), p50: at(50), p90: at(80) },
      end: none,
    },
    ribbon: Array.from({ length: 60 }, (_, step) => ({ atMs: at(step * 4), ready: Math.min(1, step / 20), past: 0 })),
    last: { ph: 4.3, celsius: 17, surface: null, film: null, solids: null },
    liquidC: 17,
    words: SIGN_KINDS.flatMap((kind) =>
      SIGN_WORDS[kind].map((word) => ({
        kind,
        word,
        says: recipe.cues.find((cue) => cue.kind === kind && cue.word === word)?.says ?? null,
      })),
    ),
    floatingSolids: recipe.basis === "plant",
    ...change,
  };
}

export const vesselOf = (name: string, change: Partial<YardVessel> = {}): YardVessel => ({
  id: 1,
  name,
  kind: "drum",
  volumeL: 200,
  diameterM: null,
  site: "lean-to",
  airW: 0,
  heldBefore: "nothing",
  state: "in-use",
  status: "free",
  batch: null,
  mixing: null,
  planned: null,
  ...change,
});

export const yardOf = (vessels: readonly YardVessel[], change: Partial<YardView> = {}): YardView => ({
  heldEntries: 0,
  farm: FARM,
  nowMs: NOW_MS,
  isNew: false,
  vessels,
  bands: [{ fromMs: at(5), toMs: at(8), when: "dusk", fit: "leaves", because: "dry", windMPerS: 1, airC: 14 }],
  air: Array.from({ length: 100 }, (_, hour) => ({ atMs: at(hour), airC: 12 + (hour % 24) / 3, usual: false })),
  round: [],
  people: [],
  done: [],
  ...change,
});

export const storeOf = (change: Partial<StoreView> = {}): StoreView => ({
  id: 1,
  batchId: 1,
  label: "Nettle extract",
  atOnce: false,
  place: "lean-to",
  onHandL: 20,
  strength: 1,
  recipe: bookDocument("cultured-extract", "equal-parts"),
  container: "breathable",
  parentId: null,
  partNo: null,
  shelfFromMs: at(-100),
  expiresMs: at(2000),
  recheck: null,
  smelt: "good",
  loosenMs: null,
  ...change,
});

/** An ingredient on the shelf, in one lot unless lots are given. */
export const shelfItem = (ingredientId: string, onHand: number, change: Partial<ShelfItem> = {}): ShelfItem => {
  const { name, stockUnit } = findIngredient(ingredientId);
  return {
    ingredientId,
    name,
    unit: stockUnit,
    onHand,
    lots: [{ id: 1, receivedOn: "2031-01-01", onHand }],
    softHeld: 0,
    heldBecause: null,
    expiresOn: null,
    unitCostMinor: 0,
    ...change,
  };
};

export const plotOf = (id: number, change: Partial<PlotView> = {}): PlotView => ({
  id,
  name: `Bed ${id}`,
  crop: "carrots",
  stage: "growing",
  areaM2: 9,
  plants: null,
  leafEaten: false,
  harvestOn: null,
  part: null,
  kind: "bed",
  ring: rectangle([id * 1.8, 0], 1.2, 7.5),
  block: "",
  tags: [],
  planting: null,
  next: null,
  treatableM2: change.areaM2 ?? 9,
  nearWater: [],
  treatablePieces: null,
  last: null,
  clearOn: null,
  lastByMethod: {},
  broughtG: null,
  ...change,
});

/** Rain, which needs nothing, and a tap with chloramine in it. */
export const WATERS: WatersView = {
  nowMs: NOW_MS,
  waters: [
    { id: 1, name: "Butt", kind: "rain", freeMgPerL: null, totalMgPerL: null, readMs: null, leftL: null },
    { id: 2, name: "Tap", kind: "mains", freeMgPerL: 0.3, totalMgPerL: 0.9, readMs: NOW_MS - 86_400_000, leftL: 400 },
  ],
  starts: [],
};

export const makingOf = (change: Partial<MakingView> = {}): MakingView => ({
  shelf: [],
  versions: [],
  choices: [],
  waters: WATERS,
  made: [],
  equipment: [],
  plans: [],
  today: "2031-03-20",
  nowMs: NOW_MS,
  ...change,
});

/** A store of plant extract as the field sees it, carrying nothing unless it is said. */
export const fieldStoreOf = (change: Partial<FieldStore> = {}): FieldStore => ({
  ...storeOf(change),
  carries: [],
  urineStoredD: null,
  riverWater: false,
  methodId: "cultured-extract",
  patchTests: [],
  content: batchContent(findRecipe("cultured-extract"), [], 100),
  ph: null,
  ...change,
});

export const fieldOf = (change: Partial<FieldView> = {}): FieldView => ({
  farm: FARM,
  nowMs: NOW_MS,
  plots: [plotOf(1), plotOf(2)],
  elsewhere: [],
  marks: [],
  putAway: [],
  origin: null,
  stores: [fieldStoreOf()],
  rules: [],
  tools: [
    { id: 1, name: "Can", kind: "can", volumeL: 10, stepMl: 10, partsWater: null },
    { id: 2, name: "Injector", kind: "injector", volumeL: 40, stepMl: null, partsWater: 100 },
  ],
  bands: [],
  waters: WATERS,
  hour: { suns: [], hours: [] },
  ...change,
});
