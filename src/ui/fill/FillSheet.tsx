"use client";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { toast } from "sonner";
import { findMethod, findRecipe, METHODS } from "@/core/book";
import { CAUTIONS } from "@/core/book/cautions";
import { findIngredient, type IngredientId } from "@/core/book/ingredients";
import { toBase } from "@/core/quantity/units";
import { sayStock, sayVolume } from "@/formats/amounts";
import { formatNumber, parseNumber } from "@/formats/numbers";
import type { ShelfItem } from "@/services/readShed";
import type { FarmView } from "@/services/farmView";
import type { Vessel } from "@/services/types";
import { useAct } from "../actions";
import { Button } from "../kit/Button";
import { Choices } from "../kit/Choices";
import { NumberField, TickField } from "../kit/fields";
import { Notice } from "../kit/Notice";
import { Sheet } from "../kit/Sheet";
import { VesselDrawing } from "../yard/VesselDrawing";
import { FillLines } from "./FillLines";
import { basisOf, planFill, type FillSize } from "./fillPlan";

interface FillSheetProps {
  /** Taken while the panel was open, it stays open, so that nothing typed is lost. */
  readonly vessel: Vessel & { readonly status: "running" | "dirty" | "free" };
  readonly shelf: readonly ShelfItem[];
  readonly farm: FarmView;
}

