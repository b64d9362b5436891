"use client";
import { CAUTIONS } from "@/core/book/cautions";
import { haulOf } from "@/core/apply/haul";
import { sayVolume } from "@/formats/amounts";
import { formatNumber, ordinal } from "@/formats/numbers";
import { clockTime, longWeekday } from "@/formats/times";
import { sayBothWays, sayCarried, sayHaul, sayLoad, sayPreMix } from "@/words/said";
import { sayWithout } from "@/words/allocation";
import { speechOf } from "@/words/speech";
import type { Stop } from "./PourList";
import type { Applying } from "./useApply";

/** Gloves for all of it; more where it lands on leaves or carries what makes ill. */
const gearOf = ({ choice }: Applying): readonly string[] => [
  "Gloves. Wash hands after.",
  ...(choice.use.target === "leaves" ? [CAUTIONS["spray-mist"]] : []),
  ...choice.store.carries.map((hazard) => `It holds ${sayCarried(hazard)}: no open wounds, nothing on what is eaten.`),
];

/** What a worker takes along on paper: what, how strong, where it goes, bed by bed with a box to tick. */
export const JobCard = ({ applying, stops }: { readonly applying: Applying; readonly stops: readonly Stop[] }) => {
  const { view, choice, plan, dilution, units, asked, plots } = applying;
  if (!plan || !dilution) return null;
  const { tool, use, store } = choice;
  const noun = tool.kind === "injector" ? "tank" : tool.kind;
  const next = view.bands.find(({ fit }) => fit === "leaves" || (fit === "soil" && use.target !== "leaves"));
  const names = new Map(plots.map(({ id, name }) => [id, name]));
  const haul = tool.kind === "injector" ? null : sayHaul(haulOf(plan.loads), tool.kind, units);
  return (
    <article aria-label="Job card" className="hidden print:block">
      <h1 className="text-2xl">{store.label}</h1>
      <p>
        {use.name}, {sayBothWays(dilution, units)}. {use.how}
      </p>
      {next ? (
        <p>
          Next fit hours: {longWeekday(new Date(next.fromMs), view.farm)} {clockTime(new Date(next.fromMs), view.farm)}{" "}
          to {clockTime(new Date(next.toMs), view.farm)}.
        </p>
      ) : null}
      {plan.preMix ? <p>{sayPreMix(plan.preMix, units)}.</p> : null}
      <p className="text-lg font-semibold">
        {plan.loads.map((load, index) => sayLoad(load, noun, index > 0, units, plan.preMix)).join("; ")}
      </p>
      {haul ? <p>{haul}</p> : null}
      <table className="mt-3 w-full text-left">
        <thead>
          <tr className="border-b-2">
            {[
              "",
              "Plot",
              "Mix",
              "Concentrate",
              noun === "tank" ? "" : noun === "can" ? "Cans" : "Knapsacks",
              "Done",
            ].map((head, index) => (
              <th key={index} scope="col" className="py-1 pr-3">
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {stops.map((stop, at) => (
            <tr key={stop.plotId} className="border-b">
              <td className="py-2 pr-3">{ordinal(at + 1)}</td>
              <td className="pr-3 font-semibold">{stop.name}</td>
              <td className="pr-3">{sayVolume(stop.mixL, units)}</td>
              <td className="pr-3">{sayVolume(stop.concentrateL, units)}</td>
              <td className="pr-3">{formatNumber(stop.mixL / tool.volumeL, 2)}</td>
              <td className="pr-3">☐</td>
            </tr>
          ))}
        </tbody>
      </table>
      {(asked?.without ?? []).map(({ id, reason }) => (
        <p key={id}>
          Not {names.get(id)}: {sayWithout(reason, speechOf(units))}.
        </p>
      ))}
      <ul className="mt-3 list-disc pl-5">
        {gearOf(applying).map((line) => (
          <li key={line}>{line}</li>
        ))}
        <li>{CAUTIONS.runoff} Local code and your certifier stand above this card.</li>
      </ul>
    </article>
  );
};
