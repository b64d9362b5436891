import { existsSync, readFileSync } from "node:fs";
import path from "node:path";
import type { Season } from "@/core/plan/season";

// The worked seasons lie beside the checkout; the copies under tests/vectors are what a lone clone runs.
const SHARED = path.resolve(__dirname, "../../../../shared/vectors/season");
const FOLDER = existsSync(SHARED) ? SHARED : path.resolve(__dirname, "../../../tests/vectors/season");

export const seasonFile = <T>(name: string): T =>
  JSON.parse(readFileSync(path.join(FOLDER, `${name}.json`), "utf8")) as T;
/** A worked season by the name of its file. */
export function seasonNamed(name: string): Season {
  const told = seasonFile<Season | { readonly season: Season }>(name);
  return "season" in told ? told.season : told;
}
