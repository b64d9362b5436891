import { ROLES } from "@/core/people/roles";
import { bookDocument } from "@/core/recipe/document";
import { fieldErrors } from "@/contracts/fieldErrors";
import validators from "@/contracts/generated/acts.cjs";
import type { ActName } from "@/testing/views";
import { ACTS, findAct, listActs } from "./index";

const checkRequest = (name: ActName, value: unknown) => fieldErrors(validators[name]!, value);

const KEY = "6f1c2f8e-3a52-4c1f-9f0e-6f3f9a1b2c3d";
const AT = "2031-03-20T10:00:00Z";

const TRIAL_TERMS = {
  question: "Does nettle help the chard?",
  inputs: [{ name: "Nettle extract", methodId: "cultured-extract" }],
  useId: "drench-growing",
  kind: "weight",
  scale: "ratio",
  unit: "",
  smallest: 0.2,
  card: [],
  isChange: false,
  looks: "several",
  decidingOn: "2031-06-20",
  asked: 3,
};
const JOINING = { plotIds: [1, 2], strips: 3, gradientDeg: null, edgePlotIds: [] };

/** One request of each kind that fits. */
const FITTING: Record<ActName, Record<string, unknown>> = {
  setUpFarm: {
    requestKey: KEY,
    name: "Own field",
    people: ["Ana"],
    passphrase: "three green words",
    timeZone: "UTC",
    latitudeDeg: 45,
    longitudeDeg: 15,
    units: "metric",
    currency: "crowns",
    labourPerH: 12,
    powerPerKWh: 0.3,
    climateMeanC: 11,
    climateSwingC: 8,
  },
  signIn: { requestKey: KEY, name: "Ana", passphrase: "three green words" },
  joinFarm: { requestKey: KEY, code: "abcd-efgh-jkmn-pqrs", passphrase: "three green words" },
  claimFarm: { requestKey: KEY, personId: 1, passphrase: "three green words" },
  signOut: { requestKey: KEY },
  lockDevice: { requestKey: KEY },
  unlockDevice: { requestKey: KEY, personId: 1, pin: "2468" },
  invitePerson: { requestKey: KEY, personId: 1 },
  setRole: { requestKey: KEY, personId: 1, role: "helper" },
  setPassphrase: { requestKey: KEY, current: "three green words", passphrase: "four other green words" },
  setPin: { requestKey: KEY, current: "three green words", pin: "2468" },
  shareDevice: { requestKey: KEY },
  signOutEverywhere: { requestKey: KEY, personId: 1 },
  endOneSession: { requestKey: KEY, sessionId: 1 },
  beginPasskey: { requestKey: KEY },
  addPasskey: {
    requestKey: KEY,
    name: "My phone",
    response: {
      id: "abc",
      rawId: "abc",
      type: "public-key",
      clientExtensionResults: {},
      response: { clientDataJSON: "e30", attestationObject: "o2M" },
    },
  },
  removePasskey: { requestKey: KEY, passkeyId: 1 },
  beginPasskeySignIn: { requestKey: KEY },
  signInByPasskey: {
    requestKey: KEY,
    response: {
      id: "abc",
      rawId: "abc",
      type: "public-key",
      clientExtensionResults: {},
      response: { clientDataJSON: "e30", authenticatorData: "SZY", signature: "MEU", userHandle: "abc" },
    },
  },
  keepForSteward: {
    requestKey: KEY,
    actName: "logEntry",
    request: { requestKey: KEY, batchId: 1, entry: { kind: "act", act: "stirred" } },
    said: "Blue drum: stirred.",
    because: "may-not",
    personId: 1,
    doneAt: AT,
  },
  enterHeld: { requestKey: KEY, heldId: 1 },
  dropHeld: { requestKey: KEY, heldId: 1 },
  changeFarm: { requestKey: KEY, name: "Own field", currency: "EUR" },
  arrangeTask: { requestKey: KEY, taskKey: "12-stirred", personId: 1, until: AT, reason: "at the market" },
  addPerson: { requestKey: KEY, name: "Cleo" },
  changePerson: { requestKey: KEY, id: 1, name: "Ana" },
  changeVessel: { requestKey: KEY, id: 1, name: "Blue drum", volumeL: 200, heldBefore: "food" },
  changeTool: { requestKey: KEY, id: 1, kind: "injector", partsWater: 100 },
  changeWater: { requestKey: KEY, id: 1, kind: "well" },
  changeEquipment: { requestKey: KEY, id: 1, count: 2 },
  changeOwnIngredient: { requestKey: KEY, id: 1, name: "Pond weed", keepsD: 3 },
  changeGatheringPlace: { requestKey: KEY, id: 1, restD: 60 },
  changeWormBin: { requestKey: KEY, id: 1, name: "Bin" },
  changeDevice: { requestKey: KEY, id: 1, name: "Mast" },
  setThingState: { requestKey: KEY, kind: "vessel", id: 1, state: "lent", note: "to the neighbour" },
  setHarvestRule: { requestKey: KEY, hazard: "dung", touchingD: 120, clearD: 90, source: "our certifier" },
  addDevice: { requestKey: KEY, name: "Mast", kind: "station", vesselId: null, token: "a".repeat(40) },
  placeDevice: { requestKey: KEY, deviceId: 1, vesselId: 2 },
  retireDevice: { requestKey: KEY, deviceId: 1 },
  postReadings: { readings: [{ at: AT, quantity: "liquid", value: 21 }] },
  importLogger: { requestKey: KEY, name: "Pen", vesselId: 1, text: "t,c\n", zone: "UTC", column: "c", unit: "°C" },
  resetLearning: { requestKey: KEY, modelId: "B1_plant_ferment", reason: "another shed" },
  sayPlace: { requestKey: KEY, vesselId: 1, kind: "indoors", lowC: 18, highC: 22 },
  shareTask: { requestKey: KEY, batchId: 1, act: "stirred", personId: null, slot: "morning" },
  addBatchPhoto: { requestKey: KEY, batchId: 1, jpeg: "/9j/4AAQ", note: "pale film" },
  addForagePhoto: { requestKey: KEY, placeId: 1, jpeg: "/9j/4AAQ" },
  addVessel: { requestKey: KEY, name: "Drum", kind: "drum", volumeL: 200 },
  receiveLot: {
    requestKey: KEY,
    ingredientId: "molasses",
    amount: 5,
    origin: "bought",
    receivedOn: "2031-03-20",
    cost: 12,
  },
  takeBackApplication: { requestKey: KEY, applicationId: 1, reason: "the wrong bed" },
  redateApplication: {
    requestKey: KEY,
    applicationId: 1,
    at: "2031-03-02T08:00:00.000Z",
    reason: "it was the day before",
  },
  drawLand: {
    requestKey: KEY,
    plots: [
      {
        plotId: null,
        name: "Bed",
        kind: "bed",
        ring: [
          [0, 0],
          [1, 0],
          [1, 9],
        ],
        block: "North",
        tags: ["roots"],
      },
    ],
    putAway: [],
  },
  setMark: {
    requestKey: KEY,
    markId: null,
    kind: "stream",
    name: "Brook",
    line: [
      [0, 0],
      [5, 9],
    ],
    bufferM: 5,
  },
  importLand: { requestKey: KEY, text: "{}", fileName: "land.geojson" },
  plantPlots: {
    requestKey: KEY,
    plotIds: [1, 2],
    crop: "leeks",
    plantedOn: "2031-03-20",
    sown: true,
    harvestFrom: null,
  },
  changePlanting: { requestKey: KEY, plantingId: 1, crop: "leeks", plants: 40, endedOn: null },
  clearPlantings: { requestKey: KEY, plantingIds: [1], on: "2031-03-20" },
  seeStage: { requestKey: KEY, plantingIds: [1], stage: "flowering" },
  setProgramme: {
    requestKey: KEY,
    name: "Tomatoes",
    crops: ["tomatoes"],
    steps: [{ methodId: "cultured-extract", use: "drench-growing", everyD: 14, from: "growing", to: "fruiting" }],
  },
  startPatchTest: { requestKey: KEY, storeId: 1, plotId: 1, useId: "foliar", ratio: "1:100" },
  seePatchTest: { requestKey: KEY, patchTestId: 1, result: "clear", note: "" },
  setInstead: { requestKey: KEY, methodId: "aerated-tea", name: "Shop tea", price: 14, coversM2: 50, wouldBuy: false },
  setBudget: { requestKey: KEY, year: 2031, bought: 300, hours: 40, loss: null },
  logPracticeDrum: {
    requestKey: KEY,
    code: "tea-12",
    hour: 30,
    deeds: [
      { hour: 24, kind: "look", look: "smell" },
      { hour: 25, kind: "care", care: "stir" },
      { hour: 30, kind: "end", ending: "use" },
    ],
  },
  logPracticeSum: { requestKey: KEY, kind: "per-can", level: 1, system: "metric", seed: 3, said: 100 },
  logPracticeCaution: { requestKey: KEY, seed: 3, said: "chlorine" },
  setPracticeLeave: { requestKey: KEY, personId: 2, methodId: "aerated-tea", isGiven: true },
  measurePlot: { requestKey: KEY, plotId: 1, kind: "height", unit: "cm", parts: [31, 28.5] },
  beginTrial: { requestKey: KEY, terms: TRIAL_TERMS, ...JOINING },
  setTrialTerms: { requestKey: KEY, trialId: 1, terms: TRIAL_TERMS },
  drawTrialAgain: { requestKey: KEY, trialId: 1, roundNo: 1, reason: "One bed was dug up" },
  addTrialPairs: { requestKey: KEY, trialId: 1, decidingOn: "2031-06-20", ...JOINING },
  noteTrial: { requestKey: KEY, trialId: 1, note: { type: "left-out", blockId: "1.2", side: "with", reason: "slugs" } },
  resumeTrial: { requestKey: KEY, trialId: 1 },
  openPlacement: { requestKey: KEY, trialId: 1 },
  lookAtTrial: { requestKey: KEY, trialId: 1 },
  scoreTrial: {
    requestKey: KEY,
    trialId: 1,
    readings: [{ code: "AB3", parts: [4], isAgain: false }],
    guesses: [{ code: "AB3", guess: "with" }],
  },
  seePlot: { requestKey: KEY, plotId: 1, signs: { "leaf-colour": "pale" }, note: "" },
  addPlot: { requestKey: KEY, name: "Bed", stage: "growing", widthM: 1.2, lengthM: 10 },
  setJob: {
    requestKey: KEY,
    name: "Spring beds",
    forDay: "2031-03-20",
    steps: [{ key: "a", does: "water", plotIds: [1], litresPerM2: 5 }],
  },
  doJobStep: { requestKey: KEY, jobId: 1, stepKey: "a" },
  takeBackJobStep: { requestKey: KEY, jobId: 1, stepKey: "a" },
  setElsewhere: { requestKey: KEY, name: "Seed mix", kind: "potting-mix" },
  addTool: { requestKey: KEY, name: "Can", kind: "can", volumeL: 10 },
  fillVessel: {
    requestKey: KEY,
    vesselId: 1,
    methodId: "cultured-extract",
    schoolId: "equal-parts",
    basisAmount: 90,
    lines: [{ ingredientId: "water", part: "mix", used: 90 }],
    labourMin: 30,
  },
  startFirstDrum: {
    requestKey: KEY,
    vessel: { name: "Drum", kind: "drum", volumeL: 200, heldBefore: "food", airW: 0 },
    lots: [{ ingredientId: "greens", amount: 15, cost: 0, species: "nettle" }],
    water: { kind: "rain", carbon: false, overrideReason: null },
    fill: {
      methodId: "leaf-soak",
      schoolId: "standard",
      basisAmount: 150,
      lines: [{ ingredientId: "water", part: "mix", used: 150 }],
      labourMin: 30,
    },
    forDay: null,
  },
  logEntry: { requestKey: KEY, batchId: 1, entry: { kind: "ph", value: 4.2, instrument: "meter", spot: "mid-depth" } },
  closeBatch: { requestKey: KEY, batchId: 1, kind: "strained", yieldL: 80, residue: "compost", labourMin: 20 },
  takeBackStart: { requestKey: KEY, batchId: 1 },
  takeBack: { requestKey: KEY, rows: [{ kind: "lot", id: 1 }] },
  takeBackEnd: { requestKey: KEY, batchId: 1 },
  logResidue: { requestKey: KEY, batchId: 1, what: "liquor", to: "trees", amount: 12, unit: "L" },
  cleanVessel: { requestKey: KEY, vesselId: 1 },
  takeBackWashing: { requestKey: KEY, vesselId: 1 },
  applyStore: {
    requestKey: KEY,
    storeId: 1,
    useId: "drench-growing",
    ratio: "1:250",
    mixRateL: 2,
    mixRatePer: "m2",
    toolId: 1,
    plotIds: [1, 2],
    labourMin: 20,
    water: { sourceId: 1 },
  },
  saveRecipe: { requestKey: KEY, document: bookDocument("cultured-extract"), basedOn: 0 },
  chooseRecipe: { requestKey: KEY, methodId: "plant-juice", schoolId: "half-weight", versionNo: null },
  addWaterSource: { requestKey: KEY, name: "Butt", kind: "rain" },
  readWater: { requestKey: KEY, sourceId: 1, freeMgPerL: 0.5, totalMgPerL: 0.6 },
  readWaterLevel: { requestKey: KEY, sourceId: 1, volumeL: 300 },
  startWater: { requestKey: KEY, sourceId: 1, purpose: "brew", volumeL: 160, treatment: "stand", celsius: 16 },
  addToBatch: { requestKey: KEY, batchId: 1, ingredientId: "brown-sugar", amount: 0.4 },
  takeFromBatch: { requestKey: KEY, batchId: 1, litres: 2 },
  moveToShed: { requestKey: KEY, storeId: 1, litres: 2 },
  addLabResult: { requestKey: KEY, batchId: 1, nutrient: "k2o", gPerL: 0.8 },
  takeBackWeighing: { requestKey: KEY, measure: "handful", ingredientId: "leaf-mould" },
  weighMeasure: { requestKey: KEY, measure: "handful", ingredientId: "leaf-mould", amount: 0.09 },
  importFile: { requestKey: KEY, kind: "lots", text: "ingredient,amount,unit,received_on\nMolasses,5,L,2031-03-01" },
  wasteLot: { requestKey: KEY, lotId: 1, amount: 0.5, reason: "mouldy" },
  correctMovement: { requestKey: KEY, movementId: 1, amount: 4, reason: "a slip" },
  countStock: { requestKey: KEY, lines: [{ lotId: 1, counted: 2.5, expected: 3 }] },
  noteLot: { requestKey: KEY, lotId: 1, kind: "opened", onDay: "2031-03-20" },
  addOwnIngredient: { requestKey: KEY, name: "Pond weed", countsAs: "greens" },
  setSupply: { requestKey: KEY, itemId: "molasses", packName: "jug", packAmount: 5, leadD: 4 },
  planBatch: {
    requestKey: KEY,
    methodId: "cultured-extract",
    schoolId: "equal-parts",
    basisAmount: 80,
    forDay: "2031-03-25",
  },
  dropPlan: { requestKey: KEY, planId: 1 },
  setSeasonTerms: {
    requestKey: KEY,
    hoursAWeek: 9.5,
    canL: 20,
    cans: 12,
    weeks: 26,
    closedWeekdays: [6],
    hands: [{ actorId: 1, hoursAWeek: 9.5 }],
    forbidden: [{ methodId: "leaf-soak", vesselId: 1, fromOn: null, toOn: null }],
  },
  newSeasonFeed: { requestKey: KEY },
  endSeasonFeed: { requestKey: KEY },
  takeSeasonPlan: {
    requestKey: KEY,
    firstDay: "2031-03-03",
    batches: [{ id: "tea-1", input: "aerated-tea", vessel: "2", startDay: 2, readyDay: 4, emptyDay: 4, fillL: 80 }],
    applications: [{ need: "1.1.0.2031-03-07", day: 4, draws: [{ from: "tea-1", amountL: 20 }] }],
    purchases: [{ ingredient: "castings", orderDay: 0, packs: 1 }],
    forage: [],
    discards: [],
  },
  emptyStore: { requestKey: KEY, storeId: 1, litres: 2, to: "composted", reason: "expired" },
  countStore: { requestKey: KEY, storeId: 1, litres: 12 },
  checkStore: { requestKey: KEY, storeId: 1, kind: "smelt-good", ph: 3.6 },
  keepStore: { requestKey: KEY, storeId: 1, until: "2031-04-01", reason: "opened" },
  pourStore: { requestKey: KEY, storeId: 1, parts: [{ litres: 5, label: "Can", container: "vented" }] },
  addEquipment: { requestKey: KEY, kind: "pump", name: "Big pump", count: 1, size: 60, outlets: 4 },
  noteEquipment: { requestKey: KEY, equipmentId: 1, kind: "washed" },
  recordPick: {
    requestKey: KEY,
    species: "nettle",
    part: "growing tips",
    ingredientId: "plant",
    amount: 4,
    place: "hedge",
    pickedOn: "2031-03-20",
  },
  addForagePlace: { requestKey: KEY, name: "Under the oaks", kind: "leaf-mould", restD: 180 },
  visitForage: { requestKey: KEY, placeId: 1, vigour: "strong", onDay: "2031-03-20", takenKg: 2 },
  addWormBin: { requestKey: KEY, name: "Bin", wormsKg: 2 },
  noteWormBin: { requestKey: KEY, binId: 1, kind: "fed", kg: 3, what: "peelings" },
  startMixing: {
    requestKey: KEY,
    vesselId: 1,
    methodId: "cultured-extract",
    schoolId: "equal-parts",
    basisAmount: 90,
    lines: [{ ingredientId: "water", part: "mix", amount: 90 }],
  },
  tickMixing: { requestKey: KEY, mixingId: 1, stepKey: "add-mix-water", kind: "done", amount: 88 },
  finishMixing: { requestKey: KEY, mixingId: 1, labourMin: 40 },
  dropMixing: { requestKey: KEY, mixingId: 1 },
};
const ACTIONS = listActs().map(({ actName }) => actName as ActName);

