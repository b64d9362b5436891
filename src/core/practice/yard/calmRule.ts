import type { LogItem, SignItem } from "../../judge/log";
import { isQuick, type DrumName } from "./drums";

const ROT = new Set(["putrid", "sulphur"]);
const SOUR = new Set(["cidery", "yogurt-sour"]);
const smells = (log: readonly LogItem[]) => log.filter((item): item is SignItem => item.kind === "smell");
const words = (log: readonly LogItem[], kind: string) =>
  log.filter((item): item is SignItem => item.kind === kind).map(({ word }) => word);

/** What the rule says at a look; `again` asks for another look after so many hours. */
export interface CalmDecision {
  readonly act: "use" | "throw-out" | "wait" | "compost";
  readonly again: { readonly inH: number; readonly wanted: "ph" | "smell" | "look" } | null;
}

/** A calm grower with the book's rule: least days, the sign, a second look, the nose; two rotten looks to throw out. */
export function calmRule(name: DrumName, nowH: number, log: readonly LogItem[], ownsPh: boolean): CalmDecision {
  const wait = (again: CalmDecision["again"] = null): CalmDecision => ({ act: "wait", again });
  const use: CalmDecision = { act: "use", again: null };
  const nose = smells(log);
  const last = nose.at(-1)?.word;
  const quick = isQuick(name);
  const again = (wanted: "ph" | "smell" | "look") => ({ inH: quick ? 3 : 20, wanted });
  const rotten = nose.filter(({ word }) => (ROT.has(word) && name !== "leaf soak" ? true : word === "putrid"));
  if (rotten.length > 1) return { act: "throw-out", again: null };
  if (words(log, "film").filter((word) => word === "coloured mould").length > 1)
    return { act: "throw-out", again: null };
  if (last && (last === "putrid" || (ROT.has(last) && name !== "leaf soak"))) return wait(again("smell"));
  switch (name) {
    case "extract":
    case "serum": {
      if (nowH < (name === "extract" ? 14 : 7) * 24) return wait();
      const phs = log.filter((item) => item.kind === "ph").map((item) => item.value);
      const sour = phs.slice(-2).filter((value) => value <= 4.05).length;
      if (ownsPh) {
        if (sour === 2 && last && SOUR.has(last)) return use;
        return sour > 0 ? wait(again("ph")) : wait();
      }
      const two = nose.slice(-2).filter(({ word }) => SOUR.has(word)).length;
      return two === 2 ? use : two === 1 ? wait(again("smell")) : wait();
    }
    case "tea":
      if (nowH > 60) return { act: "compost", again: null };
      if (nowH < 24) return wait();
      return last === "earthy" || last === "neutral" ? use : wait(again("smell"));
    case "leaf-mould brew": {
      const foam = words(log, "surface").at(-1);
      if (foam === "full head" || foam === "thick fine head") return use;
      if (foam === "collapsing" || foam === "flat") return { act: "compost", again: null };
      return foam === "patches" ? wait(again("look")) : wait();
    }
    case "juice": {
      if (nowH < 5 * 24) return wait();
      const ready = (word?: string) => word === "fruity" || word === "yeasty";
      const floats = words(log, "solids").at(-1) === "floating";
      if (ready(last) && (floats || ready(nose.at(-2)?.word))) return use;
      return ready(last) ? wait(again("smell")) : wait();
    }
    case "shell": {
      if (nowH < 7 * 24) return wait();
      const still = words(log, "surface")
        .slice(-2)
        .filter((word) => word === "still" || word === "flat").length;
      return still === 2 ? use : still === 1 ? wait(again("look")) : wait();
    }
    case "leaf soak": {
      if (nowH < 14 * 24) return wait();
      const dark = words(log, "liquid")
        .slice(-2)
        .filter((word) => word === "dark").length;
      return dark === 2 ? use : dark === 1 ? wait(again("look")) : wait();
    }
  }
}
