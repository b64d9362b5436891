import { requirePositive } from "../errors";

export interface BlendPart {
  readonly availableL: number;
  /** Parts of it in the blend. */
  readonly parts: number;
}

export interface Blend {
  /** What of each goes in, and what stays over, L, in the order asked. */
  readonly parts: readonly { readonly usedL: number; readonly leftL: number }[];
  readonly totalL: number;
  /** Which of them ends first. */
  readonly limitedBy: number;
}

/**
 * Two or more finished liquids in a set proportion, as much as the scarcest of them allows.
 * @param wantedL no more than this of the blend, L; as much as can be where nobody says
 * @throws {DomainError} `not-positive`
 * @example blend([{ availableL: 6, parts: 1 }, { availableL: 30, parts: 2 }]).totalL; // 18
 */
export function blend(liquids: readonly BlendPart[], wantedL = Infinity): Blend {
  liquids.forEach(({ availableL, parts }, index) => {
    requirePositive("blend-part", parts, "", `/liquids/${index}/parts`);
    requirePositive("there-is", availableL, "L", `/liquids/${index}/available`);
  });
  const allParts = liquids.reduce((sum, { parts }) => sum + parts, 0);
  const reaches = liquids.map(({ availableL, parts }) => (availableL / parts) * allParts);
  const limitedBy = reaches.indexOf(Math.min(...reaches));
  const totalL = Math.min(wantedL, reaches[limitedBy]!);
  return {
    parts: liquids.map(({ availableL, parts }) => {
      const usedL = (totalL * parts) / allParts;
      return { usedL, leftL: Math.max(0, availableL - usedL) };
    }),
    totalL,
    limitedBy,
  };
}
