import "server-only";
import { inSeason, INGREDIENT_FACTS, seasonOf, type Season } from "@/core/book/ingredientFacts";
import { INGREDIENT_IDS, INGREDIENTS, type IngredientId } from "@/core/book/ingredients";
import { PLANTS, PLANT_SLOTS, type Plant } from "@/core/book/plants";
import { binState, roomToFeedKg, type BinState } from "@/core/gather/wormBin";
import { restsUntil } from "@/core/gather/resting";
import type { Farm } from "@/data/farm";
import { listForagePlaces, type ForagePlace, listWormBins, type WormBinEntry } from "@/data/gather";
import { listPlots } from "@/data/field";
import { isoDay } from "@/formats/times";
import { sunDays } from "@/sim/sun";
import type { Context } from "../context";
import { farmView, type FarmView } from "../farm";
import { readShopping, type ShoppingLine } from "../shed";

export interface PickGroup {
  /** What such plants are picked for. */
  readonly good: string;
  readonly kind: Plant["kind"];
  readonly plants: readonly Plant[];
}

export interface GatherView {
  readonly farm: FarmView;
  readonly nowMs: number;
  readonly today: string;
  readonly season: Season;
  /** Next sunrise; null where the sun does not rise. */
  readonly sunriseMs: number | null;
  readonly groups: readonly PickGroup[];
  readonly refused: readonly Plant[];
  /** What else is there to be gathered at this season. */
  readonly inSeason: readonly string[];
  /** What planned batches want gathered. */
  readonly wanted: readonly ShoppingLine[];
  readonly crops: readonly string[];
  readonly places: readonly (ForagePlace & { readonly restsUntil: string | null })[];
  readonly bins: readonly {
    readonly id: number;
    readonly name: string;
    readonly state: BinState;
    readonly roomKg: number;
    readonly entries: readonly WormBinEntry[];
  }[];
}

const DAY_MS = 86_400_000;
const GOALS: readonly Plant["kind"][] = ["leafy", "legume", "flower", "fruit", "root", "water-weed", "grass"];
/** Flowers and fruit are picked in the warm half of the year; leaf and legume as long as things grow. */
const KIND_SEASONS: Readonly<Record<Plant["kind"], readonly Season[]>> = {
  "leafy": ["spring", "summer", "autumn"],
  "legume": ["spring", "summer", "autumn"],
  "flower": ["spring", "summer"],
  "fruit": ["summer", "autumn"],
  "root": ["autumn", "winter"],
  "water-weed": ["spring", "summer", "autumn", "winter"],
  "grass": ["spring", "summer", "autumn"],
};

/** All for going out with a basket: what is there now, what for, what never; the places and the worm bins. */
export async function readGather(ctx: Context, farm: Farm): Promise<GatherView> {
  const db = ctx.pool;
  const now = ctx.now();
  const nowMs = now.getTime();
  const today = isoDay(now, farm);
  const season = seasonOf(today, farm.latitudeDeg);
  const [places, bins, plots, shopping] = await Promise.all([
    listForagePlaces(db),
    listWormBins(db),
    listPlots(db, today),
    readShopping(ctx, farm),
  ]);
  const rises = sunDays(farm.latitudeDeg, farm.longitudeDeg, now, new Date(nowMs + 2 * DAY_MS)).map(({ rise }) =>
    rise.getTime(),
  );
  return {
    farm: farmView(farm),
    nowMs,
    today,
    season,
    sunriseMs: rises.filter((rise) => rise > nowMs).toSorted((a, b) => a - b)[0] ?? null,
    groups: GOALS.filter((kind) => KIND_SEASONS[kind].includes(season)).map((kind) => ({
      kind,
      good: PLANT_SLOTS[kind].good,
      plants: PLANTS.filter((plant) => plant.kind === kind && plant.refused === null),
    })),
    refused: PLANTS.filter(({ refused }) => refused !== null),
    inSeason: INGREDIENT_IDS.filter(
      (id: IngredientId) =>
        INGREDIENT_FACTS[id].season.length > 0 && INGREDIENT_FACTS[id].season.length < 4 && inSeason(id, season),
    ).map((id) => INGREDIENTS[id].name),
    wanted: shopping.lines.filter(({ how }) => how === "gather"),
    crops: [...new Set(plots.map(({ crop }) => crop).filter(Boolean))],
    places: places.map((place) => ({
      ...place,
      restsUntil: restsUntil(
        { restD: place.restD, takenOn: place.visits.filter(({ lotId }) => lotId !== null).map(({ onDay }) => onDay) },
        today,
      ),
    })),
    bins: bins.map(({ id, name, wormsKg, entries }) => {
      const state = binState(wormsKg, entries, nowMs);
      return { id, name, state, roomKg: roomToFeedKg(state), entries: entries.toReversed().slice(0, 12) };
    }),
  };
}
