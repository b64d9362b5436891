import type { ShedStore, ShedView } from "@/services/shed";

/** Whether a store wants to be opened: smelt before it is used, or its gas let out. */
export const needsLook = ({ recheck, loosenMs }: ShedStore, { nowMs }: Pick<ShedView, "nowMs">): boolean =>
  recheck !== null || (loosenMs !== null && loosenMs <= nowMs);

/** What a store wants now, in words; null where nothing. */
export function sayStoreNeed(store: ShedStore, view: Pick<ShedView, "nowMs">): string | null {
  if (store.smelt === "off") return "■ smells bad: compost or bare soil";
  if (store.recheck)
    return store.recheck.because === "hot-spell" ? "▲ hot spell: smell it first" : "▲ stood long: smell it first";
  if (store.loosenMs !== null && store.loosenMs <= view.nowMs) return "▲ let its gas out";
  return store.smelt === "doubtful" ? "▲ smelled bad before: not sure" : null;
}
