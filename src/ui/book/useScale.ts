import { useState } from "react";
import { isWater } from "@/core/book/ingredients";
import type { Recipe } from "@/core/book/recipe";
import { measurableOf, OF_LITRES } from "@/formats/measured";
import type { BookView } from "@/services/book";
import { sizeQuery } from "../fill/recipeKey";
import { useReadAmount } from "../measures/AmountField";
import { amounts, workScale, type ScaleDraft, type ScaleStart } from "./scaleDraft";

const USUAL_L = 200;

type Draft = Omit<ScaleDraft, "recipe" | "diameterM" | "vessel" | "splitVessels" | "bedsM2" | "units" | "read">;

/** Each ingredient once that may run out and so govern. */
const limitedBy = ({ ingredients }: Recipe, include: Draft["include"]) =>
  ingredients.filter(
    ({ ingredient, amount, optional }, index) =>
      amount.type === "per-basis" &&
      (!optional || include.includes(ingredient)) &&
      ingredients.findIndex((line) => line.ingredient === ingredient) === index &&
      !isWater(ingredient),
  );

const choiceOf = ({ include, stated, swaps }: Draft, measured: ScaleDraft["read"]) => ({
  include,
  stated: amounts("stated", stated, measured),
  substitutes: Object.entries(swaps).map(([instead, use]) => ({ instead, use })),
});

/** What is chosen of a scaling, what comes of it, and what is wrong with it. */
export function useScale(view: BookView, recipe: Recipe, start: ScaleStart | null) {
  const { read, show, measured } = useReadAmount();
  const fits = view.vessels.filter(({ airW }) => !recipe.aerated || airW > 0);
  const free = fits.filter(({ status }) => status === "free");
  /** Undefined until somebody picks one; null for another one. */
  const [picked, setPicked] = useState<number | null>();
  const [draft, setDraft] = useState<Draft>({
    by: "vessel",
    wanted: "",
    depth: "",
    land: "",
    often: "once",
    useId: recipe.uses[0]?.use ?? null,
    limits: start?.limit
      ? { [start.limit.ingredient]: show(start.limit.amount, measurableOf(start.limit.ingredient)) }
      : {},
    stated: {},
    include: [],
    swaps: {},
  });
  const [typedVessel, setTypedVessel] = useState(show(USUAL_L, OF_LITRES));
  const [splitIds, setSplitIds] = useState<readonly number[]>(free.map(({ id }) => id));
  const [bedIds, setBedIds] = useState<readonly number[]>([]);
  const [distance, setDistance] = useState("");
  const set = (change: Partial<typeof draft>) => setDraft({ ...draft, ...change });
  const asked = {
    ...draft,
    recipe,
    units: view.farm.units,
    read: measured,
    bedsM2: view.beds.reduce((sum, { id, areaM2 }) => sum + (bedIds.includes(id) ? areaM2 : 0), 0),
    splitVessels: fits
      .filter(({ id }) => splitIds.includes(id))
      .map(({ id, volumeL, diameterM }) => ({ id: String(id), vesselL: volumeL, diameterM })),
  };
  // What the land wants decides the vessel, not the other way round: the smallest that takes it.
  const smallest = () =>
    free
      .toSorted((a, b) => a.volumeL - b.volumeL)
      .find(({ volumeL, diameterM }) => workScale({ ...asked, vessel: `${volumeL} L`, diameterM }).scaled !== null);
  const vesselId =
    picked === undefined ? (((draft.by === "land" ? smallest() : undefined) ?? free[0])?.id ?? null) : picked;
  const vessel = view.vessels.find(({ id }) => id === vesselId);
  const vesselText = vessel ? `${vessel.volumeL} L` : typedVessel;
  const result = workScale({ ...asked, vessel: vesselText, diameterM: vessel?.diameterM ?? null });
  const { scaled, problem } = result;
  // Filled to its line by itself, a vessel needs no size told; anything else is handed on as it stands.
  const sized =
    scaled && draft.by !== "vessel"
      ? `&${sizeQuery({ basisAmount: scaled.basisAmount, choice: choiceOf(draft, measured) })}`
      : "";
  const at = (field: string) => (problem?.field === field ? problem.text : undefined);
  const drawnL = read(vesselText, OF_LITRES) ?? 0;
  return {
    draft,
    set,
    fits,
    vessel,
    vesselId,
    setPicked,
    typedVessel,
    setTypedVessel,
    splitIds,
    setSplitIds,
    bedIds,
    setBedIds,
    distance,
    setDistance,
    result,
    sized,
    at,
    drawnL,
    limited: limitedBy(recipe, draft.include),
  };
}

export type Scaling = ReturnType<typeof useScale>;
