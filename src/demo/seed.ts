import { createHash } from "node:crypto";
import type { Database, Queryable } from "@/data/db";
import { isActLogged } from "@/data/batch";
import { findRecipe } from "@/core/book";
import { bookDocument } from "@/core/recipe/document";
import { isPickedPlant } from "@/core/safety/pickedPlants";
import { scaleRecipe } from "@/core/recipe/scale";
import { findFarm, insertActor, listActors, setActorRole, type Actor } from "@/data/farm";
import { endSessionsOf, listWithSecret, setSecret } from "@/data/people";
import { DEMO_PEOPLE, hashSecret, onMachine } from "@/services/people";
import { listLand, listTools } from "@/data/field";
import { listVesselStates } from "@/data/vessels";
import { addTool, addVessel, setUpFarm } from "@/services/farm";
import { receiveLot } from "@/services/shed";
import {
  addPlot,
  applyStore,
  doJobStep,
  drawLand,
  setElsewhere,
  setJob,
  setMark,
  setProgramme,
} from "@/services/field";
import { cleanVessel, closeBatch, addToBatch, logEntry } from "@/services/batch";
import type { Context } from "@/services/context";
import { addDevice, takeReadings } from "@/services/devices";
import { Refusal } from "@/services/refusal";
import { sunDays } from "@/sim/sun";
import { fillVessel } from "@/services/fill";
import { sayPlace } from "@/services/ferment";
import { saveRecipe } from "@/services/recipes";
import { setSeasonTerms } from "@/services/season";
import { addWaterSource, readWater, startWater } from "@/services/water";
import { FLOAT, PEN, postsOf, STATION, tokenOf } from "./devices";
import { tellShedChapter, type Telling } from "./shedChapter";
import { tellRecordsChapter } from "./recordsChapter";
import { rectangle } from "@/core/land/ring";
import {
  BEDS,
  ELSEWHERE,
  FARM,
  LOTS,
  MARKS,
  placeOf,
  PLACES,
  PROGRAMMES,
  STANDS,
  TOOLS,
  VESSELS,
  WATERS,
} from "./story";

const HOUR_MS = 3_600_000;
/** The act that ends the story, and is in no other chapter. */
const LAST_ACT = "pressed-under";
const DAY_H = 24;

