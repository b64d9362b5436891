import type { Season, Unmet } from "../season";
import { weekOf } from "../season";
import { Trial, type Standing } from "./try";

/** A small change of what there is. */
export type Mend =
  | { readonly kind: "cans"; readonly more: number }
  | { readonly kind: "air-line"; readonly more: 1 }
  | { readonly kind: "minutes"; readonly week: number; readonly more: number }
  | { readonly kind: "vessel"; readonly volumeL: number }
  | { readonly kind: "pack"; readonly ingredient: string }
  | { readonly kind: "day-later"; readonly more: number };

/** The season with a change made; one that only moves a day is tried without. */
export function mended(season: Season, mend: Mend): Season {
  switch (mend.kind) {
    case "cans":
      return { ...season, cans: { ...season.cans, count: season.cans.count + mend.more } };
    case "air-line":
      return { ...season, airLines: season.airLines + mend.more };
    case "minutes":
      return {
        ...season,
        labour: {
          ...season.labour,
          weekMin: season.labour.weekMin.map((minutes, week) => (week === mend.week ? minutes + mend.more : minutes)),
        },
      };
    case "vessel": {
      const twin = season.vessels.find(({ volumeL }) => volumeL === mend.volumeL)!;
      return {
        ...season,
        vessels: [...season.vessels, { ...twin, id: "one-more", fromDay: 0, toDay: season.days + 400 }],
      };
    }
    case "pack":
      return {
        ...season,
        ingredients: season.ingredients.map((one) =>
          one.id === mend.ingredient && one.pack ? { ...one, pack: { ...one.pack, leadD: 0 } } : one,
        ),
      };
    case "day-later":
      return season;
  }
}

/** Steps that could mend it, by its reasons, the smallest first. */
function steps(season: Season, { need: needId, reasons }: Pick<Unmet, "need" | "reasons">): Mend[] {
  const need = season.needs.find(({ id }) => id === needId)!;
  const input = season.programmes.find(({ id }) => id === need.programme)!.input;
  const of = season.inputs.find(({ id }) => id === input)!;
  const has = (reason: Unmet["reasons"][number]): boolean => reasons.includes(reason);
  const sizes = [...new Set(season.vessels.map(({ volumeL }) => volumeL))].sort((one, other) => one - other);
  const weeks = [...new Set([need.earliestDay, need.latestDay].map((day) => weekOf(Math.max(day, season.nowDay))))];
  const isLate = has("cold") || has("shelf") || has("spacing");
  return [
    ...(isLate ? [1, 2, 4].map((more): Mend => ({ kind: "day-later", more })) : []),
    ...(has("labour") ? [30, 90].flatMap((more) => weeks.map((week): Mend => ({ kind: "minutes", week, more }))) : []),
    ...(has("cans") ? [1, 3].map((more): Mend => ({ kind: "cans", more })) : []),
    ...(has("ingredient") ? of.ingredients.map(({ ingredient }): Mend => ({ kind: "pack", ingredient })) : []),
    ...(has("air") ? [{ kind: "air-line", more: 1 } as const] : []),
    ...(has("vessel") ? sizes.map((volumeL): Mend => ({ kind: "vessel", volumeL })) : []),
  ];
}

/** Finds for what goes unmet the smallest change by which it could be met beside all that a plan does; each is tried on the plan. */
export class Mender {
  private readonly trials = new Map<string, Trial>();
  /** @param most seasons that are made for trying; what is asked beyond them is not answered */
  constructor(
    private readonly season: Season,
    private readonly plan: Standing,
    private readonly most = 24,
  ) {}
  private trialOf(mend: Mend): Trial | null {
    const key = mend.kind === "day-later" ? "" : JSON.stringify(mend);
    const made = this.trials.get(key);
    if (made) return made;
    if (this.trials.size >= this.most) return null;
    const trial = new Trial(mended(this.season, mend), this.plan);
    this.trials.set(key, trial);
    return trial;
  }
  /** @returns null where none of the changes that were tried would do */
  mendOf(unmet: Pick<Unmet, "need" | "reasons">): Mend | null {
    return (
      steps(this.season, unmet).find((step) =>
        this.trialOf(step)?.fits(unmet.need, step.kind === "day-later" ? step.more : 0),
      ) ?? null
    );
  }
}
