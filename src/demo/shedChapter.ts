import { listLotsOf } from "@/data/shed";
import type { Context } from "@/services/context";
import { addEquipment, noteEquipment } from "@/services/equipment";
import { addForagePlace, addWormBin, noteWormBin, recordPick, visitForage } from "@/services/gather";
import { weighMeasure } from "@/services/farm";
import { takeBack } from "@/services/takenBack";
import { noteLot, wasteLot, planBatch, receiveLot, addOwnIngredient, setSupply } from "@/services/shed";

const DAY_H = 24;

/** What a chapter needs of whoever tells the story. */
export interface Telling {
  readonly keyOf: (act: string) => string;
  readonly context: (hoursAgo: number, person?: number) => Context;
  readonly moment: (hoursAgo: number) => string;
  readonly day: (hoursAgo: number) => string;
}

/** [kind, name, count, size, outlets, note] */
const TOOLS = [
  ["pump", "Grey pump", 1, 60, 4, "hangs above the water line"],
  ["stone", "Long stones", 4, null, null, "weighted with a clean brick"],
  ["tubing", "Hose on the reel", 1, 12, null, ""],
  ["ph-meter", "The meter", 1, null, null, "in its case, wet"],
  ["thermometer", "Glass thermometer", 2, null, null, ""],
  ["bag", "Fine mesh bags", 3, 20, null, "the blue one for dung only"],
  ["sieve", "Drum sieve", 1, 400, null, ""],
  ["cloth", "Muslin", 6, null, null, ""],
  ["airlock", "Airlocks", 3, null, null, ""],
  ["heater", "Old heater", 1, 100, null, ""],
] as const;

/** [measure, ingredient, kg or L each time it was weighed] */
const WEIGHINGS: readonly (readonly [string, string, readonly number[]])[] = [
  ["scoop", "castings", [0.62, 0.68, 0.64]],
  ["scoop", "brown-sugar", [0.83, 0.86]],
  ["handful", "leaf-mould", [0.08, 0.11, 0.09]],
  ["cap", "molasses", [0.021, 0.024, 0.02]],
  ["jerry can", "water", [19.6]],
  ["tin", "rock-dust", [0.52, 0.49]],
];

/** [item, pack, holds, price, days, order again at, collect up to] */
const TERMS = [
  ["molasses", "jug", 5, 15.5, 4, 6, null],
  ["brown-sugar", "bag", 5, 9.5, 0, 4, null],
  ["castings", "bag", 20, 28, 6, 10, null],
  ["kelp-meal", "sack", 5, 34, 9, 3, null],
  ["vinegar", "jug", 5, 6.5, 2, null, null],
  ["fish-hydrolysate", "jug", 5, 41, 12, 0.5, null],
  ["eggshell", "pail", 2, null, 0, null, 6],
  ["shell-raw", "pail", 2, null, 0, null, 8],
  ["rice-wash", "jar", 1, null, 0, null, 10],
] as const;

async function tools(tell: Telling): Promise<void> {
  for (const [kind, name, count, size, outlets, note] of TOOLS) {
    const { equipmentId } = await addEquipment(tell.context(250 * DAY_H), {
      requestKey: tell.keyOf(`equipment ${name}`),
      kind,
      name,
      count,
      size,
      outlets,
      note,
    });
    if (kind === "ph-meter")
      await noteEquipment(tell.context(41 * DAY_H), {
        requestKey: tell.keyOf("calibrate"),
        equipmentId,
        kind: "calibrated",
        at: tell.moment(41 * DAY_H),
      });
    if (kind === "heater")
      await noteEquipment(tell.context(30 * DAY_H, 1), {
        requestKey: tell.keyOf("heater breaks"),
        equipmentId,
        kind: "broken",
        note: "the cable",
        at: tell.moment(30 * DAY_H),
      });
  }
}

