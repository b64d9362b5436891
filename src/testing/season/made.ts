import type { Chance } from "@/core/chance";
import { expandNeeds } from "@/core/plan/expand";
import { WEIGHTS, type Programme, type Season, type SeasonInput, type SeasonVessel } from "@/core/plan/season";

const whole = ({ between }: Chance, low: number, high: number): number => Math.floor(between(low, high + 1));

function madeInput(chance: Chance, index: number, ingredients: readonly string[]): SeasonInput {
  const living = chance.uniform() < 0.35;
  return {
    id: `input-${index}`,
    name: `Input ${index}`,
    method: "leaf-soak",
    school: "standard",
    vesselUse: chance.uniform() < 0.2 ? "manure" : "food-safe",
    aerated: chance.uniform() < 0.3,
    fillShare: { low: chance.between(0.1, 0.5), high: chance.between(0.6, 0.95) },
    yieldLPerL: chance.between(0.5, 1),
    keeping: living
      ? { living: true, useD: whole(chance, 0, 2) }
      : { living: false, shelfD: whole(chance, 5, 120), holdD: whole(chance, 0, 21) },
    work: { fillMin: whole(chance, 5, 60), dayMin: whole(chance, 0, 8), closeMin: whole(chance, 5, 40) },
    ingredients: ingredients
      .filter(() => chance.uniform() < 0.6)
      .map((ingredient) => ({ ingredient, perL: chance.between(0.005, 0.3) })),
    feeds:
      index > 0 && chance.uniform() < 0.25
        ? [{ input: `input-${whole(chance, 0, index - 1)}`, perL: chance.between(0.002, 0.05) }]
        : [],
    wasteCostPerL: chance.between(0.01, 0.5),
    weakCostPerL: chance.between(0.1, 3),
  };
}
function madeVessel(chance: Chance, index: number, days: number): SeasonVessel {
  return {
    id: `vessel-${index}`,
    volumeL: chance.pick([5, 20, 60, 120, 200, 1000], [1, 2, 3, 3, 3, 1]),
    holds: chance.pick<SeasonVessel["holds"]>([["food-safe"], ["food-safe", "manure"], ["manure"]], [3, 2, 1]),
    air: chance.pick(["none", "line", "own"] as const, [3, 2, 1]),
    cleanD: whole(chance, 0, 2),
    fromDay: chance.uniform() < 0.2 ? whole(chance, 0, days) : 0,
    toDay: chance.uniform() < 0.2 ? whole(chance, 0, days) : days + 200,
  };
}
function madeProgramme(chance: Chance, index: number, inputs: number): Programme {
  const strong = chance.between(4, 200);
  return {
    id: `programme-${index}`,
    input: `input-${whole(chance, 0, inputs - 1)}`,
    use: chance.pick(["drench-growing", "foliar", "drench-bare"], [2, 2, 1]),
    crops: ["chard", "bean"].filter(() => chance.uniform() < 0.8),
    mixRate: { amountL: chance.between(0.05, 2), per: chance.pick(["m2", "plant", "time"] as const, [4, 1, 1]) },
    partsWater: { default: strong, weakest: strong * chance.between(1, 2.5) },
    timing:
      chance.uniform() < 0.5
        ? {
            kind: "every",
            from: whole(chance, 0, 10),
            until: "harvest",
            everyD: whole(chance, 5, 20),
            tolD: whole(chance, 0, 3),
          }
        : { kind: "once", atD: whole(chance, 0, 30), tolD: whole(chance, 0, 5) },
    minGapD: whole(chance, 0, 6),
    beforeHarvestD: chance.uniform() < 0.5 ? 0 : whole(chance, 1, 14),
    priority: chance.pick([1, 2, 3] as const, [1, 1, 1]),
    work: { fixedMin: whole(chance, 0, 12), per100Min: whole(chance, 0, 6) },
  };
}

