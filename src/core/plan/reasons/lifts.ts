import type { Reason, Season, SeasonVessel } from "../season";

export const LIFTED = ["cold", "ingredient", "vessel", "air", "cans", "labour", "spacing", "shelf"] as const;
export type Lift = (typeof LIFTED)[number] & Reason;
/** Pairs that are tried where no limit alone would do. */
export const PAIRS: readonly (readonly [Lift, Lift])[] = [
  ["vessel", "labour"],
  ["ingredient", "labour"],
  ["cold", "ingredient"],
  ["cans", "labour"],
  ["spacing", "labour"],
  ["cold", "labour"],
  ["vessel", "ingredient"],
  ["vessel", "spacing"],
];
/** More than any season holds. */
const PLENTY = 1e6;

function shortest(season: Season): Season {
  return {
    ...season,
    durations: season.durations.map((row) => {
      const least = Math.min(...row.daysByStart.filter((takes): takes is number => takes !== null), Infinity);
      const days = Number.isFinite(least) ? least : 1;
      return { ...row, daysByStart: Array.from({ length: season.days }, () => days) };
    }),
  };
}
function moreVessels(season: Season): Season {
  const sizes = [...new Set([...season.vessels.map(({ volumeL }) => volumeL), 60, 120, 200])];
  const added: SeasonVessel[] = sizes.map((volumeL) => ({
    id: `lifted-${volumeL}`,
    volumeL,
    holds: ["food-safe", "manure"],
    air: "line",
    cleanD: 0,
    fromDay: 0,
    toDay: PLENTY,
  }));
  return {
    ...season,
    vessels: [...season.vessels, ...added],
    inputs: season.inputs.map(({ vessels, ...input }) =>
      vessels ? { ...input, vessels: [...vessels, ...added.map(({ id }) => id)] } : input,
    ),
    // An input whose rows all name vessels takes as long in a new one as in its quickest.
    durations: [
      ...season.durations,
      ...season.inputs.flatMap(({ id }) => {
        const rows = season.durations.filter(({ input }) => input === id);
        if (rows.length === 0 || rows.some(({ vessels }) => !vessels)) return [];
        const daysByStart = Array.from({ length: season.days }, (_, day) => {
          const takes = rows.flatMap((row) => row.daysByStart[day] ?? []);
          return takes.length > 0 ? Math.min(...takes) : null;
        });
        return [{ input: id, daysByStart }];
      }),
    ],
  };
}

/** The season with one limit taken away; all else as it is. */
export function lifted(season: Season, lift: Lift): Season {
  switch (lift) {
    case "cold":
      return shortest(season);
    case "ingredient":
      return {
        ...season,
        ingredients: season.ingredients.map((one) => ({
          ...one,
          pack: { amount: PLENTY, cost: 0, leadD: 0, keepsD: 0 },
        })),
      };
    case "vessel":
      return moreVessels(season);
    case "air":
      return { ...season, airLines: PLENTY };
    case "cans":
      return { ...season, cans: { ...season.cans, count: 30_000 } };
    case "labour":
      return { ...season, labour: { ...season.labour, weekMin: season.labour.weekMin.map(() => 1e9) } };
    case "spacing":
      return {
        ...season,
        separations: [],
        applied: [],
        programmes: season.programmes.map((one) => ({ ...one, minGapD: 0 })),
      };
    case "shelf":
      return {
        ...season,
        inputs: season.inputs.map((input) => ({
          ...input,
          keeping: input.keeping.living
            ? { ...input.keeping, useD: input.keeping.useD + 5 }
            : { ...input.keeping, shelfD: PLENTY },
        })),
        stores: season.stores.map((store) => ({ ...store, expiresDay: PLENTY })),
      };
  }
}
