"use client";
import { clsx } from "clsx";
import { Check } from "lucide-react";
import { RadioGroup } from "radix-ui";
import { commonVessels } from "@/core/recipe/commonVessels";
import { vesselShape } from "@/core/recipe/vesselShape";
import { sayVolume, type UnitSystem } from "@/formats/amounts";
import { OF_LITRES } from "@/formats/measured";
import { sayCommonVessel } from "@/words/said";
import { VesselDrawing } from "../drawings/VesselDrawing";
import { Choices } from "../kit/Choices";
import { Notice } from "../kit/Notice";
import { AmountField } from "../measures/AmountField";
import type { FirstDraft, FirstGap } from "./firstDraft";

/** All stand on one line, to one scale. */
const PX_PER_M = 90;
const SPADE_M = 1.05;

/** A spade beside them, so that a drum looks as large as a drum. */
const Spade = () => {
  const high = SPADE_M * PX_PER_M;
  return (
    <svg aria-hidden width={26} height={high} viewBox={`0 0 26 ${high}`} className="block shrink-0">
      <path d={`M4 2H22M13 2V${high * 0.66}`} stroke="#8a6a44" strokeWidth={4} fill="none" strokeLinecap="round" />
      <path
        d={`M3 ${high * 0.64}H23V${high * 0.84}Q23 ${high * 0.95} 13 ${high}Q3 ${high * 0.95} 3 ${high * 0.84}Z`}
        fill="var(--galvanised)"
        stroke="var(--ink)"
        strokeWidth={2}
      />
    </svg>
  );
};

const Gone = ({ volumeL }: { readonly volumeL: number }) => {
  const { diameterM, heightM } = vesselShape(volumeL);
  return (
    <span
      aria-hidden
      className="mx-2 grid place-items-center border-2 border-dashed border-soft"
      style={{ width: diameterM * PX_PER_M, height: heightM * PX_PER_M }}
    >
      <span className="grid size-7 place-items-center rounded-full bg-leaf text-on-strong">
        <Check className="size-5" />
      </span>
    </span>
  );
};

interface VesselPickProps {
  readonly draft: FirstDraft;
  readonly units: UnitSystem;
  readonly gap: FirstGap | null;
  readonly volumeError: string | undefined;
  readonly onChange: (change: Partial<FirstDraft>) => void;
}

const Row = ({ draft, units, onChange }: Pick<VesselPickProps, "draft" | "units" | "onChange">) => (
  <RadioGroup.Root
    aria-label="What can you fill?"
    value={draft.vessel ?? ""}
    onValueChange={(vessel) => onChange({ vessel: vessel as FirstDraft["vessel"], drafts: {}, wanted: "" })}
    className="grid justify-items-start gap-3"
  >
    <div className="flex w-full flex-wrap items-end gap-y-4">
      <span
        className="flex items-end self-stretch border-b-[3px] border-ink max-md:hidden"
        style={{ marginBottom: "2.85rem" }}
      >
        <Spade />
      </span>
      {commonVessels(units).map(({ id, kind, volumeL }) => (
        <RadioGroup.Item
          key={id}
          value={id}
          className="group flex min-w-11 flex-auto flex-col items-center rounded-t-[5px] outline-offset-2 hover:bg-chalk"
        >
          <span className="flex w-full justify-center border-b-[3px] border-ink">
            {draft.vessel === id ? (
              <Gone volumeL={volumeL} />
            ) : (
              <VesselDrawing
                kind={kind}
                volumeL={volumeL}
                diameterM={null}
                pxPerM={PX_PER_M}
                contents={null}
                label=""
              />
            )}
          </span>
          <span className={clsx("pt-1 text-[0.92rem] font-semibold leading-tight", draft.vessel === id && "text-leaf")}>
            {sayCommonVessel(id)}
          </span>
          <span className="reading text-[0.88rem] text-soft">{sayVolume(volumeL, units)}</span>
        </RadioGroup.Item>
      ))}
    </div>
    <RadioGroup.Item
      value="own"
      className="min-h-11 rounded-[5px] border-[1.5px] border-ink bg-chalk px-3 font-semibold data-[state=checked]:bg-marigold-wash w-full md:mt-1 md:w-auto"
    >
      Another size
    </RadioGroup.Item>
  </RadioGroup.Root>
);

/** What is filled, and what it was used for before: the one thing that no washing puts right. */
export const VesselPick = ({ draft, units, gap, volumeError, onChange }: VesselPickProps) => (
  <section aria-labelledby="what-to-fill" className="grid content-start gap-4">
    <h2 id="what-to-fill" className="text-xl">
      What can you fill?
    </h2>
    <Row draft={draft} units={units} onChange={onChange} />
    {draft.vessel === "own" ? (
      <AmountField
        label="Full volume"
        of={OF_LITRES}
        typed={draft.ownVolume}
        value={draft.ownVolume}
        inputMode="decimal"
        onChange={(event) => onChange({ ownVolume: event.target.value })}
        error={volumeError}
      />
    ) : null}
    {draft.vessel === null ? (
      <p className="text-[0.92rem] text-soft">Have nothing yet? A clean food jar or bucket is enough to learn with.</p>
    ) : (
      <Choices
        label="What was in it before?"
        value={draft.heldBefore ?? ("" as "food")}
        onChange={(heldBefore) => onChange({ heldBefore })}
        options={[
          { value: "food", label: "Food or drink" },
          { value: "nothing", label: "Nothing, it is new" },
          { value: "manure", label: "Manure or urine" },
          { value: "unfit", label: "Fuel, paint, spray, or not sure" },
        ]}
      />
    )}
    {draft.heldBefore === "unfit" ? (
      <Notice tone="error" title="Do not use this vessel.">
        What soaked into it gets into your food. No washing takes it out. Pick another vessel.
      </Notice>
    ) : draft.heldBefore === "manure" ? (
      <Notice tone="caution" title="It stays a manure vessel.">
        Manure germs make people ill. Make only manure teas in it, never what goes on leaves you eat.
      </Notice>
    ) : gap === "before" ? (
      <p className="text-[0.92rem] text-soft">Say this first: it decides what you can make in it.</p>
    ) : null}
  </section>
);
