import type { UseRate } from "../book/types";
import type { UseId } from "../book/uses";

/** A few leaves that were treated and looked at, before more was. */
export interface PatchTest {
  readonly use: UseId;
  readonly partsWater: number;
  /** What it showed; null while nobody has looked. */
  readonly result: "clear" | "marked" | null;
}

export type StrengthCaution =
  | { readonly code: "use-unknown"; readonly weight: "reason"; readonly method: string }
  | { readonly code: "undiluted-on-plants"; readonly weight: "never"; readonly strongest: number }
  | { readonly code: "too-strong"; readonly weight: "reason"; readonly strongest: number; readonly partsWater: number }
  | { readonly code: "patch-marked"; readonly weight: "blocked"; readonly partsWater: number }
  | {
      readonly code: "patch-test-first";
      readonly weight: "reason";
      readonly usual: number;
      readonly partsWater: number;
      /** A test of this strength is under way and nobody has looked yet. */
      readonly waiting: boolean;
    };

/** On something that grows there. */
const ON_PLANTS: readonly UseId[] = ["foliar", "drench-growing", "seedling", "injector", "houseplants"];
/** Less water to a part than this is as good as none. */
const UNDILUTED_BELOW = 1;
const SAME = 1e-9;

/**
 * What speaks against a strength: never undiluted on plants where the product is thinned for them, and nothing stronger than usual before a patch
 * of that strength or a stronger one was looked at and found clear.
 */
export function strengthCautions(
  {
    method,
    rate,
    use,
    partsWater,
  }: {
    readonly method: string;
    readonly rate: UseRate | null;
    readonly use: UseId;
    readonly partsWater: number;
  },
  tests: readonly PatchTest[],
): StrengthCaution[] {
  if (rate === null) return [{ code: "use-unknown", weight: "reason", method }];
  const { strongest, default: usual } = rate.partsWater;
  if (ON_PLANTS.includes(use) && partsWater < UNDILUTED_BELOW && strongest >= UNDILUTED_BELOW)
    return [{ code: "undiluted-on-plants", weight: "never", strongest }];
  const ofUse = tests.filter((test) => test.use === use);
  const isMarked = ofUse.some(
    ({ result, partsWater: tried }) => result === "marked" && partsWater <= tried * (1 + SAME),
  );
  if (isMarked) return [{ code: "patch-marked", weight: "blocked", partsWater }];
  if (partsWater < strongest * (1 - SAME)) return [{ code: "too-strong", weight: "reason", strongest, partsWater }];
  if (!ON_PLANTS.includes(use) || partsWater >= usual * (1 - SAME)) return [];
  const asStrong = ofUse.filter((test) => test.partsWater <= partsWater * (1 + SAME));
  if (asStrong.some(({ result }) => result === "clear")) return [];
  return [
    {
      code: "patch-test-first",
      weight: "reason",
      usual,
      partsWater,
      waiting: asStrong.some(({ result }) => result === null),
    },
  ];
}

/** How often a mix is meant to go on: more often is weaker. */
export type Often = "weekly" | "seldom";
const WEEK_D = 7;

/** Parts of water for how often it goes on: the school's usual, and its weakest for every week where it is not meant for that. */
export const partsWaterFor = ({ partsWater, everyD }: UseRate, often: Often): number =>
  often === "weekly" && (everyD ?? Infinity) > WEEK_D ? partsWater.weakest : partsWater.default;