/** The same key for the same act of the story, so that a second run writes nothing twice and one cut short goes on. */
function keyOf(act: string): string {
  const hex = createHash("sha256").update(`quillet-field/${act}`).digest("hex");
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-4${hex.slice(13, 16)}-a${hex.slice(17, 20)}-${hex.slice(20, 32)}`;
}

/** Tells the story through the services, each act at its own time and by its own person. */
class Teller {
  /** The butt that every brew of the story is filled from. */
  rainId = 0;

  constructor(
    private readonly pool: Database,
    private readonly people: readonly Actor[],
    readonly now: Date,
  ) {}

  moment(hoursAgo: number): string {
    return new Date(this.now.getTime() - hoursAgo * HOUR_MS).toISOString();
  }
  day(hoursAgo: number): string {
    return this.moment(hoursAgo - 10).slice(0, 10);
  }
  /** The first moment since then at which the sun is low, in hours ago; that moment itself where none comes while the brew still keeps. */
  lowSun(hoursAgo: number, keepsH: number): number {
    const from = new Date(this.now.getTime() - hoursAgo * HOUR_MS);
    const suns = sunDays(FARM.latitudeDeg, FARM.longitudeDeg, from, this.now);
    const low = suns
      .flatMap(({ rise, set }) => [rise.getTime() + HOUR_MS, set.getTime() - HOUR_MS])
      .map((ms) => (this.now.getTime() - ms) / HOUR_MS)
      .filter((ago) => ago <= hoursAgo && ago >= Math.max(0, hoursAgo - keepsH));
    return Math.max(...low, low.length === 0 ? hoursAgo : 0);
  }
  /** Strains a batch; where its state speaks against it, with a reason, as a grower would whose pail is wanted. */
  async strain(hoursAgo: number, person: number, request: object) {
    const context = this.context(hoursAgo, person);
    try {
      return await closeBatch(context, request);
    } catch (error) {
      if (!(error instanceof Refusal) || error.code !== "reason-needed") throw error;
      return closeBatch(context, { ...request, overrideReason: "It smells right, and the pail is wanted." });
    }
  }
  /** Puts something on beds; in weather that speaks against it, with a reason, as a grower would who has no other hour. */
  async apply(hoursAgo: number, person: number, request: object) {
    const context = this.context(hoursAgo, person);
    try {
      await applyStore(context, request);
    } catch (error) {
      if (!(error instanceof Refusal) || error.code !== "reason-needed") throw error;
      await applyStore(context, { ...request, overrideReason: "The only hour that we had; the soil is mulched." });
    }
  }
  context(hoursAgo: number, person = 0): Context {
    return {
      pool: this.pool,
      now: () => new Date(this.now.getTime() - hoursAgo * HOUR_MS),
      // Whoever tells the story does what it took then, whatever they may today.
      actor: { ...this.people[person]!, role: "steward" },
    };
  }

  async fill(
    act: string,
    hoursAgo: number,
    fill: {
      vesselId: number;
      volumeL: number;
      diameterM: number | null;
      methodId: string;
      schoolId: string;
      statedC: number;
      labourMin: number;
      person?: number;
      used?: Record<string, number>;
    },
  ): Promise<number> {
    const recipe = scaleRecipe({
      recipe: findRecipe(fill.methodId, fill.schoolId),
      vesselL: fill.volumeL,
      diameterM: fill.diameterM,
    });
    const lines = recipe.lines
      .filter(({ onDay }) => onDay === 0)
      .map(({ ingredient, part, amount }) => ({
        ingredientId: ingredient,
        part,
        used: fill.used?.[ingredient] ?? Math.round(amount * 100) / 100,
        ...(isPickedPlant(ingredient) ? { pickedNow: true, species: "bean leaves" } : {}),
      }));
    const { batchId } = await fillVessel(this.context(hoursAgo, fill.person), {
      requestKey: keyOf(act),
      vesselId: fill.vesselId,
      methodId: fill.methodId,
      schoolId: fill.schoolId,
      basisAmount: recipe.basisAmount,
      lines,
      startedAt: this.moment(hoursAgo),
      statedC: fill.statedC,
      labourMin: fill.labourMin,
      water: { sourceId: this.rainId },
    });
    return batchId;
  }

  async log(act: string, batchId: number, hoursAgo: number, entry: object, person = 0): Promise<void> {
    await logEntry(this.context(hoursAgo, person), {
      requestKey: keyOf(act),
      batchId,
      at: this.moment(hoursAgo),
      entry,
    });
  }
}

async function seedWaters(tell: Teller): Promise<void> {
  const early = tell.context(260 * DAY_H);
  for (const water of WATERS) {
    const requestKey = keyOf(`water ${water.name}`);
    const { sourceId } = await addWaterSource(early, { requestKey, name: water.name, kind: water.kind });
    if (water.kind === "rain") tell.rainId = sourceId;
    if (!("freeMgPerL" in water)) continue;
    await readWater(tell.context(6 * DAY_H, 1), {
      requestKey: keyOf(`strip ${water.name}`),
      sourceId,
      freeMgPerL: water.freeMgPerL,
      totalMgPerL: water.totalMgPerL,
      at: tell.moment(6 * DAY_H),
    });
    await startWater(tell.context(19), {
      requestKey: keyOf(`aside ${water.name}`),
      sourceId,
      purpose: "dilution",
      volumeL: 120,
      treatment: "stand",
      celsius: 17,
      place: "tank by the pump shed",
      at: tell.moment(19),
    });
  }
}

async function seedPlaces(tell: Teller): Promise<void> {
  const early = tell.context(260 * DAY_H);
  for (const vessel of VESSELS) await addVessel(early, { requestKey: keyOf(`vessel ${vessel.name}`), ...vessel });
  const standing = await listVesselStates(early.pool);
  for (const { site, ...said } of STANDS) {
    const { id } = standing.find((vessel) => vessel.site === site)!;
    await sayPlace(early, { requestKey: keyOf(`place ${site}`), vesselId: id, ...said });
  }
  for (const tool of TOOLS) await addTool(early, { requestKey: keyOf(`tool ${tool.name}`), ...tool });
  for (const [index, bed] of BEDS.entries()) {
    const { harvestInD, ...rest } = bed;
    const { plotId } = await addPlot(early, {
      requestKey: keyOf(`plot ${index}`),
      ...rest,
      harvestOn: harvestInD === undefined ? null : tell.day(-harvestInD * DAY_H),
    });
    const ring = rectangle(placeOf(index, bed), bed.lengthM, bed.widthM).map(
      ([xM, yM]) => [xM, yM] as [number, number],
    );
    await drawLand(early, {
      requestKey: keyOf(`land ${index}`),
      plots: [{ plotId, name: bed.name, kind: bed.stage === "perennial" ? "row" : "bed", ring }],
      putAway: [],
    });
  }
  for (const mark of MARKS)
    await setMark(early, {
      requestKey: keyOf(`mark ${mark.name}`),
      ...mark,
      line: mark.line.map(([xM, yM]) => [xM, yM] as [number, number]),
    });
  for (const [index, [ingredientId, amount, origin, daysAgo, cost, keepsD]] of LOTS.entries()) {
    const receivedOn = tell.day(daysAgo * DAY_H);
    const expiresOn = keepsD === null ? null : tell.day((daysAgo - keepsD) * DAY_H);
    await receiveLot(tell.context((daysAgo - 1) * DAY_H), {
      requestKey: keyOf(`lot ${index}`),
      ingredientId,
      amount,
      origin,
      receivedOn,
      cost,
      expiresOn,
      place: PLACES[ingredientId] ?? "long shelf",
    });
  }
}

type VesselByName = (name: string) => { id: number; volumeL: number; diameterM: number | null };

/** A mast with the farm's weather of the last months, and two probes; from here on their stand-ins post by themselves. */
async function seedDevices(tell: Teller, vessel: VesselByName): Promise<void> {
  const early = tell.context(70 * DAY_H);
  const places = [
    [STATION, "station", null],
    [FLOAT, "probe", vessel("Air drum").id],
    [PEN, "probe", vessel("Glass drum").id],
  ] as const;
  for (const [name, kind, vesselId] of places) {
    await addDevice(early, { requestKey: keyOf(`device ${name}`), name, kind, vesselId, token: tokenOf(name) });
    const since = new Date(tell.now.getTime() - 70 * DAY_H * HOUR_MS);
    for (const posted of postsOf(name, tell.now, since, tell.now))
      await takeReadings(early.pool, tell.now, tokenOf(name), posted);
  }
}

/** The serum that all the extracts are started with: made here, from the first rinse of rice, and put in the shed. */
async function seedSerum(tell: Teller, vessel: VesselByName): Promise<void> {
  const crock = vessel("Crock");
  const serum = await tell.fill("fill serum", 62 * DAY_H, {
    ...crock,
    vesselId: crock.id,
    methodId: "lactic-serum",
    schoolId: "salted-rice",
    statedC: 21,
    labourMin: 25,
    person: 2,
  });
  await addToBatch(tell.context(60 * DAY_H, 2), {
    requestKey: keyOf("serum sugar"),
    batchId: serum,
    ingredientId: "brown-sugar",
    amount: 0.26,
    at: tell.moment(60 * DAY_H),
  });
  await tell.log("serum t", serum, 59 * DAY_H, { kind: "temperature", celsius: 22 }, 2);
  await tell.log("serum ph", serum, 51 * DAY_H, { kind: "ph", value: 3.7, instrument: "meter", spot: "mid-depth" }, 2);
  await tell.log("serum smell", serum, 51 * DAY_H, { kind: "smell", word: "yogurt-sour" }, 2);
  await tell.strain(50.5 * DAY_H, 2, {
    requestKey: keyOf("close serum"),
    batchId: serum,
    kind: "strained",
    at: tell.moment(50.5 * DAY_H),
    yieldL: 9,
    intoShed: true,
    label: "Serum of the first rinse",
    residue: "compost",
    labourMin: 15,
    overrideReason: "clean, sour, and wanted for the drum",
  });
  await cleanVessel(tell.context(50.4 * DAY_H, 2), { requestKey: keyOf("clean crock"), vesselId: crock.id });
}

/** The farm's own juice: a thicker cap, after a jar that went off. */
async function seedOwnRecipe(tell: Teller): Promise<void> {
  const book = bookDocument("plant-juice", "equal-weight");
  const thicker = {
    ...book,
    name: "Thick cap",
    source: "our own jars",
    note: "The jar of last spring went fuzzy under a thin cap.",
    ingredients: book.ingredients.map((line) =>
      line.amount.type === "per-surface"
        ? { ...line, amount: { ...line.amount, thicknessM: { low: 0.005, default: 0.008, high: 0.01 } } }
        : line,
    ),
  };
  await saveRecipe(tell.context(30 * DAY_H, 1), {
    requestKey: keyOf("own juice"),
    document: thicker,
    basedOn: 0,
    confirmed: true,
  });
}

/** An extract from fill to bed, all done. */
async function seedFinishedExtract(
  tell: Teller,
  vessel: VesselByName,
  plotId: (name: string) => number,
  toolId: (name: string) => number,
): Promise<number> {
  const blue = vessel("Blue drum");
  const extract = await tell.fill("fill extract 1", 40 * DAY_H, {
    ...blue,
    vesselId: blue.id,
    methodId: "cultured-extract",
    schoolId: "equal-parts",
    statedC: 21,
    labourMin: 50,
  });
  for (const [daysAgo, celsius, ph] of [
    [36, 20.5, 5.6],
    [31, 21.5, 4.7],
    [27, 22, 4.1],
    [25, 22, 3.8],
  ] as const) {
    await tell.log(`e1 t ${daysAgo}`, extract, daysAgo * DAY_H, { kind: "temperature", celsius });
    await tell.log(`e1 ph ${daysAgo}`, extract, daysAgo * DAY_H, {
      kind: "ph",
      value: ph,
      instrument: "meter",
      spot: "mid-depth",
    });
  }
  await tell.log("e1 smell", extract, 25 * DAY_H, { kind: "smell", word: "cidery" }, 1);
  const extractStore = await tell.strain(24.5 * DAY_H, 1, {
    requestKey: keyOf("close extract 1"),
    batchId: extract,
    kind: "strained",
    at: tell.moment(24.5 * DAY_H),
    yieldL: 168,
    residue: "compost",
    residueKg: 1.4,
    labourMin: 35,
    label: "Nettle extract",
    place: "cool end of the lean-to",
  });
  await cleanVessel(tell.context(24.4 * DAY_H, 1), { requestKey: keyOf("clean blue"), vesselId: blue.id });
  const dusk = tell.lowSun(9 * DAY_H, DAY_H);
  await tell.apply(dusk, 1, {
    requestKey: keyOf("apply extract"),
    storeId: extractStore.storeId,
    useId: "drench-growing",
    ratio: "1:250",
    mixRateL: 2,
    mixRatePer: "m2",
    water: { sourceId: tell.rainId },
    toolId: toolId("Can"),
    plotIds: ["Bed 3", "Bed 4", "Bed 5", "Bed 6", "Bed 7"].map(plotId),
    at: tell.moment(dusk),
    labourMin: 55,
  });
  return extractStore.storeId!;
}

/** What the crops are given over the season. */
async function seedProgrammes(tell: Teller): Promise<void> {
  for (const programme of PROGRAMMES)
    await setProgramme(tell.context(30 * DAY_H, 1), {
      requestKey: keyOf(`programme ${programme.name}`),
      name: programme.name,
      crops: [...programme.crops],
      steps: programme.steps.map((step) => ({ ...step })),
    });
  await setSeasonTerms(tell.context(29 * DAY_H, 1), {
    requestKey: keyOf("season terms"),
    hoursAWeek: 10,
    canL: 20,
    cans: 20,
    weeks: 26,
    closedWeekdays: [6],
    hands: [],
    forbidden: [],
  });
}

/** Work that belongs together: layers on the currants, half done; one extract for three uses, ahead. */
async function seedJobs(tell: Teller, plotId: (name: string) => number, storeId: number): Promise<void> {
  const elsewhere = new Map<string, number>();
  for (const { name, kind } of ELSEWHERE) {
    const { plotId: id } = await setElsewhere(tell.context(28 * DAY_H, 2), {
      requestKey: keyOf(`elsewhere ${name}`),
      name,
      kind,
    });
    elsewhere.set(name, id);
  }
  const currants = [plotId("Currant row")];
  const { jobId } = await setJob(tell.context(20, 1), {
    requestKey: keyOf("job currants"),
    name: "Currants before the fruit",
    forDay: tell.day(0),
    steps: [
      { key: "castings", does: "lay", what: "castings", depthCm: null, plotIds: currants, litresPerM2: 2 },
      {
        key: "extract",
        does: "put-on",
        storeId,
        use: "drench-growing",
        ratio: "1:250",
        priority: 1,
        plotIds: currants,
        litresPerM2: 3,
      },
      { key: "water", does: "water", plotIds: currants, litresPerM2: 4 },
      { key: "mulch", does: "lay", what: "mulch", depthCm: null, plotIds: currants, litresPerM2: 30 },
    ],
  });
  await doJobStep(tell.context(5, 2), {
    requestKey: keyOf("job currants castings"),
    jobId,
    stepKey: "castings",
    note: "sieved, no worms left in it",
  });
  const leaves = ["Bed 11", "Bed 12"].map(plotId);
  await setJob(tell.context(20, 1), {
    requestKey: keyOf("job extract"),
    name: "Nettle extract, three ways",
    forDay: tell.day(-48),
    steps: [
      {
        key: "leaf",
        does: "put-on",
        storeId,
        use: "foliar",
        ratio: "1:500",
        priority: 1,
        plotIds: leaves,
        litresPerM2: 0.06,
      },
      {
        key: "soil",
        does: "put-on",
        storeId,
        use: "drench-growing",
        ratio: "1:250",
        priority: 2,
        plotIds: leaves,
        litresPerM2: 2,
      },
      {
        key: "heap",
        does: "put-on",
        storeId,
        use: "compost",
        ratio: "1:20",
        priority: 3,
        plotIds: [elsewhere.get("Long heap")!],
        litresPerM2: 60,
      },
    ],
  });
}

/** A juice, strained and on the shelf. */
async function seedFinishedJuice(tell: Teller, vessel: VesselByName): Promise<void> {
  const jar = vessel("Jar");
  const juice = await tell.fill("fill juice 1", 31 * DAY_H, {
    ...jar,
    vesselId: jar.id,
    methodId: "plant-juice",
    schoolId: "equal-weight",
    statedC: 21,
    labourMin: 25,
    person: 2,
  });
  for (const daysAgo of [30.5, 30, 29, 28, 27, 26, 25, 24])
    await tell.log(`j1 t ${daysAgo}`, juice, daysAgo * DAY_H, { kind: "temperature", celsius: 21 }, 2);
  await tell.log("j1 smell first", juice, 24.1 * DAY_H, { kind: "smell", word: "fruity" }, 2);
  await tell.log("j1 solids first", juice, 24.1 * DAY_H, { kind: "solids", word: "floating" }, 2);
  await tell.log("j1 smell", juice, 23.5 * DAY_H, { kind: "smell", word: "fruity" }, 2);
  await tell.log("j1 solids", juice, 23.5 * DAY_H, { kind: "solids", word: "floating" }, 2);
  await tell.strain(23.4 * DAY_H, 2, {
    requestKey: keyOf("close juice 1"),
    batchId: juice,
    kind: "strained",
    at: tell.moment(23.4 * DAY_H),
    yieldL: 1.1,
    residue: "second-steep",
    labourMin: 10,
    label: "Comfrey juice",
    place: "pantry shelf",
  });
  await cleanVessel(tell.context(23.3 * DAY_H, 2), { requestKey: keyOf("clean jar"), vesselId: jar.id });
}

/** A tea that went out at once. */
async function seedFinishedTea(
  tell: Teller,
  vessel: VesselByName,
  plotId: (name: string) => number,
  toolId: (name: string) => number,
): Promise<void> {
  const pail = vessel("Pail two");
  const tea = await tell.fill("fill tea 1", 57, {
    ...pail,
    vesselId: pail.id,
    methodId: "aerated-tea",
    schoolId: "bacterial",
    statedC: 23,
    labourMin: 20,
  });
  for (const hoursAgo of [52, 46, 40, 34, 28])
    await tell.log(`t1 temp ${hoursAgo}`, tea, hoursAgo, { kind: "temperature", celsius: 22.5 });
  await tell.log("t1 smell", tea, 23, { kind: "smell", word: "earthy" });
  const teaStore = await tell.strain(21, 0, {
    requestKey: keyOf("close tea 1"),
    batchId: tea,
    kind: "strained",
    at: tell.moment(21),
    yieldL: 23,
    residue: "dug-in",
    labourMin: 10,
    atOnce: true,
    label: "Castings tea",
  });
  const dusk = tell.lowSun(20.5, 8);
  await tell.apply(dusk, 0, {
    requestKey: keyOf("apply tea"),
    storeId: teaStore.storeId,
    useId: "drench-growing",
    ratio: "1:1",
    mixRateL: 2,
    mixRatePer: "m2",
    water: { sourceId: tell.rainId },
    toolId: toolId("Can"),
    plotIds: ["Bed 1"].map(plotId),
    at: tell.moment(dusk),
    labourMin: 15,
  });
}

/** An extract on its way. */
async function seedRunningExtract(tell: Teller, vessel: VesselByName): Promise<void> {
  const blue = vessel("Blue drum");
  const extract = await tell.fill("fill extract 2", 14 * DAY_H + 3, {
    ...blue,
    vesselId: blue.id,
    methodId: "cultured-extract",
    schoolId: "equal-parts",
    statedC: 17,
    labourMin: 45,
  });
  for (const [hoursAgo, celsius, ph] of [
    [242, 17, 5.6],
    [122, 17.5, 4.7],
    [28, 18, 4.1],
  ] as const) {
    await tell.log(`e2 t ${hoursAgo}`, extract, hoursAgo, { kind: "temperature", celsius });
    await tell.log(
      `e2 ph ${hoursAgo}`,
      extract,
      hoursAgo,
      { kind: "ph", value: ph, instrument: "meter", spot: "mid-depth" },
      1,
    );
  }
  await tell.log("e2 film", extract, 28, { kind: "film", word: "white bubbly" }, 1);
  await tell.log("e2 vent", extract, 51, { kind: "act", act: "vented" }, 1);
}

/** A tea near its best. */
async function seedRunningTea(tell: Teller, vessel: VesselByName): Promise<void> {
  const air = vessel("Air drum");
  const tea = await tell.fill("fill tea 2", 27, {
    ...air,
    vesselId: air.id,
    methodId: "aerated-tea",
    schoolId: "bacterial",
    statedC: 24,
    labourMin: 35,
    used: { castings: 6.5 },
  });
  await tell.log("t2 temp a", tea, 20, { kind: "temperature", celsius: 24 });
  await tell.log("t2 temp m", tea, 12, { kind: "temperature", celsius: 24 });
  await tell.log("t2 smell a", tea, 14, { kind: "smell", word: "raw sweet" });
  await tell.log("t2 temp b", tea, 3, { kind: "temperature", celsius: 24 });
  await tell.log("t2 surface", tea, 3, { kind: "surface", word: "full head" });
  await tell.log("t2 smell m", tea, 5.5, { kind: "smell", word: "neutral" }, 1);
  await tell.log("t2 smell b", tea, 2.5, { kind: "smell", word: "earthy" }, 2);
}

/** An extract that sticks. */
async function seedStuckExtract(tell: Teller, vessel: VesselByName): Promise<void> {
  const glass = vessel("Glass drum");
  const stuck = await tell.fill("fill extract 3", 18 * DAY_H, {
    ...glass,
    vesselId: glass.id,
    methodId: "cultured-extract",
    schoolId: "more-plant",
    statedC: 23,
    labourMin: 40,
    person: 2,
  });
  for (const [daysAgo, ph] of [
    [12, 5.2],
    [5, 4.8],
    [1.2, 4.75],
  ] as const) {
    await tell.log(`e3 t ${daysAgo}`, stuck, daysAgo * DAY_H, { kind: "temperature", celsius: 22.5 }, 2);
    await tell.log(
      `e3 ph ${daysAgo}`,
      stuck,
      daysAgo * DAY_H,
      { kind: "ph", value: ph, instrument: "meter", spot: "mid-depth" },
      2,
    );
  }
  await tell.log("e3 vent", stuck, 1.2 * DAY_H, { kind: "act", act: "vented" }, 2);
}

/** An extract under a cloth that the rain got into: smelt at, thrown out, and what it cost is lost. */
async function seedFailedExtract(tell: Teller, vessel: VesselByName): Promise<void> {
  const pail = vessel("Pail one");
  const begunAgoH = 40 * DAY_H;
  const extract = await tell.fill("fill failed extract", begunAgoH, {
    ...pail,
    vesselId: pail.id,
    methodId: "cultured-extract",
    schoolId: "equal-parts",
    statedC: 19,
    labourMin: 25,
    person: 1,
  });
  const log = (act: string, afterD: number, entry: object) =>
    tell.log(`failed ${act}`, extract, begunAgoH - afterD * DAY_H, entry, 1);
  await log("temp", 4, { kind: "temperature", celsius: 19 });
  await log("smell", 9, { kind: "smell", word: "putrid" });
  const endAgoH = begunAgoH - 9.2 * DAY_H;
  await closeBatch(tell.context(endAgoH, 1), {
    requestKey: keyOf("close failed extract"),
    batchId: extract,
    kind: "discarded",
    at: tell.moment(endAgoH),
    yieldL: 0,
    residue: "compost",
    labourMin: 10,
  });
  await cleanVessel(tell.context(endAgoH - 2, 1), { requestKey: keyOf("clean pail"), vesselId: pail.id });
}

/** A juice in its crock. */
async function seedRunningJuice(tell: Teller, vessel: VesselByName): Promise<void> {
  const crock = vessel("Crock");
  const juice = await tell.fill("fill juice 2", 4 * DAY_H + 6, {
    ...crock,
    vesselId: crock.id,
    methodId: "plant-juice",
    schoolId: "equal-weight",
    statedC: 20,
    labourMin: 30,
    person: 2,
  });
  await tell.log("j2 smell", juice, 26, { kind: "smell", word: "raw sweet" }, 2);
  await tell.log("j2 press", juice, 26, { kind: "act", act: LAST_ACT }, 2);
}

async function makeFarm(pool: Database, now: Date): Promise<void> {
  const [steward] = DEMO_PEOPLE;
  await setUpFarm(
    onMachine(pool, () => now),
    {
      requestKey: keyOf("farm"),
      ...FARM,
      people: DEMO_PEOPLE.map(({ name }) => name),
      passphrase: steward!.passphrase,
    },
  );
  // It was told by a program: nobody sits there.
  const [founder] = await listActors(pool);
  await endSessionsOf(pool, founder!.id, now, null);
}

/** One of each role, each with a way in; in a demo of an earlier build too, whose people had none. */
async function makePeople(db: Queryable, now: Date): Promise<void> {
  const pins = await listWithSecret(db, "pin");
  const known = new Map((await listActors(db)).map(({ id, name }) => [name, id]));
  for (const { name, role, passphrase, pin } of DEMO_PEOPLE) {
    const actorId = known.get(name) ?? (await insertActor(db, name, role));
    if (pins.has(actorId)) continue;
    await setActorRole(db, actorId, role);
    await setSecret(db, { actorId, kind: "passphrase", hash: await hashSecret(passphrase), at: now });
    await setSecret(db, { actorId, kind: "pin", hash: await hashSecret(pin), at: now });
  }
}

/**
 * Makes the demo farm in an empty database, or what of it is missing.
 * @returns whether anything had to be made
 */
export async function seedDemo(pool: Database, now: Date): Promise<boolean> {
  const db = pool;
  if ((await findFarm(db)) === null) await makeFarm(pool, now);
  await makePeople(db, now);
  const people = await listActors(db);
  const tell = new Teller(pool, people, now);
  // A farm whose story an earlier build told to its end goes on from there: new chapters don't fit into its past.
  // By the log, since the keys of its acts are forgotten in time.
  if (await isActLogged(db, LAST_ACT)) return false;
  await seedWaters(tell);
  await seedPlaces(tell);
  const vessels = new Map((await listVesselStates(db)).map((vessel) => [vessel.name, vessel]));
  const plots = new Map((await listLand(db)).map(({ name, id }) => [name, id]));
  const tools = new Map((await listTools(db)).map(({ name, id }) => [name, id]));
  const vessel: VesselByName = (name) => vessels.get(name)!;
  await seedDevices(tell, vessel);
  await seedSerum(tell, vessel);
  await seedOwnRecipe(tell);
  const extractStoreId = await seedFinishedExtract(
    tell,
    vessel,
    (name) => plots.get(name)!,
    (name) => tools.get(name)!,
  );
  await seedFinishedJuice(tell, vessel);
  await seedFinishedTea(
    tell,
    vessel,
    (name) => plots.get(name)!,
    (name) => tools.get(name)!,
  );
  const telling: Telling = {
    keyOf,
    context: (hoursAgo, person) => tell.context(hoursAgo, person),
    moment: (hoursAgo) => tell.moment(hoursAgo),
    day: (hoursAgo) => tell.day(hoursAgo),
  };
  await tellShedChapter(telling, (name) => vessel(name).id);
  await tellRecordsChapter(telling, (name) => plots.get(name)!);
  await seedProgrammes(tell);
  await seedJobs(tell, (name) => plots.get(name)!, extractStoreId);
  await seedRunningExtract(tell, vessel);
  await seedRunningTea(tell, vessel);
  await seedStuckExtract(tell, vessel);
  await seedFailedExtract(tell, vessel);
  await seedRunningJuice(tell, vessel);
  return true;
}
