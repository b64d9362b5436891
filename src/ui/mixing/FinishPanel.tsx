"use client";
import type { RefusalCode } from "@/words/refusals";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { told } from "../kit/told";
import { findIngredient, type IngredientId, isWater } from "@/core/book/ingredients";
import { fromBase } from "@/core/quantity/units";
import { parseNumber, readCelsius } from "@/formats/numbers";
import { clockTime } from "@/formats/times";
import type { MixingView } from "@/services/mixing";
import { useFillAct } from "../acts/fill";
import { useMixingAct } from "../acts/mixing";
import { undoOffer } from "../acts/undo";
import { Button } from "../kit/Button";
import { NumberField, SelectField, TextArea, TextField, TickField } from "../kit/fields";
import { Refusal } from "../kit/Refusal";
import { askedWater, NO_WATER, type WaterDraft } from "../water/waterDraft";
import { WaterPicker } from "../water/WaterPicker";

/** Lines as they are sent: those of which something went in, in the fill's order. */
const linesIn = ({ progress, lines }: MixingView): readonly { ingredientId: string; amount: number }[] =>
  lines.flatMap(({ ingredientId, part }) => {
    const amount = progress.steps.find(({ step }) => step.key === `add-${part}-${ingredientId}`)?.done?.amount ?? 0;
    return amount > 0 ? [{ ingredientId, amount }] : [];
  });

/** Refusals that a change of what was ticked puts right. */
const PUT_RIGHT: ReadonlySet<string> = new Set<RefusalCode>([
  "over-brim",
  "short-of-stock",
  "vessel-filled",
  "vessel-mixing",
]);

const degreeOf = (view: MixingView) => (view.farm.units === "us" ? "°F" : "°C");

/** What is said at the end of a mixing, what changed since it was begun, and its sending. */
function useFinish(view: MixingView) {
  const router = useRouter();
  const act = useMixingAct("finishMixing");
  const takeBack = useFillAct("takeBackStart", "toast");
  const degree = degreeOf(view);
  const [stated, setStated] = useState(
    view.statedC === null
      ? ""
      : String(Math.round(fromBase({ dimension: "temperature", value: view.statedC }, degree).value)),
  );
  const [labourMin, setLabourMin] = useState(
    String(Math.max(1, Math.min(600, Math.round((view.nowMs - view.startedMs) / 60_000)))),
  );
  const [reason, setReason] = useState("");
  const [water, setWater] = useState<WaterDraft>(NO_WATER);
  const [vesselId, setVesselId] = useState("");
  const [species, setSpecies] = useState("");
  const [elsewhere, setElsewhere] = useState<readonly string[]>([]);
  const finish = async () => {
    const answer = await act.run({
      mixingId: view.id,
      labourMin: parseNumber(labourMin) as number,
      statedC: readCelsius(stated, view.farm.units),
      overrideReason: reason.trim() === "" ? null : reason.trim(),
      water: askedWater(water),
      vesselId: vesselId === "" ? null : Number(vesselId),
      elsewhere: [...elsewhere],
      species,
    });
    if (!answer) return;
    told(
      "Its clock runs. The label is ready to print.",
      undoOffer(answer.batchId ? () => takeBack.run({ batchId: answer.batchId }) : null),
    );
    router.push(`/batches/${answer.batchId}`);
  };
  const { fields, error } = act;
  const paths = Object.keys(fields);
  const lines = linesIn(view);
  const short = paths.flatMap((path) => {
    const [, index] = /^\/lines\/(\d+)\/used$/.exec(path) ?? [];
    const line = index === undefined ? undefined : lines[Number(index)];
    return line ? [line.ingredientId] : [];
  });
  const asksElsewhere = [...new Set([...short, ...elsewhere])];
  const waterL = lines.reduce((sum, { ingredientId, amount }) => sum + (isWater(ingredientId) ? amount : 0), 0);
  const asksWater = water.sourceId !== null || paths.some((path) => path.startsWith("/water"));
  const asksVessel = vesselId !== "" || paths.includes("/vesselId");
  const asksPlants = species !== "" || paths.some((path) => path.endsWith("/species"));
  return {
    act,
    fields,
    error,
    stated,
    setStated,
    labourMin,
    setLabourMin,
    reason,
    setReason,
    water,
    setWater,
    vesselId,
    setVesselId,
    species,
    setSpecies,
    elsewhere,
    setElsewhere,
    paths,
    asksElsewhere,
    waterL,
    asksWater,
    asksVessel,
    asksPlants,
    finish,
  };
}

