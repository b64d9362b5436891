import { findIngredient } from "@/core/book/ingredients";
import type { FirstThing } from "@/core/choose/firstDrum";
import type { CommonVessel } from "@/core/recipe/commonVessels";
import { inText, listed } from "@/formats/grammar";

/** A stretch of a sentence; one with a slot can be touched to change it. */
export interface Piece {
  readonly text: string;
  readonly slot?: "vessel" | "things" | "water";
}

const VESSEL_WORDS: Readonly<Record<CommonVessel["id"], string>> = {
  tote: "Tote (IBC)",
  drum: "Drum",
  barrel: "Barrel",
  pail: "Pail",
  bucket: "Bucket",
  crock: "Crock",
  jar: "Jar",
};

/** A common vessel by its name. */
export const sayCommonVessel = (id: CommonVessel["id"]): string => VESSEL_WORDS[id];

const THING_WORDS: Readonly<Record<string, string>> = {
  "nettles": "Nettles",
  "comfrey": "Comfrey",
  "cut-grass": "Cut grass",
  "clover": "Clover",
};

/** A thing at hand by its name. */
export const sayFirstThing = ({ id, as }: FirstThing): string => THING_WORDS[id] ?? findIngredient(as[0]!).name;

const NAMED = 3;

/** The first of them by name, how many more by a count. */
function listedFew(names: readonly string[]): string {
  const shown =
    names.length > NAMED ? [...names.slice(0, NAMED - 1), `${names.length - NAMED + 1} more things`] : names;
  return listed(shown);
}

/**
 * What the grower has, as one sentence that grows as things are touched.
 * @param vessel such as "200 L drum"; null while none is picked
 */
export function sayWhatIHave({
  vessel,
  things,
  water,
}: {
  readonly vessel: string | null;
  readonly things: readonly FirstThing[];
  readonly water: string | null;
}): readonly Piece[] {
  const names = things.map((thing) => inText(sayFirstThing(thing)));
  const parts: Piece[] = [
    { text: vessel ?? "…", slot: "vessel" },
    ...(names.length > 0 ? [{ text: listedFew(names), slot: "things" as const }] : []),
    ...(water === null ? [] : [{ text: inText(water), slot: "water" as const }]),
  ];
  const joined = parts.flatMap((piece, index): Piece[] => {
    const joint =
      index === 0
        ? "I have a "
        : index === parts.length - 1 && index > 0
          ? names.length > 1
            ? ", and "
            : " and "
          : ", ";
    return [{ text: joint }, piece];
  });
  return vessel === null && parts.length === 1 ? joined : [...joined, { text: "." }];
}
