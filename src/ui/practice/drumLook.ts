import type { Outside, Seen } from "@/core/practice/drum/look";
import type { DrumName } from "@/core/practice/yard/drums";
import { SIGN_NAMES } from "@/words/said";

/** What a drawing of a drum shows; what was not looked at is not in it. */
export interface DrumPicture {
  readonly name: DrumName;
  /** Whether the lid is off: else only the outside is drawn. */
  readonly isOpen: boolean;
  readonly surface: string | null;
  readonly film: string | null;
  readonly liquid: string | null;
  readonly solids: string | null;
  readonly outside: Outside;
}

/** The picture of what was looked at within this hour. */
export function pictureOf(name: DrumName, seen: readonly Seen[], hour: number, outside: Outside): DrumPicture {
  const now = seen.filter((one) => one.hour === hour);
  const lid = now.find(({ look }) => look === "lid");
  const solids = now.find(({ look }) => look === "solids");
  return {
    name,
    isOpen: lid !== undefined || solids !== undefined,
    surface: lid?.surface ?? null,
    film: lid?.film ?? null,
    liquid: lid?.liquid ?? null,
    solids: solids?.solids ?? null,
    outside,
  };
}

/** The picture in words, for who does not see it. */
export function sayPicture({ isOpen, surface, film, liquid, solids, outside }: DrumPicture): string {
  const shown = [
    ...(outside.isBurst ? ["The drum has burst"] : []),
    ...(outside.isBulging ? ["The lid is swollen"] : []),
    ...(outside.isPumpSilent ? ["The pump is silent"] : []),
    ...(isOpen ? [] : ["The lid is on"]),
    ...(surface ? [`${SIGN_NAMES.surface}: ${surface}`] : []),
    ...(film && film !== "none" ? [`${SIGN_NAMES.film}: ${film}`] : []),
    ...(film === "none" ? ["No film"] : []),
    ...(liquid ? [`${SIGN_NAMES.liquid}: ${liquid}`] : []),
    ...(solids ? [`${SIGN_NAMES.solids}: ${solids}`] : []),
  ];
  return `${shown.join(". ")}.`;
}
