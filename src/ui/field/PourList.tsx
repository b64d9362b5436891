"use client";
import { servedBy } from "@/core/apply/reach";
import { ordinal, plural } from "@/formats/numbers";
import { sayArea, sayVolume } from "@/formats/amounts";
import type { Priority } from "@/core/apply/allocate";
import { centreOf, type Point } from "@/core/land/ring";
import { walkOrder } from "@/core/land/route";
import { sayWithout } from "@/words/allocation";
import { speechOf } from "@/words/speech";
import { SmallLoads } from "./LoadDrawing";
import type { Applying } from "./useApply";
import { listed } from "@/formats/grammar";

/** A plot of the pour in its place of the walk, with what it gets. */
export interface Stop {
  readonly plotId: number;
  readonly name: string;
  readonly mixL: number;
  readonly concentrateL: number;
  readonly wantedL: number;
}

/** The plots that get something, in the order in which they are walked to. */
export function stopsOf({ served, asked, plan }: Applying, fillPoint: Point): readonly Stop[] {
  if (!plan) return [];
  const wanted = new Map(asked?.shares.map(({ id, wantedL }) => [id, wantedL]));
  const { order } = walkOrder(
    fillPoint,
    served.map(({ ring }) => centreOf(ring)),
  );
  return order.map((index) => {
    const { id, name } = served[index]!;
    const { mixL, concentrateL } = plan.plots[index]!;
    return { plotId: id, name, mixL, concentrateL, wantedL: wanted.get(id) ?? concentrateL };
  });
}

const STROKES: Readonly<Record<Priority, string>> = { 1: "wants it most", 2: "wants it", 3: "can wait" };

/** How badly a plot wants it: one touch goes on to the next. */
const Wants = ({
  name,
  priority,
  onChange,
}: {
  readonly name: string;
  readonly priority: Priority;
  readonly onChange: (next: Priority) => void;
}) => (
  <button
    type="button"
    onClick={() => onChange(priority === 1 ? 3 : priority === 2 ? 1 : 2)}
    title={STROKES[priority]}
    aria-label={`${name}: ${STROKES[priority]}. Change`}
    className="flex size-11 items-center justify-center gap-[3px]"
  >
    {[3, 2, 1].map((stroke) => (
      <span key={stroke} className={`h-4 w-[3px] ${priority <= stroke ? "bg-ink" : "bg-line"}`} />
    ))}
  </button>
);

/** Strands beside the list, as wide as their litres: those that go on, and the one that turns off here. */
const Spine = ({ stops, at }: { readonly stops: readonly Stop[]; readonly at: number }) => {
  const allL = stops.reduce((sum, { wantedL }) => sum + wantedL, 0);
  const widthOf = (stop: Stop) => Math.max(2, (stop.wantedL / allL) * 56);
  const rightOf = (index: number) => stops.slice(0, index).reduce((sum, stop) => sum + widthOf(stop) + 1.5, 4);
  return (
    <span aria-hidden className="relative block w-[72px] shrink-0 self-stretch md:hidden">
      {stops.slice(at).map((stop, offset) => (
        <span
          key={stop.plotId}
          className="absolute top-0 bg-[var(--brew)]"
          style={{ right: rightOf(at + offset), width: widthOf(stop), height: offset === 0 ? "50%" : "100%" }}
        />
      ))}
      <span
        className="absolute right-0 bg-[var(--brew)]"
        style={{
          top: "50%",
          left: 72 - rightOf(at) - widthOf(stops[at]!),
          height: Math.min(8, Math.max(2, widthOf(stops[at]!))),
        }}
      />
    </span>
  );
};

