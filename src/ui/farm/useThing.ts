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
import { undoOffer, type UndoOffer } from "../acts/undo";

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
  /** @returns the id of it; null where it was not taken */
  readonly save: (id: number | null, facts: ThingFacts) => Promise<number | null>;
}

/** How a thing of a kind is added, and the id that it gets. */
interface Adding {
  readonly act: Omit<Saving, "save">;
  readonly idOf: (facts: ThingFacts) => Promise<number | undefined>;
}

/** Adds a thing of a kind, or changes one. */
export function useThing(kind: ThingKind): Saving {
  const change = useFarmAct(CHANGES[kind]);
  const person = useFarmAct("addPerson");
  const vessel = useYardAct("addVessel");
  const tool = useFieldAct("addTool");
  const water = useWaterAct("addWaterSource");
  // The fields of a kind are those of its acts; the act's own schema checks them all the same.
  const adding: Readonly<Record<AddedHere, Adding>> = {
    person: { act: person, idOf: async (facts) => (await person.run(facts as never))?.personId },
    vessel: { act: vessel, idOf: async (facts) => (await vessel.run(facts as never))?.vesselId },
    tool: { act: tool, idOf: async (facts) => (await tool.run(facts as never))?.toolId },
    water: { act: water, idOf: async (facts) => (await water.run(facts as never))?.sourceId },
  };
  const add = isAddedHere(kind) ? adding[kind] : null;
  const { busy, error, fields } = change.error || change.busy || !add ? change : add.act;
  return {
    busy,
    error,
    fields,
    save: async (id, facts) => {
      if (id !== null) return (await change.run({ id, ...facts })) === null ? null : id;
      return (await add?.idOf(facts)) ?? null;
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
        told(
          `${name} is ${STATE_WORDS[next]}.`,
          undoOffer(() => act.run({ kind, id, state })),
        );
      return done;
    },
  };
}

/** Gives the "Undo" of a message for a thing that was just added: it is put away, as its number and its line in the history stay. */
export function useAddedUndo(kind: ThingKind): (id: number | null | undefined) => UndoOffer | undefined {
  const { run } = useFarmAct("setThingState", "toast");
  return (id) => undoOffer(typeof id === "number" ? () => run({ kind, id, state: "retired" }) : null);
}
