import { DomainError } from "../errors";
import { aeratedTea } from "./methods/aeratedTea";
import { branStarter } from "./methods/branStarter";
import { charGreenLiquid } from "./methods/charGreenLiquid";
import { chargedChar } from "./methods/chargedChar";
import { culturedExtract } from "./methods/culturedExtract";
import { drumManureTea } from "./methods/drumManureTea";
import { dungFlourFerment } from "./methods/dungFlourFerment";
import { feedingTea } from "./methods/feedingTea";
import { lacticSerum } from "./methods/lacticSerum";
import { leachateBloom } from "./methods/leachateBloom";
import { leafMouldBrew } from "./methods/leafMouldBrew";
import { leafSoak } from "./methods/leafSoak";
import { legumeLeafFerment } from "./methods/legumeLeafFerment";
import { milkSpray } from "./methods/milkSpray";
import { plantJuice } from "./methods/plantJuice";
import { shellCalcium } from "./methods/shellCalcium";
import { boiledPotato } from "./preparations/boiledPotato";
import { crushedChar } from "./preparations/crushedChar";
import { keptLeafMould } from "./preparations/keptLeafMould";
import { riceWash } from "./preparations/riceWash";
import { roastedShell } from "./preparations/roastedShell";
import { wormCastings } from "./preparations/wormCastings";
import { recipeOf, type Recipe } from "./recipe";
import type { Method, School } from "./types";

/** What goes on the land, in the order a chooser shows it. */
const INPUTS: readonly Method[] = [
  culturedExtract,
  aeratedTea,
  plantJuice,
  leafMouldBrew,
  lacticSerum,
  leachateBloom,
  feedingTea,
  legumeLeafFerment,
  shellCalcium,
  leafSoak,
  charGreenLiquid,
  dungFlourFerment,
  drumManureTea,
  chargedChar,
  branStarter,
  milkSpray,
];
/** Ingredients that are themselves made. */
const PREPARATIONS: readonly Method[] = [
  wormCastings,
  keptLeafMould,
  riceWash,
  boiledPotato,
  roastedShell,
  crushedChar,
];

/** Every method of the book: inputs first, then the ingredients that are themselves made. */
export const METHODS: readonly Method[] = [...INPUTS, ...PREPARATIONS];

/** @throws {DomainError} `unknown-method` */
export function findMethod(id: string, path = "/method"): Method {
  const method = METHODS.find((candidate) => candidate.id === id);
  if (!method) throw new DomainError("unknown-method", { id }, path);
  return method;
}

/**
 * The school of a method; the cautious one if none is named.
 * @throws {DomainError} `unknown-school`
 */
export function findSchool(method: Method, id: string | undefined, path = "/school"): School {
  const wanted = id ?? method.cautiousSchool;
  const school = method.schools.find((candidate) => candidate.id === wanted);
  if (!school)
    throw new DomainError(
      "unknown-school",
      { id: wanted, method: method.id, known: method.schools.map((known) => known.id) },
      path,
    );
  return school;
}

/**
 * The recipe of a method and school as the book has it; the cautious school's if none is named.
 * @throws {DomainError} `unknown-method`, `unknown-school`
 */
export function findRecipe(
  methodId: string,
  schoolId?: string,
  path = { method: "/method", school: "/school" },
): Recipe {
  const method = findMethod(methodId, path.method);
  return recipeOf(method, findSchool(method, schoolId, path.school));
}

/** What makes an ingredient, where the book has a method for it. */
export const makerOf = (ingredient: string): Method | null => METHODS.find(({ makes }) => makes === ingredient) ?? null;
