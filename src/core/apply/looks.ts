/** What is looked at on a bed, each with its words from good to bad; closed lists, so that one look compares with another. */
export const SIGNS = {
  "leaf-colour": ["deep green", "even green", "pale", "yellow", "spotted"],
  "stance": ["upright", "limp at noon", "limp all day"],
  "stem": ["thick", "as usual", "thin and long"],
  "vigour": ["better than beside it", "the same", "worse than beside it"],
  "pests": ["none", "a few", "many"],
  "blight": ["none", "some", "much"],
  "moisture": ["damp", "dry", "wet"],
  "crumb": ["crumbly", "in blocks", "hard"],
  "worms": ["many", "a few", "none"],
  "roots": ["white, branching", "few", "brown or eaten"],
  "harvest": ["more than usual", "as usual", "less than usual"],
  "watering": ["less than usual", "as usual", "more than usual"],
} as const satisfies Readonly<Record<string, readonly string[]>>;
export type SignId = keyof typeof SIGNS;
export const SIGN_IDS = Object.keys(SIGNS) as readonly SignId[];
export type Looked = { readonly [S in SignId]?: (typeof SIGNS)[S][number] };

/** When growers look after they have put something on, and at what it shows by then. */
export const LOOKS = [
  { afterD: 1, signs: ["leaf-colour", "stance"] },
  { afterD: 7, signs: ["crumb", "moisture", "leaf-colour"] },
  { afterD: 14, signs: ["leaf-colour", "stem"] },
  { afterD: 21, signs: ["roots", "worms"] },
  { afterD: 28, signs: ["vigour", "pests", "blight"] },
  { afterD: 90, signs: ["harvest", "watering", "blight"] },
] as const satisfies readonly { readonly afterD: number; readonly signs: readonly SignId[] }[];

export interface LookDue {
  readonly applicationId: number;
  readonly afterD: number;
  readonly signs: readonly SignId[];
  /** When it fell due, ms since the epoch. */
  readonly dueMs: number;
}

const DAY_MS = 86_400_000;
/** After the season's look nothing more is asked. */
const SEASON_OVER_D = 120;

/**
 * The looks that a plot waits for: of each thing that went on, the latest that has come and that nobody has done since. A look at the plot serves
 * for all that went on before.
 */
export function looksDue(
  doses: readonly { readonly applicationId: number; readonly atMs: number }[],
  looksMs: readonly number[],
  nowMs: number,
): LookDue[] {
  return doses
    .flatMap(({ applicationId, atMs }): LookDue[] => {
      const ageD = (nowMs - atMs) / DAY_MS;
      const come = LOOKS.filter(({ afterD }) => afterD <= ageD).at(-1);
      if (!come || ageD > SEASON_OVER_D) return [];
      const dueMs = atMs + come.afterD * DAY_MS;
      return looksMs.some((ms) => ms >= dueMs)
        ? []
        : [{ applicationId, afterD: come.afterD, signs: come.signs, dueMs }];
    })
    .toSorted((a, b) => b.dueMs - a.dueMs);
}
