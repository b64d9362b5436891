import { DomainError, requirePositive } from "../errors";
import type { Dilution } from "./ratio";

/** A mix and its two parts, all in litres; volumes are taken to add up. */
export interface Mix {
  readonly concentrateL: number;
  readonly waterL: number;
  readonly totalL: number;
}

export interface MixRequest {
  readonly concentrateL?: number;
  readonly waterL?: number;
  readonly totalL?: number;
  readonly dilution?: Dilution;
}

function fromRatio(request: MixRequest, partsWater: number): Mix {
  if (request.totalL !== undefined) {
    const concentrateL = request.totalL / (1 + partsWater);
    return { concentrateL, waterL: request.totalL - concentrateL, totalL: request.totalL };
  }
  if (request.waterL !== undefined) {
    if (partsWater === 0) throw new DomainError("ratio-without-water", { text: "neat" }, "/ratio");
    const concentrateL = request.waterL / partsWater;
    return { concentrateL, waterL: request.waterL, totalL: request.waterL + concentrateL };
  }
  const concentrateL = request.concentrateL!;
  return { concentrateL, waterL: concentrateL * partsWater, totalL: concentrateL * (1 + partsWater) };
}

function fromTwoAmounts({ concentrateL, waterL, totalL }: MixRequest): Mix {
  if (totalL === undefined) return { concentrateL: concentrateL!, waterL: waterL!, totalL: concentrateL! + waterL! };
  const part = concentrateL === undefined ? "water" : "concentrate";
  const partL = concentrateL ?? waterL!;
  if (partL > totalL) throw new DomainError("total-below-part", { part, partL, totalL }, "/total");
  const restL = totalL - partL;
  return part === "water"
    ? { concentrateL: restL, waterL: partL, totalL }
    : { concentrateL: partL, waterL: restL, totalL };
}

/**
 * Works out a whole mix from two of concentrate, water and total, or from one of them and a dilution.
 * @throws {DomainError} `dilution-underdetermined`, `dilution-overdetermined`, `not-positive`, `total-below-part`, `ratio-without-water`
 * @example dilute({ totalL: 30, dilution: { partsWater: 1 } }).concentrateL; // 15
 */
export function dilute(request: MixRequest): Mix {
  const { concentrateL, waterL, totalL, dilution } = request;
  const amounts = { concentrate: concentrateL, water: waterL, total: totalL };
  const given = (["concentrate", "water", "total"] as const).filter((name) => amounts[name] !== undefined);
  for (const name of given) requirePositive(name, amounts[name]!, "L", `/${name}`);
  const wanted = dilution ? 1 : 2;
  if (given.length < wanted) throw new DomainError("dilution-underdetermined", { given: given.length });
  if (given.length > wanted) throw new DomainError("dilution-overdetermined", { given: given.length });
  return dilution ? fromRatio(request, dilution.partsWater) : fromTwoAmounts(request);
}

/** The dilution of a mix that contains some concentrate. */
export const dilutionOf = (mix: Mix): Dilution => ({ partsWater: mix.waterL / mix.concentrateL });
