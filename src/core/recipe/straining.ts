import type { Range } from "../book/range";
import type { Recipe } from "../book/recipe";

/** One thing done while it is strained, and how long it is then left alone. */
export interface StrainStep {
  readonly code: "hang" | "squeeze" | "press";
  /** Since straining began, min. */
  readonly atMin: number;
  /** Hands off until the next, min; 0 after the last. */
  readonly waitMin: number;
  /** Litres that are off once the wait is over. */
  readonly offL: number;
}

interface Pace {
  /** It drains by itself so long, min. */
  readonly hangMin: number;
  /** Squeezed so often, with a rest between, min. */
  readonly squeezes: number;
  readonly restMin: number;
}

/** By what is in the sack: sap and char give slowly and want no hands, a bag of castings or leaves is squeezed. Judged. */
function paceOf({ family, keeping }: Pick<Recipe, "family" | "keeping">): Pace {
  switch (family) {
    case "sugar":
      return { hangMin: 8 * 60, squeezes: 0, restMin: 0 };
    case "char":
      return { hangMin: 4 * 60, squeezes: 0, restMin: 0 };
    case "mineral":
      return { hangMin: 30, squeezes: 0, restMin: 0 };
    case "acid":
      return { hangMin: 60, squeezes: 3, restMin: 15 };
    case "soak":
      return { hangMin: 60, squeezes: 3, restMin: 10 };
    default:
      // What is alive and fading can't hang for an hour.
      return keeping.living ? { hangMin: 10, squeezes: 2, restMin: 5 } : { hangMin: 30, squeezes: 2, restMin: 10 };
  }
}

/** A larger sack drains longer: by the root of its litres over those of a pail. */
const PAIL_L = 20;
const LEAST_FACTOR = 0.5;

/**
 * When to squeeze and when to leave it alone, with what is off by then: by itself about the least that such a batch yields, and each squeeze half of
 * what is left of the usual yield.
 * @param yieldL what such a batch gives, least to most, L
 */
export function strainSchedule(recipe: Pick<Recipe, "family" | "keeping">, yieldL: Range): StrainStep[] {
  const { hangMin, squeezes, restMin } = paceOf(recipe);
  const factor = Math.max(LEAST_FACTOR, Math.sqrt(yieldL.default / PAIL_L));
  const round = (minutes: number) =>
    minutes > 60 ? Math.round(minutes / 30) * 30 : Math.max(5, Math.round(minutes / 5) * 5);
  const hang = round(hangMin * factor);
  const first = squeezes > 0 ? yieldL.low : yieldL.default;
  const steps: StrainStep[] = [{ code: "hang", atMin: 0, waitMin: hang, offL: first }];
  let [atMin, offL] = [hang, first];
  for (let nth = 1; nth <= squeezes; nth += 1) {
    offL = nth === squeezes ? yieldL.default : offL + (yieldL.default - offL) / 2;
    const waitMin = nth === squeezes ? 0 : round(restMin * factor);
    steps.push({ code: nth === squeezes ? "press" : "squeeze", atMin, waitMin, offL });
    atMin += waitMin;
  }
  return steps;
}
