import "server-only";
import { readSeason } from "../season";
import { NOTHING, view } from "../view";

export const SEASON_VIEWS = {
  season: view({ name: "season", schema: NOTHING, may: "viewer" }, ({ ctx, farm }) => readSeason(ctx, farm)),
} as const;
