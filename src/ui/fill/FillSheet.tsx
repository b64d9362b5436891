"use client";
import { sayVolume, type UnitSystem } from "@/formats/amounts";
import { Button } from "../kit/Button";
import { Refusal } from "../kit/Refusal";
import { Sheet } from "../kit/Sheet";
import { FillChoice } from "./FillChoice";
import { PlanSheet } from "./PlanSheet";
import { chosenRequest } from "./fillRequest";
import { FillMain } from "./FillMain";
import { useFilling, type FillSheetProps, type Filling } from "./useFilling";

/** What it fills to, and the three ways on. */
const FillFoot = ({
  vessel,
  units,
  filling,
}: {
  readonly vessel: FillSheetProps["vessel"];
  readonly units: UnitSystem;
  readonly filling: Filling;
}) => {
  const { fill, act, mixing, blocked, waitsForWarmth, setPlanning, start, stepByStep } = filling;
  const { recipe } = fill;
  const { scaled, problem, filledL, overBrim } = fill.plan;
  return (
    <div className="flex flex-wrap items-center justify-between gap-3">
      <p className={overBrim || waitsForWarmth ? "font-semibold text-rust" : "text-soft"}>
        {waitsForWarmth
          ? "It waits for warmth: warm the liquid first, or tick beside its temperature that it may start cold."
          : scaled
            ? `Fills to ${sayVolume(filledL, units)}; ${overBrim ? "it will overflow" : `${sayVolume(vessel.volumeL - filledL, units)} of headspace for ${recipe.headspaceFor}`}.`
            : problem}
      </p>
      <div className="flex flex-wrap gap-2 max-sm:grid max-sm:w-full max-sm:grid-cols-2">
        <Button disabled={!scaled} onClick={() => setPlanning(true)}>
          Plan for later
        </Button>
        <Button disabled={blocked || mixing.busy} onClick={() => void stepByStep()}>
          Fill step by step
        </Button>
        <Button
          variant="strong"
          className="max-sm:col-span-2"
          disabled={blocked || act.busy}
          onClick={() => void start()}
        >
          Start batch
        </Button>
      </div>
    </div>
  );
};

/** Fill a vessel: recipe, amounts scaled to it and checked against the shed, water, the order of mixing, the cautions. */
export const FillSheet = (props: FillSheetProps) => {
  const { vessel, making, farm } = props;
  const filling = useFilling(props);
  const { fill, started, said, leave, planning, setPlanning, wait, fields, error } = filling;
  const { recipe } = fill;
  const { units } = farm;
  if (started) return null;
  return (
    <Sheet
      wide
      open
      onClose={leave}
      title={`Fill ${vessel.name}`}
      lead={`${sayVolume(vessel.volumeL, units)} full volume${vessel.site ? `, ${vessel.site}` : ""}${vessel.airW > 0 ? ", has air" : ""}`}
      foot={
        <>
          <Refusal error={error}>{fields["/vesselId"] ?? fields["/versionNo"] ?? fields["/planId"] ?? null}</Refusal>
          <FillFoot vessel={vessel} units={units} filling={filling} />
        </>
      }
    >
      {fill.isKept ? (
        <p className="mb-3 flex flex-wrap items-center gap-x-3 text-[0.92rem] text-soft">
          Not started yet; your entries are kept on this device.
          <Button variant="quiet" className="-ml-3" onClick={fill.drop}>
            Start over
          </Button>
        </p>
      ) : null}
      <div className="grid gap-5 md:grid-cols-[300px_1fr]">
        <FillChoice vessel={vessel} making={making} fill={fill} units={units} fields={fields} />
        <FillMain {...props} filling={filling} />
      </div>
      {planning && fill.plan.scaled ? (
        <PlanSheet
          ask={chosenRequest(fill, said)}
          name={`${recipe.shortName} in ${vessel.name}`}
          today={making.today}
          onClose={() => setPlanning(false)}
          onDone={() => {
            fill.drop();
            wait();
          }}
        />
      ) : null}
    </Sheet>
  );
};
