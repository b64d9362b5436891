"use client";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { toast } from "sonner";
import { CAUTIONS } from "@/core/book/cautions";
import { findIngredient } from "@/core/book/ingredients";
import type { RecipeKey } from "@/core/recipe/pick";
import { heaterNeed } from "@/core/recipe/conditions";
import { thinStarters } from "@/core/recipe/starter";
import { liftablePortions, wetSackKg } from "@/core/recipe/split";
import { toBase } from "@/core/quantity/units";
import { sayStock, sayTemperature, sayVolume } from "@/formats/amounts";
import { formatNumber, parseNumber } from "@/formats/numbers";
import type { FarmView } from "@/services/farmView";
import type { MakingView } from "@/services/readMaking";
import type { Vessel } from "@/services/types";
import { useAct } from "../actions";
import { Button } from "../kit/Button";
import { NumberField } from "../kit/fields";
import { Notice } from "../kit/Notice";
import { Sheet } from "../kit/Sheet";
import { askedWater, waterProblem, WaterPicker } from "../water/WaterPicker";
import { FillChoice } from "./FillChoice";
import { FillExtras } from "./FillExtras";
import { FillLines } from "./FillLines";
import { ShellChemistry } from "./ShellChemistry";
import { useFill } from "./useFill";

/** What a first try is made in, L. */
const TRIAL_L = 30;

interface FillSheetProps {
  /** Taken while the panel was open, it stays open, so that nothing typed is lost. */
  readonly vessel: Vessel & { readonly status: "running" | "dirty" | "free" };
  readonly making: MakingView;
  readonly farm: FarmView;
  /** The recipe that was picked in the book, if it was opened from there. */
  readonly startWith: RecipeKey | null;
}

