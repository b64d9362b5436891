"use client";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { toast } from "sonner";
import { findIngredient, isWater } from "@/core/book/ingredients";
import type { RecipeKey } from "@/core/recipe/pick";
import { sayStock, sayVolume } from "@/formats/amounts";
import { parseNumber, readCelsius } from "@/formats/numbers";
import type { FarmView } from "@/services/farm";
import type { MakingView } from "@/services/fill";
import type { Plan, Vessel } from "@/services/types";
import { useFillAct } from "../acts/fill";
import { useMixingAct } from "../acts/mixing";
import { Button } from "../kit/Button";
import { NumberField, TextArea, TickField } from "../kit/fields";
import { Notice } from "../kit/Notice";
import { Refusal } from "../kit/Refusal";
import { Sheet } from "../kit/Sheet";
import { waterProblem } from "../water/waterDraft";
import { WaterPicker } from "../water/WaterPicker";
import { FillChoice } from "./FillChoice";
import { FillExtras } from "./FillExtras";
import { FillLines } from "./FillLines";
import { FillCautions, FillNotices, isColdFor } from "./FillNotices";
import { FillTools } from "./FillTools";
import { PlanSheet } from "./PlanSheet";
import { ShellChemistry } from "./ShellChemistry";
import { leansOnHeld } from "./fillPlan";
import type { FillStart } from "./recipeKey";
import { chosenRequest, fillRequest, mixingRequest } from "./fillRequest";
import { useFill } from "./useFill";