describe.each(ACTIONS)("a request to %s", (name) => {
  const schema = findAct(name)!.schema as { readonly required: readonly string[] };
  it("fits as the screen sends it", () => expect(checkRequest(name, FITTING[name])).toBeNull());
  it.each(schema.required)("is marked at %s where that is missing", (field) => {
    const rest = Object.fromEntries(Object.entries(FITTING[name]).filter(([key]) => key !== field));
    expect(checkRequest(name, rest)).toEqual({ [`/${field}`]: "Fill this in." });
  });
  it("is refused with something in it that nobody knows", () => {
    expect(checkRequest(name, { ...FITTING[name], smuggled: 1 })).toEqual({ "/smuggled": "This is not known here." });
  });
  it.each([null, "words", 7, [], undefined])("is refused as %p", (value) =>
    expect(checkRequest(name, value)).not.toBeNull(),
  );
  it("needs a key of its own form", () =>
    expect(checkRequest(name, { ...FITTING[name], requestKey: "again" })).toHaveProperty(["/requestKey"]));
});

const REFUSED: readonly (readonly [ActName, object, string, string])[] = [
  ["setUpFarm", { people: [] }, "/people", "Choose at least one."],
  ["setUpFarm", { people: [" "] }, "/people/0", "Check this field."],
  ["setUpFarm", { latitudeDeg: 89 }, "/latitudeDeg", "At most 66."],
  ["setUpFarm", { units: "barrels" }, "/units", "One of metric, us."],
  ["setUpFarm", { labourPerH: -1 }, "/labourPerH", "At least 0."],
  ["addVessel", { volumeL: 0 }, "/volumeL", "At least 100 mL."],
  ["addVessel", { volumeL: 5_000_000 }, "/volumeL", "At most 20\u202f000 L."],
  ["addVessel", { volumeL: "200" }, "/volumeL", "This must be a number."],
  ["addVessel", { volumeL: NaN }, "/volumeL", "This must be a number."],
  ["addVessel", { name: "" }, "/name", "Check this field."],
  ["addVessel", { name: "x".repeat(41) }, "/name", "At most 40 characters."],
  ["addVessel", { diameterM: 0 }, "/diameterM", "At least 0.03."],
  ["addVessel", { airW: -5 }, "/airW", "At least 0."],
  ["receiveLot", { amount: 0 }, "/amount", "At least 0.001."],
  ["receiveLot", { amount: null }, "/amount", "This must be a number."],
  ["receiveLot", { receivedOn: "20.3.2031" }, "/receivedOn", "A date such as 2031-03-02."],
  ["receiveLot", { receivedOn: "2031-02-30" }, "/receivedOn", "A date such as 2031-03-02."],
  ["receiveLot", { cost: -3 }, "/cost", "At least 0."],
  ["receiveLot", { ingredientId: "MOLASSES" }, "/ingredientId", "Check this field."],
  ["addPlot", { lengthM: 0 }, "/lengthM", "At least 0.1."],
  ["addPlot", { plants: 2.5 }, "/plants", "This must be a whole number."],
  ["addPlot", { stage: "asleep" }, "/stage", "One of bare, seedling, growing, flowering, fruiting, perennial."],
  ["addTool", { volumeL: 0 }, "/volumeL", "At least 100 mL."],
  ["addTool", { stepMl: 0 }, "/stepMl", "At least 0.001."],
  ["fillVessel", { basisAmount: 0 }, "/basisAmount", "At least 0.001."],
  ["fillVessel", { lines: [] }, "/lines", "Choose at least one."],
  ["fillVessel", { lines: [{ ingredientId: "water", part: "mix", used: -1 }] }, "/lines/0/used", "At least 0."],
  ["fillVessel", { lines: [{ ingredientId: "water", part: "lid", used: 1 }] }, "/lines/0/part", "One of mix, cap."],
  ["fillVessel", { statedC: 99 }, "/statedC", "At most 60 °C."],
  ["fillVessel", { startedAt: "yesterday" }, "/startedAt", "A date and time."],
  [
    "logEntry",
    { entry: { kind: "ph", value: 19, instrument: "meter", spot: "mid-depth" } },
    "/entry/value",
    "At most 14.",
  ],
  [
    "logEntry",
    { entry: { kind: "ph", value: 4, instrument: "tongue", spot: "mid-depth" } },
    "/entry/instrument",
    "One of meter, strip.",
  ],
  ["logEntry", { entry: { kind: "ph", value: 4, instrument: "meter" } }, "/entry/spot", "Fill this in."],
  ["logEntry", { entry: { kind: "temperature", celsius: -40 } }, "/entry/celsius", "At least -10 °C."],
  ["logEntry", { entry: { kind: "act", act: "topped-up", litres: -2 } }, "/entry/litres", "At least 1 mL."],
  ["logEntry", { entry: { kind: "note", note: "" } }, "/entry/note", "Check this field."],
  ["logEntry", { batchId: 0 }, "/batchId", "At least 1."],
  ["logEntry", { batchId: 1.5 }, "/batchId", "This must be a whole number."],
  ["closeBatch", { yieldL: -1 }, "/yieldL", "At least 0 mL."],
  ["closeBatch", { kind: "drunk" }, "/kind", "One of strained, discarded."],
  ["closeBatch", { residueKg: "some" }, "/residueKg", "This must be a number."],
  ["applyStore", { plotIds: [] }, "/plotIds", "Choose at least one."],
  ["applyStore", { mixRateL: 0 }, "/mixRateL", "At least 1 mL."],
  ["applyStore", { ratio: "" }, "/ratio", "Check this field."],
  ["applyStore", { mixRatePer: "acre" }, "/mixRatePer", "One of m2, plant, whole."],
  ["fillVessel", { versionNo: 0 }, "/versionNo", "At least 1."],
  ["fillVessel", { stated: [{ ingredient: "guano", amount: 0 }] }, "/stated/0/amount", "At least 0.001."],
  ["fillVessel", { stated: [{ ingredient: "guano", amount: "a bit" }] }, "/stated/0/amount", "This must be a number."],
  ["fillVessel", { substitutes: [{ instead: "molasses" }] }, "/substitutes/0/use", "Fill this in."],
  ["closeBatch", { yieldKg: 0 }, "/yieldKg", "At least 1 g."],
  ["saveRecipe", { basedOn: -1 }, "/basedOn", "At least 0."],
  ["chooseRecipe", { methodId: "" }, "/methodId", "Check this field."],
  ["addWaterSource", { kind: "puddle" }, "/kind", "One of rain, well, spring, river, reverse-osmosis, mains, unknown."],
  ["addWaterSource", { name: "" }, "/name", "Check this field."],
  ["readWaterLevel", { volumeL: -1 }, "/volumeL", "At least 0 mL."],
  ["readWater", { freeMgPerL: -0.1 }, "/freeMgPerL", "At least 0."],
  ["readWater", { totalMgPerL: 400 }, "/totalMgPerL", "At most 20."],
  ["startWater", { volumeL: 0 }, "/volumeL", "At least 1 mL."],
  ["startWater", { volumeL: 1e9 }, "/volumeL", "At most 20\u202f000 L."],
  ["startWater", { celsius: 99 }, "/celsius", "At most 60 °C."],
  ["startWater", { treatment: "prayer" }, "/treatment", "One of none, stand, bubble, ascorbic, carbon."],
  ["startWater", { purpose: "drinking" }, "/purpose", "One of brew, dilution."],
  ["addToBatch", { amount: -2 }, "/amount", "At least 0.001."],
  ["addToBatch", { amount: "a cup" }, "/amount", "This must be a number."],
  ["takeFromBatch", { litres: 0 }, "/litres", "At least 1 mL."],
  ["moveToShed", { litres: 1e6 }, "/litres", "At most 20\u202f000 L."],
  ["addLabResult", { nutrient: "iron" }, "/nutrient", "One of n, p2o5, k2o, ca, mg, na, sugar."],
  ["addLabResult", { gPerL: -1 }, "/gPerL", "At least 0."],
  ["weighMeasure", { amount: 0 }, "/amount", "At least 0.0001."],
  ["weighMeasure", { measure: " " }, "/measure", "Check this field."],
  [
    "receiveLot",
    { provenance: { charSource: "a guess" } },
    "/provenance/charSource",
    "One of plain wood, bamboo or straw, nutshell, bone, treated or painted wood, briquettes, unknown.",
  ],
  ["wasteLot", { reason: "  " }, "/reason", "Check this field."],
  ["wasteLot", { amount: 0 }, "/amount", "At least 0.001."],
  ["countStock", { lines: [] }, "/lines", "Choose at least one."],
  ["countStock", { lines: [{ lotId: 1, counted: -1 }] }, "/lines/0/counted", "At least 0."],
  ["countStock", { lines: [{ lotId: 1, counted: "some" }] }, "/lines/0/counted", "This must be a number."],
  ["noteLot", { onDay: "yesterday" }, "/onDay", "A date such as 2031-03-02."],
  ["addOwnIngredient", { densityKgPerL: 40 }, "/densityKgPerL", "At most 5."],
  ["addOwnIngredient", { keepsD: 0.5 }, "/keepsD", "This must be a whole number."],
  ["setSupply", { packAmount: 0 }, "/packAmount", "At least 0.001."],
  ["setSupply", { leadD: 900 }, "/leadD", "At most 365."],
  ["planBatch", { basisAmount: -3 }, "/basisAmount", "At least 0.001."],
  ["pourStore", { parts: [] }, "/parts", "Choose at least one."],
  ["emptyStore", { to: "the stream" }, "/to", "One of composted, bare-ground, wasted."],
  ["emptyStore", { reason: "" }, "/reason", "Check this field."],
  ["addEquipment", { count: 0 }, "/count", "At least 1."],
  ["recordPick", { part: "soul" }, "/part", "One of growing tips, leaves, flowers, fruit, roots, whole plant, stems."],
  ["visitForage", { takenKg: 0 }, "/takenKg", "At least 1 g."],
  ["addWormBin", { wormsKg: 0 }, "/wormsKg", "At least 1 g."],
  ["tickMixing", { kind: "skipped" }, "/kind", "One of done, undone, round."],
  ["tickMixing", { amount: -1 }, "/amount", "At least 0."],
];

