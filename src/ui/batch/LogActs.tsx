"use client";
import { useState } from "react";
import type { Act } from "@/core/book/words";
import { isUsable } from "@/core/judge/verdictState";
import { fromBase, toBase } from "@/core/quantity/units";
import { ACT_WORDS } from "@/words/said";
import { sayTemperature, type UnitSystem } from "@/formats/amounts";
import { fieldUnit } from "@/formats/measured";
import { formatNumber } from "@/formats/numbers";
import type { BatchBrief } from "@/services/batch";
import { Button } from "../kit/Button";
import { Electricity } from "../kit/Electricity";
import { Stepper } from "../kit/Stepper";
import { WarmthStepper } from "../measures/WarmthStepper";
import type { SectionProps } from "./LogSections";
import { inText } from "@/formats/grammar";

/** Where it stands and what warms it, with the degrees that go with it. */
const Surroundings = ({
  batch,
  units,
  busy,
  onLog,
}: SectionProps & { readonly batch: BatchBrief; readonly units: UnitSystem }) => {
  const [celsius, setCelsius] = useState(NaN);
  const at = Number.isFinite(celsius) ? sayTemperature(celsius, units) : "so many degrees: say how many";
  const act = (name: Act, label: string, withDegrees: boolean) => (
    <Button
      key={name}
      disabled={busy || (withDegrees && !Number.isFinite(celsius))}
      onClick={() =>
        onLog(
          { kind: "act", act: name, ...(withDegrees ? { celsius: Number(celsius.toFixed(1)) } : {}) },
          inText(label),
        )
      }
    >
      {label}
    </Button>
  );
  return (
    <details className="border-t border-line pt-3">
      <summary className="min-h-11 cursor-pointer py-2 font-semibold">Place, heat, power, lid</summary>
      <div className="mt-2 grid gap-3">
        <Electricity />
        <WarmthStepper label="Place or thermostat" units={units} celsius={celsius} onChange={setCelsius} />
        <div className="flex flex-wrap gap-2">
          {batch.moved ? act("moved-back", "Moved back out", false) : act("moved", `Moved to a place of ${at}`, true)}
          {batch.hasHeater ? act("heater-off", "Heater off", false) : act("heater-on", `Heater on at ${at}`, true)}
          {batch.wrapped ? act("unwrapped", "Unwrapped", false) : act("wrapped", "Wrapped up", false)}
          {batch.powerOff ? act("power-back", "Power came back", false) : act("power-cut", "Power went off", false)}
          {batch.seal && !batch.seal.done ? act("sealed", "Closed with airlock", false) : null}
          {act("opened", "Opened", false)}
          {batch.lid === "sealed" ? null : act("lid-off", "Lid was off", false)}
          {act("flies-in", "Flies or ants inside", false)}
          {batch.solidsIn ? act("bag-out", "Took solids out", false) : null}
        </div>
      </div>
    </details>
  );
};

function actsFor(batch: BatchBrief): { act: Act; label: string }[] {
  return [
    { act: "stirred" as const, label: "Stirred" },
    ...(batch.state === "stuck" ? [{ act: "fed" as const, label: "Fed: culture and sugar" }] : []),
    ...(batch.lid === "airlock" ? [{ act: "vented" as const, label: "Vented" }] : []),
    ...(batch.lid === "breathable" || batch.lidOff
      ? [{ act: "lid-checked" as const, label: batch.lidOff ? "Lid back on" : "Checked lid" }]
      : []),
    ...(batch.aerated && batch.airOn && batch.keptUntilMs === null && isUsable(batch.state)
      ? [{ act: "kept-on-air" as const, label: "Keep on air overnight" }]
      : []),
    ...batch.onceActs.map((act) => ({ act, label: ACT_WORDS[act] })),
    ...(batch.floatingSolids ? [{ act: "pressed-under" as const, label: "Pushed solids under" }] : []),
    ...(batch.aerated
      ? [
          batch.airOn
            ? { act: "air-off" as const, label: "Air stopped" }
            : { act: "air-on" as const, label: "Air is back on" },
        ]
      : []),
  ];
}

/** What was done to it. */
export const ActsSection = ({
  batch,
  units,
  busy,
  onLog,
}: SectionProps & { readonly batch: BatchBrief; readonly units: UnitSystem }) => {
  const unit = fieldUnit("L", units);
  const [poured, setPoured] = useState(NaN);
  const litres = () => Number(fromBase(toBase({ value: poured, unit }), "L").value.toFixed(3));
  return (
    <section aria-label="Done" className="grid gap-3 border-b border-line pb-5">
      <h3 className="text-[1.02rem]">Done</h3>
      <div className="flex flex-wrap gap-2">
        {actsFor(batch).map(({ act, label }) => (
          <Button key={act} disabled={busy} onClick={() => onLog({ kind: "act", act }, inText(label))}>
            {label}
          </Button>
        ))}
      </div>
      <div className="flex flex-wrap items-end gap-3">
        <Stepper
          label="Water added"
          unit={unit}
          value={poured}
          step={0.5}
          min={0.1}
          max={20000}
          digits={1}
          from={1}
          onChange={setPoured}
        />
        <Button
          disabled={busy || !Number.isFinite(poured)}
          onClick={() =>
            onLog({ kind: "act", act: "topped-up", litres: litres() }, `topped up with ${formatNumber(poured)} ${unit}`)
          }
          className="min-h-14"
        >
          Log added water
        </Button>
      </div>
      <Surroundings batch={batch} units={units} busy={busy} onLog={onLog} />
    </section>
  );
};