const Row = ({
  applying,
  stops,
  at,
}: {
  readonly applying: Applying;
  readonly stops: readonly Stop[];
  readonly at: number;
}) => {
  const { units, choice, priorityOf, setPriority } = applying;
  const stop = stops[at]!;
  const isShort = stop.concentrateL < stop.wantedL * 0.999;
  return (
    <li className="flex min-h-14 items-center gap-2 border-b border-line">
      <Spine stops={stops} at={at} />
      <span className="reading w-9 shrink-0 font-display font-semibold">{ordinal(at + 1)}</span>{" "}
      <span className="min-w-0 grow py-1">
        <b>{stop.name}</b>{" "}
        <span className="reading block text-[0.9rem] text-soft">
          {isShort
            ? `${sayVolume(stop.concentrateL, units)} of ${sayVolume(stop.wantedL, units)} wanted, `
            : `${sayVolume(stop.concentrateL, units)}, `}
          {sayVolume(stop.mixL, units)} of mix
        </span>
      </span>
      <label className="flex size-11 shrink-0 items-center justify-center">
        <input
          type="checkbox"
          aria-label={`${stop.name} is done`}
          className="size-6 accent-[var(--ink)]"
          checked={!applying.isSkipped(stop.plotId)}
          onChange={(event) => applying.skip(stop.plotId, !event.target.checked)}
        />
      </label>
      <SmallLoads mixL={stop.mixL} concentrateL={stop.concentrateL} tool={choice.tool} />
      <Wants name={stop.name} priority={priorityOf(stop.plotId)} onChange={(next) => setPriority(stop.plotId, next)} />
    </li>
  );
};

/** Who goes without, and why. */
const Dry = ({ applying }: { readonly applying: Applying }) => {
  const { asked, plots, units, barredByWater, priorityOf, setPriority } = applying;
  const names = new Map(plots.map(({ id, name }) => [id, name]));
  const say = speechOf(units);
  const lacking = (asked?.without ?? []).map(({ id, reason }) => {
    const wantedL = asked!.shares.find((share) => share.id === id)!.wantedL;
    return { id, why: `${say.volume(wantedL)} wanted; ${sayWithout(reason, say)}` };
  });
  const barred = barredByWater.map(({ id, nearWater }) => ({ id, why: `too near to ${listed(nearWater)}` }));
  if (lacking.length + barred.length === 0) return null;
  return (
    <div className="mt-3">
      <h3 className="text-lg text-rust">Goes without</h3>
      <ul>
        {[...lacking, ...barred].map(({ id, why }) => (
          <li key={id} className="flex items-center gap-2 border-b border-dashed border-rust">
            <span className="min-w-0 grow py-1.5">
              <b>{names.get(id)}</b> <span className="text-[0.92rem] text-soft">{why}</span>
            </span>
            {barred.some((one) => one.id === id) ? null : (
              <Wants name={names.get(id)!} priority={priorityOf(id)} onChange={(next) => setPriority(id, next)} />
            )}
          </li>
        ))}
      </ul>
    </div>
  );
};

/** The pour as a list, in walking order: who drinks how much, in which tool; and who goes without. */
export const PourList = ({ applying, stops }: { readonly applying: Applying; readonly stops: readonly Stop[] }) => {
  const { asked, units, choice, dilution } = applying;
  if (!asked || !dilution) return null;
  const { availableL, per } = choice;
  const reaches = choice.isAway
    ? null
    : servedBy(availableL, dilution.partsWater, { amountL: choice.rateL!, per: per === "m2" ? "m2" : "plant" });
  const isShort = asked.wantedL > availableL * 1.0001;
  return (
    <section aria-label="Who drinks">
      <p className={`py-2 ${isShort ? "font-semibold text-rust" : "text-soft"}`}>
        {sayVolume(asked.wantedL, units)} wanted, {sayVolume(availableL, units)}{" "}
        {choice.step ? "for this step" : "in stock"}
        {isShort ? ": shared out by who wants it most, then by who waited longest." : "."}{" "}
        <span className="font-normal text-soft">
          {reaches === null
            ? ""
            : `Enough for ${per === "m2" ? sayArea(reaches, units) : plural(reaches, per === "plant" ? "plant" : "bed")} at this rate${
                isShort ? `; ${sayVolume(asked.wantedL - availableL, units)} more would serve all` : ""
              }.`}
        </span>
      </p>
      <ol>
        {stops.map((stop, at) => (
          <Row key={stop.plotId} applying={applying} stops={stops} at={at} />
        ))}
      </ol>
      <Dry applying={applying} />
    </section>
  );
};