type Finishing = ReturnType<typeof useFinish>;

/** What is asked only where it does not fit any more as it was begun. */
const WhatChanged = ({ view, finishing }: { readonly view: MixingView; readonly finishing: Finishing }) => {
  const {
    fields,
    water,
    setWater,
    vesselId,
    setVesselId,
    species,
    setSpecies,
    elsewhere,
    setElsewhere,
    paths,
    asksElsewhere,
    waterL,
    asksWater,
    asksVessel,
    asksPlants,
  } = finishing;
  return (
    <>
      {asksWater ? (
        <WaterPicker
          label="Water that went in"
          view={view.waters}
          neededL={waterL}
          value={water}
          units={view.farm.units}
          fields={fields}
          onChange={setWater}
        />
      ) : null}
      {asksVessel ? (
        <SelectField
          label="Which vessel does it stand in?"
          value={vesselId}
          onChange={(event) => setVesselId(event.target.value)}
          error={fields["/vesselId"]}
        >
          <option value="">{view.vesselName}, as begun</option>
          {view.freeVessels.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </SelectField>
      ) : null}
      {asksElsewhere.map((id) => (
        <TickField
          key={id}
          label={`${findIngredient(id as IngredientId).name}: what the shed’s books lack came from elsewhere`}
          checked={elsewhere.includes(id)}
          onChange={(event) =>
            setElsewhere(event.target.checked ? [...elsewhere, id] : elsewhere.filter((one) => one !== id))
          }
        />
      ))}
      {asksPlants ? (
        <TextField
          label="Which plants were picked"
          value={species}
          onChange={(event) => setSpecies(event.target.value)}
          error={paths.flatMap((path) => (path.endsWith("/species") ? [fields[path]!] : []))[0]}
        />
      ) : null}
    </>
  );
};

/** All is in: the batch begins, its clock at the last living thing. What changed since the first step is mended here. */
export const FinishPanel = ({ view }: { readonly view: MixingView }) => {
  const finishing = useFinish(view);
  const { act, fields, error, stated, setStated, labourMin, setLabourMin, reason, setReason, finish } = finishing;
  return (
    <section aria-label="All is in" className="grid gap-3 border-2 border-ink bg-chalk p-4">
      <h2 className="text-2xl">All is in</h2>
      {view.progress.timeNoughtMs === null ? null : (
        <p className="text-lg">
          Its clock starts at{" "}
          <span className="reading font-semibold">{clockTime(new Date(view.progress.timeNoughtMs), view.farm)}</span>.
        </p>
      )}
      <div className="grid grid-cols-2 gap-3">
        <NumberField
          label="Liquid stands at"
          unit={degreeOf(view)}
          value={stated}
          onChange={(event) => setStated(event.target.value)}
          error={fields["/statedC"]}
        />
        <NumberField
          label="Work time"
          unit="min"
          value={labourMin}
          onChange={(event) => setLabourMin(event.target.value)}
          error={fields["/labourMin"]}
        />
      </div>
      <WhatChanged view={view} finishing={finishing} />
      {fields["/overrideReason"] || reason !== "" ? (
        <TextArea
          label="Reason for using it anyway"
          value={reason}
          onChange={(event) => setReason(event.target.value)}
          error={fields["/overrideReason"]}
        />
      ) : null}
      <Refusal error={error}>
        {error && PUT_RIGHT.has(error.code)
          ? "What was ticked stays. Put it right above, or take the last steps back and tick them as they were."
          : null}
      </Refusal>
      <Button variant="strong" wide className="min-h-16 text-xl" disabled={act.busy} onClick={() => void finish()}>
        Start batch
      </Button>
    </section>
  );
};
