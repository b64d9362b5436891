import "server-only";
import { readSeason, readYears } from "../season";
import { NOTHING, view } from "../view";

export const SEASON_VIEWS = {
  season: view({ name: "season", schema: NOTHING, may: "viewer" }, ({ ctx, farm }) => readSeason(ctx, farm)),
  seasonYears: view({ name: "seasonYears", schema: NOTHING, may: "viewer" }, ({ ctx, farm }) => readYears(ctx, farm)),
} as const;
