"use client";
import { CAUTIONS } from "@/core/book/cautions";
import { shareWalk } from "@/core/apply/crew";
import { haulOf } from "@/core/apply/haul";
import { isCarried } from "@/core/apply/tool";
import { sayVolume } from "@/formats/amounts";
import { formatNumber, ordinal } from "@/formats/numbers";
import { clockTime, longWeekday } from "@/formats/times";
import { loadNoun, sayBlendFirst, sayBothWays, sayCarried, sayHaul, sayLoad, sayPreMix } from "@/words/said";
import { sayWithout } from "@/words/allocation";
import { speechOf } from "@/words/speech";
import type { Stop } from "./PourList";
import type { Applying } from "./useApply";
import { counted, listed } from "@/formats/grammar";

/** Gloves for all of it; more where it lands on leaves or carries what makes ill. */
const gearOf = ({ choice }: Applying): readonly string[] => [
  "Gloves. Wash hands after.",
  ...(choice.use.target === "leaves" ? [CAUTIONS["spray-mist"]] : []),
  ...choice.store.carries.map((hazard) => `It holds ${sayCarried(hazard)}: no open wounds, nothing on what is eaten.`),
];

/** The beds in walking order, with a box to tick. */
const Stops = ({
  applying,
  stops,
  noun,
}: {
  readonly applying: Applying;
  readonly stops: readonly Stop[];
  readonly noun: string;
}) => {
  const { units, choice } = applying;
  const heads = [
    "",
    "Plot",
    "Mix",
    "Concentrate",
    noun === "tank" ? "" : noun === "can" ? "Cans" : noun === "tote" ? "Totes" : "Knapsacks",
    "Done",
  ];
  return (
    <table className="mt-3 w-full text-left">
      <thead>
        <tr className="border-b-2">
          {heads.map((head, index) => (
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
            <td className="pr-3">{formatNumber(stop.mixL / choice.tool.volumeL, 2)}</td>
            <td className="pr-3">☐</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
};

/** Beds that get nothing, and why. */
const Without = ({ applying }: { readonly applying: Applying }) => {
  const { asked, plots, units } = applying;
  const names = new Map(plots.map(({ id, name }) => [id, name]));
  return (asked?.without ?? []).map(({ id, reason }) => (
    <p key={id}>
      Not {names.get(id)}: {sayWithout(reason, speechOf(units))}.
    </p>
  ));
};

/** Where on the bed it goes: what makes ill stays off leaves, and roots are what a drench is for. */
const PLACE_WORDS: Readonly<Record<"leaves" | "soil" | "other", string>> = {
  leaves: "On both sides of the leaves, until they are just wet and nothing drips.",
  soil: "At the foot of the plants, slowly, until it is a hand deep: the roots want it, the leaves do not.",
  other: "Where it is used, and nowhere else.",
};

interface JobCardProps {
  readonly applying: Applying;
  readonly stops: readonly Stop[];
}

/** One card: what, how strong, where it goes, bed by bed with a box to tick. */
const Card = ({ applying, stops, nth, of }: JobCardProps & { readonly nth: number; readonly of: number }) => {
  const { view, choice, plan, dilution, units } = applying;
  if (!plan || !dilution) return null;
  const { tool, use, store } = choice;
  const noun = loadNoun(tool.kind);
  const next = view.bands.find(({ fit }) => fit === "leaves" || (fit === "soil" && use.target !== "leaves"));
  const mixL = stops.reduce((sum, stop) => sum + stop.mixL, 0);
  const loads = of === 1 ? plan.loads : null;
  const haul = !isCarried(tool.kind) || !loads ? null : sayHaul(haulOf(loads), tool.kind, units);
  return (
    <article aria-label={counted(of, { one: "Job card", other: `Job card ${nth} of #` })} className="break-after-page">
      <h1 className="text-2xl">
        {applying.blendFirst ? listed(applying.blendFirst.map(({ label }) => label)) : store.label}
        {of > 1 ? `, card ${nth} of ${of}` : ""}
      </h1>
      <p>
        {use.name}, {sayBothWays(dilution, units)}. {use.how} {PLACE_WORDS[use.target]}
      </p>
      {next ? (
        <p>
          Next good time to apply: {longWeekday(new Date(next.fromMs), view.farm)}{" "}
          {clockTime(new Date(next.fromMs), view.farm)} to {clockTime(new Date(next.toMs), view.farm)}.
        </p>
      ) : null}
      {applying.blendFirst ? <p>{sayBlendFirst(applying.blendFirst, speechOf(units))}.</p> : null}
      {plan.preMix ? <p>{sayPreMix(plan.preMix, units)}.</p> : null}
      <p className="text-lg font-semibold">
        {loads
          ? loads.map((load, index) => sayLoad(load, noun, index > 0, units, plan.preMix)).join("; ")
          : `${sayVolume(mixL, units)} in all: ${formatNumber(mixL / tool.volumeL, 2)} × a ${noun} of ${sayVolume(tool.volumeL, units)} with ${sayVolume(tool.volumeL / (1 + dilution.partsWater), units)} of concentrate in it`}
      </p>
      {haul ? <p>{haul}</p> : null}
      <Stops applying={applying} stops={stops} noun={noun} />
      <Without applying={applying} />
      <ul className="mt-3 list-disc pl-5">
        {gearOf(applying).map((line) => (
          <li key={line}>{line}</li>
        ))}
        <li>{CAUTIONS.runoff} Follow local law and your certifier first.</li>
      </ul>
    </article>
  );
};

/** What workers take along on paper: a card each, with the beds that follow on each other and as much as the others have. */
export const JobCard = ({ applying, stops }: JobCardProps) => {
  const parts = shareWalk(
    stops.map(({ mixL }) => mixL),
    applying.people,
  );
  if (!applying.plan || !applying.dilution) return null;
  return (
    <div className="hidden print:block">
      {parts.map((part, index) => (
        <Card key={index} applying={applying} stops={part.map((at) => stops[at]!)} nth={index + 1} of={parts.length} />
      ))}
    </div>
  );
};
