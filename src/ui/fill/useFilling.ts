import { useRouter } from "next/navigation";
import { useState } from "react";
import { told } from "../kit/told";
import { sentAt, type When } from "../kit/WhenChoice";
import { isWater } from "@/core/book/ingredients";
import type { RecipeKey } from "@/core/recipe/pick";
import { parseNumber, readCelsius } from "@/formats/numbers";
import type { FarmView } from "@/services/farm";
import type { MakingView } from "@/services/fill";
import type { Plan, Vessel } from "@/services/types";
import { useFillAct } from "../acts/fill";
import { undoOffer } from "../acts/undo";
import { useMixingAct } from "../acts/mixing";
import { waterProblem } from "../water/waterDraft";
import { isColdFor } from "./FillNotices";
import type { FillStart } from "./recipeKey";
import { fillRequest, mixingRequest } from "./fillRequest";
import { useFill } from "./useFill";
import { inText } from "@/formats/grammar";

export interface FillSheetProps {
  /** Taken while the panel was open, it stays open, so that nothing typed is lost. */
  readonly vessel: Vessel & { readonly status: "running" | "dirty" | "free" };
  readonly making: MakingView;
  readonly farm: FarmView;
  /** The recipe that was picked in the book, if it was opened from there. */
  readonly startWith: RecipeKey | null;
  /** The plan that this is the doing of. */
  readonly plan?: Plan | null;
  /** How much is made to begin with; as much as fits where nobody said. */
  readonly start?: FillStart | null;
}

/** What is said beside the amounts. */
function useBesides() {
  const [stated, setStated] = useState("");
  const [startsCold, setStartsCold] = useState(false);
  const [labourMin, setLabourMin] = useState("45");
  const [reason, setReason] = useState("");
  const [when, setWhen] = useState<When>({ type: "now" });
  return {
    stated,
    setStated,
    startsCold,
    setStartsCold,
    labourMin,
    setLabourMin,
    reason,
    setReason,
    when,
    setWhen,
  };
}

/** What is filled in beside the amounts, what keeps it from being started, and its starting. */
export function useFilling({ vessel, making, farm, startWith, plan = null, start: begun = plan }: FillSheetProps) {
  const router = useRouter();
  const act = useFillAct("fillVessel");
  const takeBack = useFillAct("takeBackStart", "toast");
  const mixing = useMixingAct("startMixing");
  const fill = useFill(vessel, making, startWith, begun);
  const { units } = farm;
  const [started, setStarted] = useState(false);
  const besides = useBesides();
  const { stated, startsCold, labourMin, reason, when } = besides;
  const [planning, setPlanning] = useState(false);
  const { state, recipe } = fill;
  const { scaled, lines, filledL, overBrim } = fill.plan;
  const waterL = lines.reduce((sum, { ingredient, used }) => sum + (isWater(ingredient) ? (used ?? 0) : 0), 0);
  const noAir = recipe.aerated && vessel.airW === 0;

  const leave = () => router.push("/", { scroll: false });
  const statedC = readCelsius(stated, units);
  const startedAt = sentAt(when, making.nowMs, farm);
  const said = { vesselId: vessel.id, planId: plan?.id ?? null, statedC, reason, startedAt };
  const waitsForWarmth = isColdFor(recipe, statedC) && !startsCold;
  const wait = () => {
    setStarted(true);
    leave();
  };
  const start = async () => {
    const answer = await act.run(fillRequest(fill, said, parseNumber(labourMin) as number));
    if (!answer) return;
    fill.drop();
    told(
      `${vessel.name}: ${inText(recipe.shortName)} started.`,
      undoOffer(answer.batchId ? () => takeBack.run({ batchId: answer.batchId }) : null),
    );
    wait();
  };
  const stepByStep = async () => {
    const answer = await mixing.run(mixingRequest(fill, said));
    if (!answer) return;
    fill.drop();
    setStarted(true);
    router.push(`/mix/${answer.mixingId}`);
  };

  const taken = vessel.status !== "free";
  const needsReason = waterL > 0 && waterProblem(making.waters, state.water, waterL) !== null;
  const blocked =
    !scaled ||
    overBrim ||
    taken ||
    noAir ||
    filledL <= 0 ||
    waitsForWarmth ||
    (needsReason && state.water.reason.trim() === "");
  const error = act.error ?? mixing.error;
  const fields = { ...mixing.fields, ...act.fields };
  return {
    act,
    mixing,
    fill,
    started,
    ...besides,
    planning,
    setPlanning,
    waterL,
    noAir,
    leave,
    statedC,
    said,
    waitsForWarmth,
    wait,
    start,
    stepByStep,
    taken,
    blocked,
    error,
    fields,
  };
}
export type Filling = ReturnType<typeof useFilling>;