async function measuresAndTerms(tell: Telling): Promise<void> {
  for (const [measure, ingredientId, amounts] of WEIGHINGS)
    for (const [index, amount] of amounts.entries())
      await weighMeasure(tell.context(200 * DAY_H, 1), {
        requestKey: tell.keyOf(`weigh ${measure} ${ingredientId} ${index}`),
        measure,
        ingredientId,
        amount,
      });
  for (const [itemId, packName, packAmount, packCost, leadD, reorderAt, target] of TERMS)
    await setSupply(tell.context(190 * DAY_H), {
      requestKey: tell.keyOf(`terms ${itemId}`),
      itemId,
      packName,
      packAmount,
      packCost,
      leadD,
      reorderAt,
      target,
    });
}

/** Takes a lot into the shed, so many days ago. */
const takeIn =
  (tell: Telling) =>
  (act: string, daysAgo: number, lot: object, person = 0) =>
    receiveLot(tell.context(daysAgo * DAY_H - 2, person), {
      requestKey: tell.keyOf(act),
      origin: "home-made",
      receivedOn: tell.day(daysAgo * DAY_H),
      cost: 0,
      ...lot,
    });

async function homeMadeLots(tell: Telling): Promise<void> {
  const { ownId } = await addOwnIngredient(tell.context(120 * DAY_H, 2), {
    requestKey: tell.keyOf("own duckweed"),
    name: "Weir duckweed",
    countsAs: "greens",
    densityKgPerL: 0.45,
    keepsD: 2,
    season: ["spring", "summer"],
    caution: "Rinse it: the weir takes in road water after storms.",
    keeping: "in a wet sack, in shade",
  });
  const book = takeIn(tell);
  await book(
    "own duckweed lot",
    1,
    { ingredientId: "greens", ownId, amount: 3.5, origin: "foraged", place: "shady side" },
    2,
  );
  await book("dung", 34, {
    ingredientId: "dung-aged",
    amount: 60,
    origin: "given",
    place: "bay by the gate",
    note: "from over the hill",
    provenance: { dung: { animal: "horse", age: "aged", heapedOn: null }, herbicideSuspected: true },
  });
  await book(
    "urine",
    12,
    {
      ingredientId: "urine",
      amount: 18,
      place: "locked shed",
      provenance: {
        urine: {
          donor: "several people",
          collectedFrom: tell.day(40 * DAY_H),
          collectedUntil: tell.day(13 * DAY_H),
          medicine: false,
        },
      },
    },
    1,
  );
  for (const [daysAgo, amount] of [
    [50, 0.5],
    [38, 0.4],
    [21, 0.6],
    [6, 0.5],
  ] as const)
    await book(`shells ${daysAgo}`, daysAgo, { ingredientId: "shell-raw", amount, place: "kitchen door" }, 2);
}

async function lotsThatTurned(tell: Telling): Promise<void> {
  const book = takeIn(tell);
  const yogurt = await book("culture", 26, {
    ingredientId: "bought-culture",
    amount: 0.5,
    origin: "bought",
    cost: 8,
    expiresOn: tell.day(3 * DAY_H),
    place: "cold room",
  });
  await noteLot(tell.context(20 * DAY_H), {
    requestKey: tell.keyOf("open culture"),
    lotId: yogurt.lotId,
    kind: "opened",
    onDay: tell.day(20 * DAY_H),
  });
  const [serum] = await listLotsOf(tell.context(6).pool, "lactic-culture");
  if (serum)
    await noteLot(tell.context(6 * DAY_H, 2), {
      requestKey: tell.keyOf("serum keeps"),
      lotId: serum.id,
      kind: "expiry",
      word: tell.day(-80 * DAY_H),
      onDay: tell.day(6 * DAY_H),
    });
  const bran = await book("old bran", 140, {
    ingredientId: "bran",
    amount: 6,
    origin: "bought",
    cost: 5,
    place: "feed bin",
  });
  await wasteLot(tell.context(15 * DAY_H, 1), {
    requestKey: tell.keyOf("mice"),
    lotId: bran.lotId,
    amount: 2.5,
    reason: "mice",
    at: tell.moment(15 * DAY_H),
  });
}

