import "server-only";
import type { Farm } from "@/data/farm";
import { listZonePlaces, type ZonePlace } from "./zones";

/** All that is told of the farm as a whole. */
export type FarmSettings = Farm;

export interface SettingsView {
  readonly settings: FarmSettings;
  /** Time zones with where they lie, for the lists. */
  readonly zones: readonly ZonePlace[];
}

export const readSettings = async (farm: Farm): Promise<SettingsView> => ({
  settings: farm,
  zones: await listZonePlaces(),
});
