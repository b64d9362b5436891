"use client";
import { Printer } from "lucide-react";
import { injectorChain } from "@/core/apply/chain";
import { careAfter, meshUm } from "@/core/apply/care";
import { isInline } from "@/core/apply/tool";
import { FULL_REASON, reasonSuffices } from "@/core/apply/cautions";
import { CAUTIONS } from "@/core/book/cautions";
import { loadNoun, sayBlendFirst, sayCare, sayCaution, sayChain, sayLoad, sayMesh, sayPreMix } from "@/words/said";
import { speechOf } from "@/words/speech";
import { Button } from "../kit/Button";
import { WaterPicker } from "../water/WaterPicker";
import { NumberField, SelectField, TextArea, TextField, TickField } from "../kit/fields";
import { Link } from "../kit/Link";
import { Fold } from "../kit/Fold";
import { Notice } from "../kit/Notice";
import { Refusal } from "../kit/Refusal";
import { WhenChoice } from "../kit/WhenChoice";
import { LoadDrawing } from "./LoadDrawing";
import { Stock } from "./LoadsResult";
import { PourList, type Stop } from "./PourList";
import { FitHours } from "./FitHours";
import { MixClock } from "./MixClock";
import { PatchTests } from "./PatchTests";
import { SmellFirst } from "./SmellFirst";
import type { Applying } from "./useApply";
import { HowMuch, WhatAndHow } from "./WhatGoesOn";
import { counted } from "@/formats/grammar";

interface ApplyPanelProps {
  readonly applying: Applying;
  /** The plots that get something, in walking order. */
  readonly stops: readonly Stop[];
}

/** How the dose is reached through an injector: in its tank, then in the line. */
const Chain = ({ applying }: { readonly applying: Applying }) => {
  const { choice, dilution } = applying;
  const chain = dilution && injectorChain(dilution, choice.tool.partsWater ?? 1);
  return chain ? <p className="border-l-4 border-marigold py-1 pl-3">{sayChain(chain)}</p> : null;
};

/** The loads, as the tool carries them. */
const Loads = ({ applying, stops }: { readonly applying: Applying; readonly stops: readonly Stop[] }) => {
  const { view, choice, plots, plan, problem, units, fieldError } = applying;
  const { tool } = choice;
  return (
    <section aria-label="Loads" aria-live="polite" className="border-t-2 border-ink">
      {plots.length === 0 ? (
        <p className="py-3 text-soft">
          Choose beds on the plan; the loads appear here.{fieldError("/plotIds") ? ` ${fieldError("/plotIds")}` : ""}
        </p>
      ) : null}
      {problem?.path === "/plotIds" ? (
        <Notice tone="error" title={problem.message}>
          {null}
        </Notice>
      ) : null}
      {plan ? (
        <>
          {plan.preMix ? (
            <p className="border-l-4 border-marigold py-1 pl-3">
              {sayPreMix(plan.preMix, units)}. The dose is too small for this tool’s marks as it is.
            </p>
          ) : null}
          {applying.blendFirst ? (
            <p className="border-l-4 border-marigold py-1 pl-3">
              {sayBlendFirst(applying.blendFirst, speechOf(units))}. The concentrate below is that blend.
            </p>
          ) : null}
          {isInline(tool.kind) && applying.dilution ? <Chain applying={applying} /> : null}
          {plan.loads.map((load, index) => (
            <LoadDrawing
              key={load.mixL}
              load={load}
              tool={tool}
              units={units}
              text={sayLoad(load, loadNoun(tool.kind), index > 0, units, plan.preMix)}
            />
          ))}
          <PourList applying={applying} stops={stops} />
          <Stock
            plan={plan}
            view={view}
            heldL={choice.availableL}
            tool={tool}
            leftL={choice.second ? null : choice.store.onHandL - plan.totals.concentrateL}
          />
        </>
      ) : null}
    </section>
  );
};

/** What speaks against it, and what it takes all the same. */
const Against = ({ applying }: { readonly applying: Applying }) => {
  const { apply, choice, cautions, barred, blocked, reason, setReason } = applying;
  // Of another hour than this one the farm knows the weather, and may ask where nothing speaks against it here.
  const isAsked = apply.fields["/overrideReason"] !== undefined || reason !== "";
  if (cautions.length === 0 && !isAsked) return null;
  return (
    <section aria-label="Warnings" className="grid gap-4">
      {cautions.map((caution) => (
        <Notice
          key={`${caution.code} ${"hazard" in caution ? caution.hazard : ""}`}
          tone={caution.weight === "reason" ? "caution" : "error"}
          title={sayCaution(caution, speechOf(applying.units))}
        >
          {null}
        </Notice>
      ))}
      {cautions.some(({ code }) => code === "smell-first") ? <SmellFirst storeId={choice.store.id} /> : null}
      {!barred ? (
        <TextArea
          label={blocked ? "This is blocked. Reason for going on" : "Reason for using it anyway"}
          hint={
            blocked
              ? `In full, ${FULL_REASON} letters at least. Saved with the application and your name.`
              : "Saved with the application."
          }
          value={reason}
          onChange={(event) => setReason(event.target.value)}
          error={apply.fields["/overrideReason"]}
        />
      ) : null}
    </section>
  );
};

