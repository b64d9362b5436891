import { requirePositive } from "../errors";
import type { Recipe } from "../book/recipe";

/** Whether it is spread or mixed in, and not thinned with water. */
export const isSolid = ({ family }: Pick<Recipe, "family">): boolean => family === "char" || family === "solid";

const L_PER_M3 = 1000;

/**
 * Parts of soil to one of what is worked in, by volume.
 * @param depthM down to which it is mixed
 * @throws {DomainError} `not-positive`
 * @example partsOfBed(4, 0.15); // 37.5: one part in about 37 of the top 15 cm
 */
export function partsOfBed(litresPerM2: number, depthM: number): number {
  requirePositive("mix-rate", litresPerM2, "L", "/mixRate/value");
  requirePositive("work-depth", depthM, "m", "/depthM");
  return (depthM * L_PER_M3) / litresPerM2;
}

/** Litres to a square metre that make one part in so many of the bed. @throws {DomainError} `not-positive` */
export function litresForParts(parts: number, depthM: number): number {
  requirePositive("blend-part", parts, "", "/parts");
  requirePositive("work-depth", depthM, "m", "/depthM");
  return (depthM * L_PER_M3) / parts;
}