function madeGround(chance: Chance, days: number, inputs: readonly SeasonInput[]) {
  return {
    days,
    inputs,
    vessels: Array.from({ length: whole(chance, 1, 5) }, (_, index) => madeVessel(chance, index, days)),
    plantings: Array.from({ length: whole(chance, 1, 6) }, (_, index) => {
      const plantDay = whole(chance, -20, days - 10);
      return {
        id: `planting-${index}`,
        plot: `plot-${whole(chance, 0, 3)}`,
        crop: chance.pick(["chard", "bean"], [1, 1]),
        areaM2: chance.between(2, 120),
        plants: whole(chance, 0, 200),
        plantDay,
        harvest: chance.uniform() < 0.7 ? { fromDay: plantDay + 35, toDay: plantDay + 50 } : null,
        stages: [{ stage: "growing", fromDay: plantDay + 7 }],
      };
    }),
    programmes: Array.from({ length: whole(chance, 1, 5) }, (_, index) => madeProgramme(chance, index, inputs.length)),
  };
}
function madeIngredient(chance: Chance, id: string, days: number): Season["ingredients"][number] {
  const has = (share: number): boolean => chance.uniform() < share;
  return {
    id,
    unit: "kg",
    lots: has(0.5)
      ? [
          {
            id: `${id}-lot`,
            amount: chance.between(0, 20),
            fromDay: whole(chance, 0, 5),
            expiresDay: whole(chance, 5, days),
          },
        ]
      : [],
    forage: has(0.5)
      ? [
          {
            fromDay: whole(chance, 0, 10),
            toDay: days,
            perWeek: chance.between(0.5, 30),
            minPerUnit: chance.between(0, 10),
            costPerUnit: chance.between(0, 1),
            keepsD: whole(chance, 0, 7),
          },
        ]
      : [],
    pack: has(0.6)
      ? {
          amount: chance.between(1, 25),
          cost: chance.between(1, 20),
          leadD: whole(chance, 0, 6),
          keepsD: whole(chance, 0, 60),
        }
      : null,
  };
}
function madeDurations(
  chance: Chance,
  days: number,
  inputs: readonly SeasonInput[],
  vessel: string,
): Season["durations"] {
  return inputs.flatMap(({ id }) => {
    const base = whole(chance, 3, 16);
    const row = (more: number) =>
      Array.from({ length: days }, (_, day) =>
        chance.uniform() < 0.04 ? null : base + more + Math.round(2 * Math.sin(day / 9)),
      );
    const ofVessel = chance.uniform() < 0.4 ? [{ input: id, vessels: [vessel], daysByStart: row(1) }] : [];
    return [{ input: id, daysByStart: row(0) }, ...ofVessel];
  });
}

/** A small season by chance: short of this or that, with stores, a batch that runs, vessels that come and go. */
export function madeSeason(chance: Chance, days = whole(chance, 14, 70)): Season {
  const names = ["straw", "milk", "nettle"];
  const inputs = Array.from({ length: whole(chance, 1, 4) }, (_, index) => madeInput(chance, index, names));
  const ground = madeGround(chance, days, inputs);
  const nowDay = chance.uniform() < 0.5 ? 0 : whole(chance, 0, 10);
  const minutes = 60 + 800 * chance.uniform();
  const [input, vessel] = [inputs[0]!, ground.vessels[0]!];
  const isRunning = chance.uniform() < 0.4 && vessel.fromDay === 0 && vessel.toDay > days;
  const hasStore = !input.keeping.living && chance.uniform() < 0.4;
  return {
    format: "ruchka-season",
    formatVersion: 1,
    name: "made",
    firstDay: "2031-03-03",
    nowDay,
    ...ground,
    labour: {
      // What runs already is tended whatever the weeks have.
      weekMin: Array.from(
        { length: Math.ceil(days / 7) },
        () => Math.round(minutes * chance.uniform()) + (isRunning ? 160 : 0),
      ),
      costPerHour: 12,
    },
    airLines: whole(chance, 0, 2),
    cans: { volumeL: 20, count: whole(chance, 0, 8) },
    durations: madeDurations(chance, days, inputs, vessel.id),
    ingredients: names.map((id) => madeIngredient(chance, id, days)),
    separations:
      inputs.length > 1 && chance.uniform() < 0.5
        ? [{ a: { input: "input-0" }, b: { input: "input-1" }, apartD: whole(chance, 1, 4) }]
        : [],
    needs: expandNeeds(ground).needs,
    stores: hasStore
      ? [
          {
            id: "store-1",
            input: input.id,
            onHandL: chance.between(1, 60),
            fromDay: whole(chance, -20, 4),
            expiresDay: whole(chance, 5, 40),
          },
        ]
      : [],
    running: isRunning
      ? [
          {
            id: "running-1",
            input: input.id,
            vessel: vessel.id,
            startDay: nowDay - whole(chance, 1, 9),
            readyDay: nowDay + whole(chance, -4, 6),
            fillL: vessel.volumeL * 0.5,
          },
        ]
      : [],
    applied: [],
    previous: null,
    weights: WEIGHTS,
  };
}