/** Fill a vessel: method and school, amounts scaled to it and checked against the shed, in the order of mixing, with the cautions. */
export const FillSheet = ({ vessel, shelf, farm }: FillSheetProps) => {
  const router = useRouter();
  const fill = useAct("fillVessel");
  const { units } = farm;
  const usable = METHODS.filter((method) => !method.aerated || vessel.airW > 0);
  const [methodId, setMethodId] = useState(usable[0]!.id);
  const method = findMethod(methodId);
  const [schoolId, setSchoolId] = useState(method.cautiousSchool);
  const recipe = findRecipe(
    methodId,
    method.schools.some(({ id }) => id === schoolId) ? schoolId : method.cautiousSchool,
  );
  const [started, setStarted] = useState(false);
  const [size, setSize] = useState<FillSize>("vessel");
  const [wanted, setWanted] = useState("");
  const [include, setInclude] = useState<readonly IngredientId[]>([]);
  const [picked, setPicked] = useState<ReadonlySet<string>>(new Set());
  const [drafts, setDrafts] = useState<Readonly<Record<string, string>>>({});
  const degree = units === "us" ? "°F" : "°C";
  const [stated, setStated] = useState(units === "us" ? "68" : "20");
  const [labourMin, setLabourMin] = useState("45");

  const pickMethod = (id: string) => {
    setMethodId(id);
    setSchoolId(findMethod(id).cautiousSchool);
    setInclude([]);
    setDrafts({});
    setPicked(new Set());
  };
  const { unit: basisUnit, word: basisWord } = basisOf(recipe);

  const { scaled, problem, lines, filledL, overBrim } = planFill({
    recipe,
    vessel,
    size,
    wanted,
    include,
    picked,
    drafts,
    shelf,
  });

  const leave = () => router.push("/", { scroll: false });
  const start = async () => {
    if (!scaled) return;
    const statedNumber = stated.trim() === "" ? null : (parseNumber(stated) as number);
    const answer = await fill.run({
      vesselId: vessel.id,
      methodId: method.id,
      schoolId: recipe.school.id,
      basisAmount: Number(scaled.basisAmount.toFixed(6)),
      include: [...include],
      lines: lines.map((line) => ({
        ingredientId: line.ingredient,
        part: line.part,
        used: parseNumber(line.typed) as number,
        pickedNow: line.pickedNow,
      })),
      statedC: statedNumber === null ? null : Number(toBase({ value: statedNumber, unit: degree }).value.toFixed(1)),
      labourMin: parseNumber(labourMin) as number,
    });
    if (!answer) return;
    setStarted(true);
    toast.success(`${vessel.name}: ${method.shortName.toLowerCase()} is started.`);
    leave();
  };

  if (started) return null;
  const taken = vessel.status !== "free";
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
              ? `Fills to ${sayVolume(filledL, units)}; ${overBrim ? "over the brim" : `${sayVolume(vessel.volumeL - filledL, units)} of headspace`}.`
              : problem}
          </p>
          <Button
            look="strong"
            className="max-sm:w-full"
            disabled={fill.busy || !scaled || overBrim || taken}
            onClick={() => void start()}
          >
            Start the batch
          </Button>
        </div>
      }
    >
      <div className="grid gap-5 md:grid-cols-[300px_1fr]">
        <div className="grid content-start gap-5">
          <Choices
            label="Method"
            stacked
            value={methodId}
            onChange={pickMethod}
            options={METHODS.map((option) => ({
              value: option.id,
              label: option.name,
              note: option.aerated && vessel.airW === 0 ? "Needs air; this vessel has none." : option.purpose,
              disabled: option.aerated && vessel.airW === 0,
            }))}
          />
          <Choices
            label="School"
            stacked
            value={recipe.school.id}
            onChange={(id) => {
              setSchoolId(id);
              setDrafts({});
            }}
            options={method.schools.map((option) => ({
              value: option.id,
              label: `${option.name}${option.id === method.cautiousSchool ? " (the cautious one)" : ""}`,
              note: option.stance,
            }))}
          />
          <Choices
            label="How much"
            stacked
            value={size}
            onChange={(next) => {
              setSize(next);
              setDrafts({});
            }}
            options={[
              { value: "vessel", label: "Fill it, with headspace" },
              { value: "shed", label: "As far as the shed goes" },
              { value: "amount", label: `So much ${basisWord}` },
            ]}
          />
          {size === "amount" ? (
            <NumberField
              label={`${basisWord.charAt(0).toUpperCase()}${basisWord.slice(1)}`}
              unit={basisUnit}
              value={wanted}
              onChange={(event) => {
                setWanted(event.target.value);
                setDrafts({});
              }}
              error={wanted !== "" ? (problem ?? fill.fields["/basisAmount"]) : undefined}
            />
          ) : null}
          <div className="flex items-end gap-4">
            <VesselDrawing
              kind={vessel.kind}
              volumeL={vessel.volumeL}
              diameterM={vessel.diameterM}
              pxPerM={150 / Math.max(1, Math.cbrt(vessel.volumeL / 100))}
              contents={
                scaled
                  ? {
                      filledL,
                      methodId,
                      lid: recipe.lid,
                      aerated: recipe.aerated,
                      airOn: false,
                      surface: null,
                      film: null,
                      floatingSolids: recipe.basis === "plant",
                    }
                  : null
              }
              label={`${vessel.name} filled to ${formatNumber((filledL / vessel.volumeL) * 100, 2)} %`}
            />
            {scaled ? (
              <p className="text-[0.9rem] text-soft">
                {formatNumber((filledL / vessel.volumeL) * 100, 2)} % full.
                {scaled.limitedBy === "vessel" ? "" : ` ${findIngredient(scaled.limitedBy).name} runs out first.`}
              </p>
            ) : null}
          </div>
        </div>
        <div className="grid content-start gap-5">
          {taken ? (
            <Notice
              tone="error"
              title={vessel.status === "running" ? `${vessel.name} is taken.` : `${vessel.name} wants washing first.`}
            >
              What you typed stays here; another vessel of the yard may take it.
            </Notice>
          ) : null}
          {fill.error ? (
            <Notice tone="error" title={fill.error.message}>
              {fill.fields["/vesselId"] ? fill.fields["/vesselId"] : null}
            </Notice>
          ) : null}
          {problem && size !== "amount" ? (
            <Notice tone="error" title={problem}>
              {null}
            </Notice>
          ) : null}
          {scaled ? (
            <FillLines
              recipe={recipe}
              lines={lines}
              shelf={shelf}
              units={units}
              fields={fill.fields}
              onType={(key, typed) => setDrafts({ ...drafts, [key]: typed })}
              onPicked={(ingredient, on) =>
                setPicked(new Set(on ? [...picked, ingredient] : [...picked].filter((id) => id !== ingredient)))
              }
            />
          ) : null}
          {recipe.ingredients.some(({ optional }) => optional) ? (
            <fieldset>
              <legend className="text-[0.92rem] font-semibold">May go in as well</legend>
              {recipe.ingredients
                .filter(({ optional }) => optional)
                .map(({ ingredient, role }) => (
                  <TickField
                    key={ingredient}
                    label={`${findIngredient(ingredient).name}: ${role}. In the shed: ${sayStock(shelf.find((item) => item.ingredientId === ingredient)?.onHand ?? 0, findIngredient(ingredient).stockUnit, units)}`}
                    checked={include.includes(ingredient)}
                    onChange={(event) =>
                      setInclude(
                        event.target.checked ? [...include, ingredient] : include.filter((id) => id !== ingredient),
                      )
                    }
                  />
                ))}
            </fieldset>
          ) : null}
          <div className="grid grid-cols-2 gap-3">
            <NumberField
              label="Liquid stands at"
              unit={degree}
              hint="Used until you read it."
              value={stated}
              onChange={(event) => setStated(event.target.value)}
              error={fill.fields["/statedC"]}
            />
            <NumberField
              label="Hands’ time"
              unit="min"
              value={labourMin}
              onChange={(event) => setLabourMin(event.target.value)}
              error={fill.fields["/labourMin"]}
            />
          </div>
          <section aria-label="Cautions" className="grid gap-2">
            <h3 className="text-lg">Mind</h3>
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