/** Fill a vessel: recipe, amounts scaled to it and checked against the shed, water, the order of mixing, the cautions. */
export const FillSheet = ({ vessel, making, farm, startWith }: FillSheetProps) => {
  const router = useRouter();
  const act = useAct("fillVessel");
  const fill = useFill(vessel, making, startWith);
  const { units } = farm;
  const degree = units === "us" ? "°F" : "°C";
  const [started, setStarted] = useState(false);
  const [stated, setStated] = useState(units === "us" ? "68" : "20");
  const [labourMin, setLabourMin] = useState("45");
  const { state, recipe, set } = fill;
  const { scaled, problem, lines, later, filledL, overBrim } = fill.plan;
  const waterL = lines.reduce(
    (sum, line) => sum + (line.ingredient === "water" ? (parseNumber(line.typed) ?? 0) : 0),
    0,
  );
  const noAir = recipe.aerated && vessel.airW === 0;

  const thin = thinStarters(
    recipe,
    lines.map(({ ingredient, slot, typed }) => ({ ingredient, slot, amount: parseNumber(typed) ?? 0 })),
  );
  const statedC = parseNumber(stated);
  const liquidC = statedC === null ? null : toBase({ value: statedC, unit: degree }).value;
  // A degree or two is no matter.
  const coldBy = liquidC === null || scaled === null ? 0 : recipe.comfortC.low - 2 - liquidC;
  const heater =
    coldBy > 0 && liquidC! > -5 && filledL > 0 ? heaterNeed(vessel.volumeL, liquidC!, recipe.comfortC.low) : null;

  const leave = () => router.push("/", { scroll: false });
  const start = async () => {
    if (!scaled) return;
    const statedNumber = stated.trim() === "" ? null : (parseNumber(stated) as number);
    const answer = await act.run({
      vesselId: vessel.id,
      ...state.key,
      basisAmount: Number(scaled.basisAmount.toFixed(6)),
      include: [...state.include],
      stated: Object.entries(state.stated).flatMap(([ingredient, typed]) =>
        typed.trim() === "" ? [] : [{ ingredient, amount: parseNumber(typed) as number }],
      ),
      substitutes: Object.entries(state.swaps).map(([instead, use]) => ({ instead, use })),
      lines: lines.map((line) => ({
        ingredientId: line.ingredient,
        part: line.part,
        used: parseNumber(line.typed) as number,
        pickedNow: line.pickedNow,
      })),
      water: askedWater(state.water),
      statedC: statedNumber === null ? null : Number(toBase({ value: statedNumber, unit: degree }).value.toFixed(1)),
      labourMin: parseNumber(labourMin) as number,
    });
    if (!answer) return;
    setStarted(true);
    toast.success(`${vessel.name}: ${recipe.shortName.toLowerCase()} is started.`);
    leave();
  };

  if (started) return null;
  const taken = vessel.status !== "free";
  const needsReason = waterL > 0 && waterProblem(making.waters, state.water, waterL) !== null;
  const sackKg = wetSackKg({ recipe }, scaled?.lines ?? []);
  return (
    <Sheet
      wide
      open
      onClose={leave}
      title={`Fill ${vessel.name}`}
      lead={`${sayVolume(vessel.volumeL, units)} to the brim${vessel.site ? `, ${vessel.site}` : ""}${vessel.airW > 0 ? ", has air" : ""}`}
      foot={
        <div className="flex flex-wrap items-center justify-between gap-3">
          <p className={overBrim ? "font-semibold text-rust" : "text-soft"}>
            {scaled
              ? `Fills to ${sayVolume(filledL, units)}; ${overBrim ? "over the brim" : `${sayVolume(vessel.volumeL - filledL, units)} of headspace for ${recipe.headspaceFor}`}.`
              : problem}
          </p>
          <Button
            look="strong"
            className="max-sm:w-full"
            disabled={
              act.busy || !scaled || overBrim || taken || noAir || (needsReason && state.water.reason.trim() === "")
            }
            onClick={() => void start()}
          >
            Start the batch
          </Button>
        </div>
      }
    >
      <div className="grid gap-5 md:grid-cols-[300px_1fr]">
        <FillChoice vessel={vessel} making={making} fill={fill} units={units} fields={act.fields} />
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
          {making.made.includes(recipe.id) || recipe.family === "preparation" || vessel.volumeL <= TRIAL_L ? null : (
            <Notice tone="plain" title="The first one here">
              {`Nobody on this farm has strained a ${recipe.shortName.toLowerCase()} yet. Try it in ${TRIAL_L} L or less, and step up once one came off well.`}
            </Notice>
          )}
          {heater ? (
            <Notice tone="caution" title="Cold for it">
              {`It likes ${sayTemperature(recipe.comfortC.low, units)} or warmer. ${formatNumber(heater.warmW, 2)} W bring so much up in twelve hours; start the clock once it is warm.`}
            </Notice>
          ) : null}
          {thin.map(({ ingredient, share, leastShare }) => (
            <Notice key={ingredient} tone="caution" title="Too thin a start">
              {`${findIngredient(ingredient).name} is ${formatNumber(share * 100, 2)} % of the liquid; under ${formatNumber(leastShare * 100, 2)} % it takes far longer, or never starts.`}
            </Notice>
          ))}
          {act.error ? (
            <Notice tone="error" title={act.error.message}>
              {act.fields["/vesselId"] ?? act.fields["/versionNo"] ?? null}
            </Notice>
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
              fields={act.fields}
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
          {recipe.family === "mineral" ? <ShellChemistry lines={lines} units={units} /> : null}
          {waterL > 0 ? (
            <WaterPicker
              label="Water for the brew"
              view={making.waters}
              neededL={waterL}
              value={state.water}
              units={units}
              fields={act.fields}
              onChange={(water) => set({ water })}
            />
          ) : null}
          <FillExtras fill={fill} shelf={making.shelf} units={units} />
          <div className="grid grid-cols-2 gap-3">
            <NumberField
              label="Liquid stands at"
              unit={degree}
              hint="Used until you read it."
              value={stated}
              onChange={(event) => setStated(event.target.value)}
              error={act.fields["/statedC"]}
            />
            <NumberField
              label="Hands’ time"
              unit="min"
              value={labourMin}
              onChange={(event) => setLabourMin(event.target.value)}
              error={act.fields["/labourMin"]}
            />
          </div>
          <section aria-label="Cautions" className="grid gap-2">
            <h3 className="text-lg">Mind</h3>
            {sackKg > 25 ? (
              <Notice tone="caution">
                {`The sack comes out at about ${formatNumber(sackKg, 2)} kg wet: two people or a pulley, or ${liftablePortions(sackKg, null).count} sacks.`}
              </Notice>
            ) : null}
            {recipe.cautions.map((caution) => (
              <Notice key={caution} tone="caution">
                {CAUTIONS[caution]}
              </Notice>
            ))}
            <p className="text-[0.88rem] text-soft">
              Local code, your certifier and licensed trades stand above this. {recipe.sureness}
            </p>
          </section>
        </div>
      </div>
    </Sheet>
  );
};
