import { INGREDIENT_FACTS, usualExpiry } from "../book/ingredientFacts";
import type { IngredientId } from "../book/ingredients";
import { judgeHandful } from "./handTest";
import { keepsOut, lotHazards, type HazardReason, type LotHazard, type Provenance } from "../safety/provenance";

/** All that can be noted of a lot. */
export const LOT_HAPPENINGS = [
  "opened",
  "place",
  "expiry",
  "beans-sown",
  "beans-clean",
  "beans-damaged",
  "vigour",
  "stored-hot",
  "note",
] as const;

/** What happened to a lot besides coming and going; the latest of a kind counts. */
export interface LotHappening {
  readonly kind: (typeof LOT_HAPPENINGS)[number];
  readonly word: string;
  /** ISO date. */
  readonly onDay: string;
}

export interface LotFacts {
  readonly ingredientId: string;
  readonly receivedOn: string;
  /** As written on it; null where nothing is. */
  readonly expiresOn: string | null;
  readonly place: string;
  readonly provenance: Provenance;
}

export interface LotState {
  readonly place: string;
  readonly openedOn: string | null;
  /** What is written on it, what was said since, or how long such a thing keeps once opened: the soonest. */
  readonly expiresOn: string | null;
  readonly beans: { readonly sownOn: string | null; readonly result: "clean" | "damaged" | null };
  readonly vigour: string | null;
  readonly hazards: readonly LotHazard[];
}

/** Why a lot is not drawn on; days as ISO dates. */
export type HoldReason =
  | HazardReason
  | { readonly code: "handful"; readonly word: string }
  | { readonly code: "past-day"; readonly isLiving: boolean; readonly day: string };

/** A hard hold is never lifted, a soft one by a reason that is kept. */
export interface LotHold {
  readonly hard: boolean;
  readonly because: HoldReason;
}

const latest = (events: readonly LotHappening[], ...kinds: readonly LotHappening["kind"][]) =>
  events.findLast(({ kind }) => kinds.includes(kind)) ?? null;

/** A lot as it stands, from its receipt and all that was noted since, oldest first. */
export function lotState(lot: LotFacts, events: readonly LotHappening[]): LotState {
  const openedOn = latest(events, "opened")?.onDay ?? null;
  const said = latest(events, "expiry")?.word ?? null;
  const once = openedOn === null ? null : usualExpiry(lot.ingredientId as IngredientId, lot.receivedOn, openedOn);
  const days = [said ?? lot.expiresOn, said === null ? once : null].filter((day) => day !== null).toSorted();
  const test = latest(events, "beans-clean", "beans-damaged");
  const beans = {
    sownOn: latest(events, "beans-sown")?.onDay ?? null,
    result: test === null ? null : test.kind === "beans-clean" ? ("clean" as const) : ("damaged" as const),
  };
  const storedHot = latest(events, "stored-hot") !== null || lot.provenance.storedHot === true;
  return {
    place: latest(events, "place")?.word ?? lot.place,
    openedOn,
    expiresOn: days[0] ?? null,
    beans,
    vigour: latest(events, "vigour")?.word ?? null,
    hazards: [
      ...lotHazards(lot.provenance, beans),
      ...(storedHot && isLiving(lot.ingredientId)
        ? [
            {
              caution: "not-for-people" as const,
              because: { code: "stood-hot" } as const,
              notBefore: null,
              blocks: false,
            },
          ]
        : []),
    ],
  };
}

const isLiving = (id: string) => INGREDIENT_FACTS[id as IngredientId]?.living ?? false;

/** Whether a lot may be drawn on that day; null where it may. */
export function lotHold(lot: LotFacts, state: LotState, onDay: string): LotHold | null {
  const hazard = keepsOut(state.hazards, onDay);
  if (hazard) return { hard: hazard.blocks, because: hazard.because };
  const found = state.vigour === null ? null : judgeHandful(lot.ingredientId, state.vigour);
  if (found && !found.fit) return { hard: false, because: { code: "handful", word: found.word } };
  if (state.expiresOn !== null && state.expiresOn < onDay)
    return {
      hard: false,
      because: { code: "past-day", isLiving: isLiving(lot.ingredientId), day: state.expiresOn },
    };
  if (!isLiving(lot.ingredientId)) return null;
  const hot = state.hazards.find(({ because }) => because.code === "stood-hot");
  return hot ? { hard: false, because: hot.because } : null;
}
