import type { Recipe } from "../../book/recipe";
import type { SignKind } from "../../book/words";
import { actsOf, signsOf, type ActItem, type LogItem } from "../log";
import type { VerdictReason } from "../reasons";

/** Eggs want so long to show, h. */
const EGGS_SHOW_H = 48;
/** A lid that was off shows in the smell after so long, h. */
const AIR_SHOWS_H = 12;

/** What befell a batch and was not looked at since; each lasts until the look that settles it. */
interface Lasting {
  readonly code: "flies-in" | "lid-was-off";
  readonly acts: readonly ActItem["act"][];
  readonly cleared: { readonly by: readonly SignKind[]; readonly afterH: number };
  readonly where: (recipe: Recipe) => boolean;
}

const LASTING: readonly Lasting[] = [
  {
    code: "flies-in",
    acts: ["flies-in"],
    cleared: { by: ["film"], afterH: EGGS_SHOW_H },
    where: () => true,
  },
  {
    code: "lid-was-off",
    acts: ["lid-off"],
    cleared: { by: ["smell"], afterH: AIR_SHOWS_H },
    where: ({ lid }) => lid === "airlock" || lid === "sealed",
  },
];

/** What still stands of what befell it, each with the hour from which a look settles it. */
export function happenings(recipe: Recipe, log: readonly LogItem[]): VerdictReason[] {
  const signs = signsOf(log);
  const open = LASTING.filter(({ where }) => where(recipe)).flatMap(({ code, acts, cleared }): VerdictReason[] => {
    const last = actsOf(log).findLast(({ act }) => acts.includes(act));
    if (!last) return [];
    const looksFromH = last.hour + cleared.afterH;
    const isCleared = signs.some(({ kind, hour }) => cleared.by.includes(kind) && hour >= looksFromH);
    return isCleared ? [] : [{ code, hour: last.hour, looksFromH }];
  });
  return [...open, ...heaterCut(log)];
}

/** A heater that a power cut took, and nobody said that it came back. */
function heaterCut(log: readonly LogItem[]): VerdictReason[] {
  const acts = actsOf(log);
  const heater = acts.findLast(({ act }) => act === "heater-on" || act === "heater-off");
  if (heater?.act !== "heater-on") return [];
  const cut = acts.findLast(({ act, hour }) => (act === "power-cut" || act === "power-back") && hour >= heater.hour);
  return cut?.act === "power-cut" ? [{ code: "heater-cut", hour: cut.hour }] : [];
}