async function gathering(tell: Telling): Promise<void> {
  const oaks = await addForagePlace(tell.context(230 * DAY_H, 2), {
    requestKey: tell.keyOf("place oaks"),
    name: "Under the old beeches",
    kind: "leaf-mould",
    ground: "north slope, damp, a hand deep, white threads",
    permission: "the Quillet commoners",
    restD: 240,
  });
  const ditch = await addForagePlace(tell.context(200 * DAY_H, 2), {
    requestKey: tell.keyOf("place ditch"),
    name: "Alder ditch",
    kind: "leaf-mould",
    ground: "wet, thin, fine crumb",
    permission: "ours",
    restD: 120,
  });
  await visitForage(tell.context(120 * DAY_H, 2), {
    requestKey: tell.keyOf("visit oaks"),
    placeId: oaks.placeId,
    vigour: "strong",
    onDay: tell.day(120 * DAY_H),
    takenKg: 4,
    note: "a tenth, litter put back",
  });
  await visitForage(tell.context(9 * DAY_H, 1), {
    requestKey: tell.keyOf("visit ditch"),
    placeId: ditch.placeId,
    vigour: "weak",
    onDay: tell.day(9 * DAY_H),
    note: "dry at the edges",
  });
  await recordPick(tell.context(8, 2), {
    requestKey: tell.keyOf("pick nettle"),
    species: "nettle",
    part: "growing tips",
    ingredientId: "greens",
    amount: 5.2,
    place: "hedge above the weir",
    crops: ["lettuce"],
    pickedOn: tell.day(8),
    overrideReason: "gloves on; chopped wet",
  });
  const bin = await addWormBin(tell.context(150 * DAY_H, 2), {
    requestKey: tell.keyOf("worm bin"),
    name: "Long box",
    wormsKg: 2.2,
  });
  for (const [daysAgo, kg, what] of [
    [44, 7, "peelings, coffee"],
    [37, 6, "bean haulm, cardboard"],
    [29, 7, "peelings"],
    [20, 7, "melon rind"],
    [12, 8, "peelings, old bran"],
    [4, 5, "lettuce trimmings"],
  ] as const)
    await noteWormBin(tell.context(daysAgo * DAY_H, 2), {
      requestKey: tell.keyOf(`feed ${daysAgo}`),
      binId: bin.binId,
      kind: "fed",
      kg,
      what,
      at: tell.moment(daysAgo * DAY_H),
    });
  // The scale's display was read twice: the second feed never was.
  const twice = await noteWormBin(tell.context(4 * DAY_H - 0.1, 2), {
    requestKey: tell.keyOf("fed twice"),
    binId: bin.binId,
    kind: "fed",
    kg: 5,
    what: "lettuce trimmings",
  });
  await takeBack(tell.context(4 * DAY_H - 0.2, 2), {
    requestKey: tell.keyOf("not fed twice"),
    rows: [{ kind: "bin-entry", id: twice.entryId }],
  });
}

/** The shed's own chapter: tools on the wall, measures weighed, lots with their papers, places that rest, a worm bin, and what is planned. */
export async function tellShedChapter(tell: Telling, vesselId: (name: string) => number): Promise<void> {
  await tools(tell);
  await measuresAndTerms(tell);
  await homeMadeLots(tell);
  await lotsThatTurned(tell);
  await gathering(tell);
  for (const [act, inDays, vessel, methodId, schoolId, basisAmount] of [
    ["plan tea", 6, "Tote", "aerated-tea", "bacterial", 700],
    ["plan juice", 3, "Jar", "plant-juice", "equal-weight", 1],
    ["plan serum", 12, "Crock", "lactic-serum", "salted-rice", 7],
    ["plan calcium", 9, "Pail one", "shell-calcium", "four-to-one", 10.8],
  ] as const)
    await planBatch(tell.context(2, 0), {
      requestKey: tell.keyOf(act),
      methodId,
      schoolId,
      vesselId: vesselId(vessel),
      basisAmount,
      forDay: tell.day(-inDays * DAY_H),
    });
}