interface FillSheetProps {
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

/** Fill a vessel: recipe, amounts scaled to it and checked against the shed, water, the order of mixing, the cautions. */
export const FillSheet = ({ vessel, making, farm, startWith, plan = null, start: begun = plan }: FillSheetProps) => {
  const router = useRouter();
  const act = useFillAct("fillVessel");
  const mixing = useMixingAct("startMixing");
  const fill = useFill(vessel, making, startWith, begun);
  const { units } = farm;
  const [started, setStarted] = useState(false);
  const [stated, setStated] = useState("");
  const [startsCold, setStartsCold] = useState(false);
  const [labourMin, setLabourMin] = useState("45");
  const [reason, setReason] = useState("");
  const [planning, setPlanning] = useState(false);
  const { state, recipe, set } = fill;
  const { scaled, problem, lines, later, filledL, overBrim } = fill.plan;
  const waterL = lines.reduce((sum, { ingredient, used }) => sum + (isWater(ingredient) ? (used ?? 0) : 0), 0);
  const noAir = recipe.aerated && vessel.airW === 0;

  const leave = () => router.push("/", { scroll: false });
  const degree = units === "us" ? "°F" : "°C";
  const statedC = readCelsius(stated, units);
  const said = { vesselId: vessel.id, planId: plan?.id ?? null, statedC, reason };
  const waitsForWarmth = isColdFor(recipe, statedC) && !startsCold;
  const wait = () => {
    setStarted(true);
    leave();
  };
  const start = async () => {
    const answer = await act.run(fillRequest(fill, said, parseNumber(labourMin) as number));
    if (!answer) return;
    toast.success(`${vessel.name}: ${recipe.shortName.toLowerCase()} is started.`);
    wait();
  };
  const stepByStep = async () => {
    const answer = await mixing.run(mixingRequest(fill, said));
    if (!answer) return;
    setStarted(true);
    router.push(`/mix/${answer.mixingId}`);
  };

  if (started) return null;
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
  return (
    <Sheet
      wide
      open
      onClose={leave}
      title={`Fill ${vessel.name}`}
      lead={`${sayVolume(vessel.volumeL, units)} to the brim${vessel.site ? `, ${vessel.site}` : ""}${vessel.airW > 0 ? ", has air" : ""}`}
      foot={
        <>
          <Refusal error={error}>{fields["/vesselId"] ?? fields["/versionNo"] ?? fields["/planId"] ?? null}</Refusal>
          <div className="flex flex-wrap items-center justify-between gap-3">
            <p className={overBrim || waitsForWarmth ? "font-semibold text-rust" : "text-soft"}>
              {waitsForWarmth
                ? "It waits for warmth: warm the liquid first, or tick beside its temperature that it may start cold."
                : scaled
                  ? `Fills to ${sayVolume(filledL, units)}; ${overBrim ? "over the brim" : `${sayVolume(vessel.volumeL - filledL, units)} of headspace for ${recipe.headspaceFor}`}.`
                  : problem}
            </p>
            <div className="flex flex-wrap gap-2 max-sm:grid max-sm:w-full max-sm:grid-cols-2">
              <Button disabled={!scaled} onClick={() => setPlanning(true)}>
                Plan it for a day
              </Button>
              <Button disabled={blocked || mixing.busy} onClick={() => void stepByStep()}>
                Mix it step by step
              </Button>
              <Button
                look="strong"
                className="max-sm:col-span-2"
                disabled={blocked || act.busy}
                onClick={() => void start()}
              >
                Start the batch
              </Button>
            </div>
          </div>
        </>
      }
    >
      <div className="grid gap-5 md:grid-cols-[300px_1fr]">
        <FillChoice vessel={vessel} making={making} fill={fill} units={units} fields={fields} />
        <div className="grid content-start gap-5">
          {taken ? (
            <Notice
              tone="error"
              title={vessel.status === "running" ? `${vessel.name} is taken.` : `${vessel.name} wants washing first.`}
            >
              What you typed stays here; another vessel of the yard may take it.
            </Notice>
          ) : null}
          {noAir ? (
            <Notice tone="error" title={`${vessel.name} has no air`}>
              {`${recipe.name} needs it all the way: pick another vessel.`}
            </Notice>
          ) : null}
          <FillNotices
            recipe={recipe}
            making={making}
            vessel={vessel}
            lines={lines}
            filledL={filledL}
            statedC={statedC}
          />
          {fields["/overrideReason"] || reason !== "" || leansOnHeld(lines, making.shelf) ? (
            <TextArea
              label="Why what is held back goes in all the same"
              hint="Kept with the draw. Without a reason it stays on the shelf."
              value={reason}
              onChange={(event) => setReason(event.target.value)}
              error={reason.trim() === "" ? fields["/overrideReason"] : undefined}
            />
          ) : null}
          {problem && state.size !== "amount" && state.size !== "depth" ? (
            <Notice tone="error" title={problem}>
              {null}
            </Notice>
          ) : null}
          {scaled ? (
            <FillLines
              recipe={recipe}
              lines={lines}
              shelf={making.shelf}
              units={units}
              fields={fields}
              species={state.species}
              onSpecies={(ingredient, typed) => set({ species: { ...state.species, [ingredient]: typed } })}
              onType={(key, typed) => set({ drafts: { ...state.drafts, [key]: typed } })}
              onPicked={(ingredient, on) =>
                set({
                  picked: new Set(
                    on ? [...state.picked, ingredient] : [...state.picked].filter((id) => id !== ingredient),
                  ),
                })
              }
            />
          ) : null}
          {later.length > 0 ? (
            <section aria-label="Later">
              <h3 className="text-lg">Later</h3>
              <ul className="divide-y divide-line border-y border-line">
                {later.map((line) => (
                  <li key={line.ingredient} className="flex justify-between gap-3 py-2">
                    <span>
                      <span className="font-semibold">{findIngredient(line.ingredient).name}</span> on day {line.onDay},{" "}
                      {line.role}
                    </span>
                    <span className="reading text-xl font-semibold">{sayStock(line.amount, line.unit, units)}</span>
                  </li>
                ))}
              </ul>
            </section>
          ) : null}
          {scaled?.leftOut ? (
            <Notice tone="caution" title={`${findIngredient(scaled.leftOut.leaveOut).name} is left out`}>
              {scaled.leftOut.why}
            </Notice>
          ) : null}
          {recipe.family === "mineral" ? <ShellChemistry lines={lines} units={units} /> : null}
          {waterL > 0 ? (
            <WaterPicker
              label="Water for the brew"
              view={making.waters}
              neededL={waterL}
              value={state.water}
              units={units}
              fields={fields}
              onChange={(water) => set({ water })}
            />
          ) : null}
          <FillTools
            recipe={recipe}
            equipment={making.equipment}
            chosen={state.tools}
            onChange={(tools) => set({ tools })}
          />
          <FillExtras fill={fill} shelf={making.shelf} units={units} />
          <div className="grid grid-cols-2 gap-3">
            <NumberField
              label="Liquid stands at"
              unit={degree}
              hint="Read it. Empty: the air’s usual is taken, and said so."
              value={stated}
              onChange={(event) => setStated(event.target.value)}
              error={fields["/statedC"]}
            />
            <NumberField
              label="Hands’ time"
              unit="min"
              value={labourMin}
              onChange={(event) => setLabourMin(event.target.value)}
              error={fields["/labourMin"]}
            />
          </div>
          {isColdFor(recipe, statedC) ? (
            <TickField
              label="It may start cold: I know that it will be late, or never start"
              checked={startsCold}
              onChange={(event) => setStartsCold(event.target.checked)}
            />
          ) : null}
          <FillCautions recipe={recipe} lines={scaled?.lines ?? []} filledL={filledL} />
        </div>
      </div>
      {planning && scaled ? (
        <PlanSheet
          ask={chosenRequest(fill, said)}
          name={`${recipe.shortName} in ${vessel.name}`}
          today={making.today}
          onClose={() => setPlanning(false)}
          onDone={wait}
        />
      ) : null}
    </Sheet>
  );
};
