"use client";
import type { ActError } from "@/contracts/answer";
import type { FieldErrors } from "@/contracts/fieldErrors";
import type { ThingFacts, ThingKind, ThingState } from "@/services/types";
import { STATE_WORDS } from "@/words/said";
import { useFarmAct } from "../acts/farm";
import { useFieldAct } from "../acts/field";
import { useWaterAct } from "../acts/water";
import { useYardAct } from "../acts/yard";
import { told } from "../kit/told";

const CHANGES = {
  "person": "changePerson",
  "vessel": "changeVessel",
  "tool": "changeTool",
  "water": "changeWater",
  "equipment": "changeEquipment",
  "own-ingredient": "changeOwnIngredient",
  "gathering-place": "changeGatheringPlace",
  "worm-bin": "changeWormBin",
  "device": "changeDevice",
} as const satisfies Record<ThingKind, string>;

/** Kinds that are added by their fields alone; the others ask more, in places of their own. */
export const ADDED_HERE = ["person", "vessel", "tool", "water"] as const satisfies readonly ThingKind[];
type AddedHere = (typeof ADDED_HERE)[number];
export const isAddedHere = (kind: ThingKind): kind is AddedHere => ADDED_HERE.some((one) => one === kind);

interface Saving {
  readonly busy: boolean;
  readonly error: ActError | null;
  readonly fields: FieldErrors;
  /** @returns whether it was taken */
  readonly save: (id: number | null, facts: ThingFacts) => Promise<boolean>;
}

/** Adds a thing of a kind, or changes one. */
export function useThing(kind: ThingKind): Saving {
  const change = useFarmAct(CHANGES[kind]);
  const adding = {
    person: useFarmAct("addPerson"),
    vessel: useYardAct("addVessel"),
    tool: useFieldAct("addTool"),
    water: useWaterAct("addWaterSource"),
  };
  const add = isAddedHere(kind) ? adding[kind] : null;
  const { busy, error, fields } = change.error || change.busy || !add ? change : add;
  return {
    busy,
    error,
    fields,
    save: async (id, facts) => {
      // The fields of a kind are those of its acts; the act's own schema checks them all the same.
      if (id !== null) return (await change.run({ id, ...facts })) !== null;
      return add !== null && (await add.run(facts as never)) !== null;
    },
  };
}

/** Lends a thing, sends it to repair, puts it away or brings it back, with a way back in the seconds after. */
export function useThingState(kind: ThingKind): {
  readonly busy: boolean;
  readonly error: ActError | null;
  readonly setState: (
    thing: { readonly id: number; readonly name: string; readonly state: ThingState },
    next: ThingState,
  ) => Promise<boolean>;
} {
  const act = useFarmAct("setThingState");
  return {
    busy: act.busy,
    error: act.error,
    setState: async ({ id, name, state }, next) => {
      const done = (await act.run({ kind, id, state: next })) !== null;
      if (done)
        told(`${name} is ${STATE_WORDS[next]}.`, {
          action: { label: "Undo", onClick: () => void act.run({ kind, id, state }) },
        });
      return done;
    },
  };
}