/** What is done once it is on. */
const After = ({ applying }: { readonly applying: Applying }) => {
  const { view, choice, dilution } = applying;
  if (!dilution) return null;
  const care = careAfter(choice.useId, dilution.partsWater, choice.recipe.keeping.living, view.hour.hours, view.nowMs);
  return (
    <section aria-label="After" className="border-t border-line pt-2">
      <h3 className="text-lg">After</h3>
      <ul className="list-disc pl-5">
        {care.map((one) => (
          <li key={one.code}>{sayCare(one)}</li>
        ))}
        <li>
          {isInline(choice.tool.kind) ? "A line" : `A ${loadNoun(choice.tool.kind)}`} wants it strained to{" "}
          {sayMesh(meshUm(choice.tool.kind, choice.useId))}.
        </li>
      </ul>
    </section>
  );
};

/** A card for each who goes out with it. */
const Cards = ({ applying }: { readonly applying: Applying }) => {
  const { plan } = applying;
  return (
    <div className="flex flex-wrap items-end gap-3">
      <SelectField
        label="Cards for"
        value={applying.people}
        onChange={(event) => applying.setPeople(Number(event.target.value))}
      >
        {[1, 2, 3, 4, 5, 6].map((count) => (
          <option key={count} value={count}>
            {counted(count, { one: "one person", other: "# people" })}
          </option>
        ))}
      </SelectField>
      <Button disabled={!plan} onClick={() => window.print()}>
        <Printer aria-hidden className="size-5" />{" "}
        {counted(applying.people, { one: "Print card", other: "Print the cards" })}
      </Button>
    </div>
  );
};

/** What is kept with it besides: who helps, what was done otherwise, what is done after. */
const Besides = ({ applying }: { readonly applying: Applying }) => (
  <Fold
    title="Cards, a note, what is done after"
    stands={applying.note.trim() === "" ? undefined : applying.note.trim()}
    open={applying.apply.fields["/note"] !== undefined}
  >
    <Cards applying={applying} />
    <TextField
      label="Done differently?"
      hint="A note that stays with it: half a bed, another can, a shower in between."
      value={applying.note}
      maxLength={300}
      onChange={(event) => applying.setNote(event.target.value)}
      error={applying.apply.fields["/note"]}
    />
    <After applying={applying} />
  </Fold>
);

/** What is asked once plots are chosen: the water, the hour, how long it takes, and the word that it is done. */
const Doing = ({ applying }: { readonly applying: Applying }) => {
  const { view, apply, choice, plan, barred, blocked, cautions, reason, waterL, water, setWater, units } = applying;
  return (
    <>
      {waterL > 0.05 ? (
        <WaterPicker
          label="Water for dilution"
          view={view.waters}
          neededL={waterL}
          value={water}
          units={units}
          fields={apply.fields}
          onChange={setWater}
        />
      ) : null}
      <WhenChoice
        when={applying.when}
        nowMs={view.nowMs}
        startedMs={choice.store.shelfFromMs}
        clock={view.farm}
        onChange={applying.setWhen}
        error={apply.fields["/at"]}
      />
      <MixClock applying={applying} />
      <FitHours applying={applying} />
      <Against applying={applying} />
      {choice.use.target === "leaves" ? <Notice tone="caution">{CAUTIONS["spray-mist"]}</Notice> : null}
      <Notice tone="caution">{CAUTIONS.runoff} Follow local law and your certifier first.</Notice>
      <NumberField
        label="Work time"
        unit="min"
        value={applying.labourMin}
        onChange={(event) => applying.setLabourMin(event.target.value)}
        error={apply.fields["/labourMin"]}
      />
      {choice.use.target === "leaves" ? (
        <TickField
          label={`Strained to ${sayMesh(meshUm(choice.tool.kind, choice.useId))}, no leaf in it, the nozzle drips evenly`}
          checked={applying.isStrained}
          onChange={(event) => applying.setIsStrained(event.target.checked)}
          error={apply.fields["/isStrained"]}
        />
      ) : null}
      <Besides applying={applying} />
      <Refusal error={apply.error} />
      <Button
        variant="strong"
        wide
        disabled={
          apply.busy ||
          !plan ||
          applying.done.length === 0 ||
          barred ||
          choice.uses.length === 0 ||
          (blocked && !reasonSuffices(cautions, reason)) ||
          (plan.shortL ?? 0) > 0
        }
        onClick={() => void applying.confirm()}
      >
        {choice.isAway
          ? "It is done"
          : applying.done.length < applying.served.length
            ? `Log ${applying.done.length} of ${applying.served.length} beds`
            : "Log application"}
      </Button>
    </>
  );
};

/** Pick what goes on and how; the loads appear as it is chosen, with what is short and what speaks against it. */
export const ApplyPanel = ({ applying, stops }: ApplyPanelProps) => (
  <div className="grid gap-4">
    <h2 className="text-xl">Apply</h2>
    {applying.choice.step ? (
      <p className="border-l-4 border-marigold pl-3">
        A step of{" "}
        <Link href="/field/jobs" className="underline">
          {applying.choice.step.jobName}
        </Link>
        , with what the job leaves for it.
      </p>
    ) : null}
    <WhatAndHow applying={applying} />
    <HowMuch applying={applying} />
    <Loads applying={applying} stops={stops} />
    <PatchTests applying={applying} />
    {applying.plots.length > 0 ? <Doing applying={applying} /> : <Against applying={applying} />}
  </div>
);