describe("what does not fit is named at its field", () => {
  it.each(REFUSED)("%s with %j", (name, change, field, words) => {
    expect(checkRequest(name, { ...FITTING[name], ...change })).toEqual({ [field]: words });
  });
  it.each([
    ["a figure below nothing", { perBasis: { low: 0.01, default: -1, high: 0.01 } }, "/perBasis/default"],
    ["a figure in words", { perBasis: { low: 0.01, default: "lots", high: 0.01 } }, "/perBasis/default"],
    ["an absurd figure", { perBasis: { low: 0.01, default: 1e9, high: 1e9 } }, "/perBasis/default"],
    ["a span without its usual", { perBasis: { low: 0.01, high: 0.01 } }, "/perBasis/default"],
    ["another kind of unit", { unit: "bag" }, "/unit"],
  ])("names %s in a recipe that is kept", (_what, change, field) => {
    const document = bookDocument("cultured-extract");
    const [water, molasses, ...rest] = document.ingredients;
    const changed = {
      ...document,
      ingredients: [water, { ...molasses, amount: { ...molasses!.amount, ...change } }, ...rest],
    };
    expect(checkRequest("saveRecipe", { ...FITTING.saveRecipe, document: changed })).toHaveProperty([
      `/document/ingredients/1/amount${field}`,
    ]);
  });
  it("names every field at fault at once, so that a form is corrected in one go", () => {
    expect(
      Object.keys(checkRequest("addVessel", { requestKey: KEY, name: " ", kind: "hat", volumeL: 0 })!).toSorted(),
    ).toEqual(["/kind", "/name", "/volumeL"]);
  });
  it("knows every kind of entry that a grower logs, and no other", () => {
    const fits = (entry: object) => checkRequest("logEntry", { ...FITTING.logEntry, entry }) === null;
    expect(fits({ kind: "smell", word: "cidery" })).toBe(true);
    expect(fits({ kind: "surface", word: "full head" })).toBe(true);
    expect(fits({ kind: "film", word: "coloured mould" })).toBe(true);
    expect(fits({ kind: "solids", word: "floating" })).toBe(true);
    expect(fits({ kind: "act", act: "fed" })).toBe(true);
    expect(fits({ kind: "withdrawn" })).toBe(true);
    expect(fits({ kind: "smell", word: "full head" })).toBe(false);
    expect(fits({ kind: "weather", word: "fine" })).toBe(false);
  });
  it("takes moments with an offset, and none without", () => {
    expect(checkRequest("cleanVessel", { ...FITTING.cleanVessel, at: AT })).toBeNull();
    expect(checkRequest("cleanVessel", { ...FITTING.cleanVessel, at: "2031-03-20T10:00:00+01:00" })).toBeNull();
    expect(checkRequest("cleanVessel", { ...FITTING.cleanVessel, at: "2031-03-20" })).toHaveProperty(["/at"]);
  });
});

it("is listed once, under its own name, with who may do it", () => {
  for (const acts of Object.values(ACTS))
    for (const [name, act] of Object.entries(acts)) expect([act.actName, findAct(name)]).toEqual([name, act]);
  expect(new Set(ACTIONS).size).toBe(ACTIONS.length);
  expect(
    listActs()
      .filter(({ may }) => !ROLES.some((role) => role === may))
      .map(({ actName, may }) => [actName, may]),
  ).toEqual([
    ["postReadings", "device"],
    ["setUpFarm", "founder"],
    ["signIn", "anybody"],
    ["joinFarm", "anybody"],
    ["claimFarm", "anybody"],
    ["signOut", "session"],
    ["lockDevice", "session"],
    ["unlockDevice", "session"],
    ["beginPasskeySignIn", "anybody"],
    ["signInByPasskey", "anybody"],
  ]);
});
