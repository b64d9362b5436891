import { chanceFrom, type Chance } from "@/core/chance";
import { METHODS, findRecipe } from "@/core/book";
import { addDays } from "@/core/calendar";
import { PLACE_KINDS } from "@/core/ferment/temperature/places";
import { seasonFaults } from "../faults";
import { planSeason } from "../planSeason";
import { verifyPlan } from "../verify";
import { mondayOf, seasonOfFarm, type FarmFacts } from ".";

const TODAY = "2031-04-16";
const whole = ({ between }: Chance, low: number, high: number): number => Math.floor(between(low, high + 1));

/** A farm by chance: any methods of the book with any of their uses, odd vessels in any place, much or nothing in the shed. */
function madeFarm(chance: Chance): FarmFacts {
  const recipes = new Map(METHODS.map(({ id }) => [id, findRecipe(id)]));
  const some = METHODS.filter(() => chance.uniform() < 0.3);
  const days = 7 * whole(chance, 4, 12);
  return {
    name: "by chance",
    today: TODAY,
    days,
    terms: {
      hoursAWeek: chance.between(0, 30),
      canL: chance.between(2, 25),
      cans: whole(chance, 0, 20),
      weeks: days / 7,
      closedWeekdays: [6, 2].slice(0, whole(chance, 0, 2)),
      hands: [],
      forbidden: [],
    },
    labourPerH: chance.between(0, 30),
    latitudeDeg: chance.between(-60, 60),
    dailyC: Array.from({ length: days + 60 }, (_, day) => chance.between(-4, 3) + 14 + 8 * Math.sin(day / 60)),
    vessels: Array.from({ length: whole(chance, 0, 6) }, (_, index) => ({
      id: index + 1,
      volumeL: chance.between(0.7, 1100),
      heldManure: chance.uniform() < 0.2,
      hasAir: chance.uniform() < 0.5,
      place: {
        kind: chance.pick(
          PLACE_KINDS,
          PLACE_KINDS.map(() => 1),
        ),
      },
      freeFrom: chance.uniform() < 0.2 ? addDays(TODAY, whole(chance, 0, 9)) : null,
    })),
    recipes,
    running: [],
    stores: some.flatMap(({ id }, index) =>
      chance.uniform() < 0.4
        ? [
            {
              id: index + 1,
              methodId: id,
              onHandL: chance.between(0.2, 180),
              fromOn: addDays(TODAY, -20),
              expiresOn: addDays(TODAY, whole(chance, -3, 90)),
            },
          ]
        : [],
    ),
    gathered: [],
    shelf: some.flatMap(({ schools }) =>
      schools[0]!.ingredients.map(({ ingredient }) => ({
        ingredientId: ingredient,
        unit: "kg" as const,
        lots: [
          {
            id: 1,
            onHand: chance.between(0, 40),
            expiresOn: chance.uniform() < 0.5 ? null : addDays(TODAY, whole(chance, -2, 60)),
          },
        ],
        unitCost: chance.between(0, 5),
        supply:
          chance.uniform() < 0.5 ? { amount: chance.between(0.5, 30), cost: null, leadD: whole(chance, 0, 9) } : null,
      })),
    ),
    plots: Array.from({ length: whole(chance, 0, 9) }, (_, plot) => ({
      id: plot + 1,
      name: `Bed ${plot + 1}`,
      crop: "chard",
      areaM2: chance.between(0.4, 300),
      dues: some.flatMap(({ id, schools }, step) => {
        const use = schools[0]!.uses[whole(chance, 0, Math.max(0, schools[0]!.uses.length - 1))]?.use;
        if (!use) return [];
        const everyD = whole(chance, 3, 30);
        return Array.from({ length: Math.floor(days / everyD) }, (_, nth) => {
          const day = addDays(TODAY, nth * everyD);
          return {
            programmeId: 1,
            step,
            methodId: id,
            use,
            everyD,
            day,
            latestOn: addDays(day, whole(chance, 0, 4)),
            partsWater: null,
            mixLPerM2: null,
          };
        });
      }),
    })),
  };
}

describe("a farm as a season", () => {
  test("begins on the Monday of this week", () => {
    expect(["2031-04-14", "2031-04-16", "2031-04-20"].map(mondayOf)).toEqual([
      "2031-04-14",
      "2031-04-14",
      "2031-04-14",
    ]);
  });

  test.each(Array.from({ length: 16 }, (_, seed) => seed + 1))(
    "any farm makes a season that can be planned (%i)",
    (seed) => {
      const { season, basisPerL } = seasonOfFarm(madeFarm(chanceFrom(seed)));
      expect(seasonFaults(season)).toEqual([]);
      const plan = planSeason(season, { iterations: 5, seed }, () => 0);
      expect(verifyPlan(season, plan).broken).toEqual([]);
      for (const { input, fillL } of plan.batches) expect(basisPerL[input]! * fillL).toBeGreaterThan(0);
    },
  );

  test("what is colder takes longer, and too cold is none", () => {
    const farm = madeFarm(chanceFrom(4));
    const vessel = {
      id: 1,
      volumeL: 200,
      heldManure: false,
      hasAir: true,
      place: { kind: "shade" as const },
      freeFrom: null,
    };
    const due = {
      programmeId: 1,
      step: 0,
      methodId: "lactic-serum",
      use: "drench-growing" as const,
      everyD: 14,
      day: TODAY,
      latestOn: addDays(TODAY, 3),
      partsWater: null,
      mixLPerM2: null,
    };
    const at = (celsius: number) => {
      const { season } = seasonOfFarm({
        ...farm,
        vessels: [vessel],
        dailyC: farm.dailyC.map(() => celsius),
        plots: [{ id: 1, name: "Bed", crop: "chard", areaM2: 20, dues: [due] }],
      });
      return season.durations.find(({ input }) => input === "lactic-serum")!.daysByStart[0]!;
    };
    expect(at(26)).toBeLessThan(at(20)!);
    expect(at(20)).toBeLessThan(at(15)!);
    expect(at(4)).toBeNull();
  });
});
