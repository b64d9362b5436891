import { Link } from "../kit/Link";
import { sayVolume, type UnitSystem } from "@/formats/amounts";
import { dayMonth, noonOf, type FarmClock } from "@/formats/times";
import { sayWindow } from "@/words/said";
import type { BatchView } from "@/services/batch";
import type { YardVessel } from "@/services/yard";
import { buttonClass } from "../kit/Button";
import { STATE_TEXT, StateMark } from "../kit/StateMark";
import { Ribbon } from "../drawings/Ribbon";
import { PLATE_H, yOf } from "../drawings/timeScale";
import { contentsOf } from "../drawings/contentsOf";
import { VesselDrawing } from "../drawings/VesselDrawing";
import { VesselButton } from "./YardDesk";
import { inText } from "@/formats/grammar";

interface VesselColumnProps {
  readonly vessel: YardVessel;
  readonly nowMs: number;
  readonly clock: FarmClock;
  readonly units: UnitSystem;
  readonly pxPerM: number;
  /** Some name of the yard takes two lines: then every name has room for two, so that the rest stands level. */
  readonly roomForNames: boolean;
}

const VESSEL_H = 118;

const wantsClose = (batch: BatchView) =>
  batch.next.act === "strain" || batch.next.act === "use-now" || batch.next.act === "compost";

const RunningFoot = ({ vessel, batch, nowMs, clock, units }: VesselColumnProps & { readonly batch: BatchView }) => (
  <>
    <p className="reading text-[0.9rem] text-soft">
      {sayVolume(batch.filledL, units)} · {batch.ageText}
    </p>
    <p className="text-[0.95rem] leading-tight">{batch.shortName}</p>
    <p className={`mt-2 flex items-center justify-center gap-1.5 font-bold ${STATE_TEXT[batch.state]}`}>
      <StateMark verdict={batch} />
      {batch.stateWords}
    </p>
    <p
      className="line-clamp-3 min-h-[3.75em] px-1 text-[0.85rem] leading-[1.25] text-soft"
      title={`${batch.reasons.join(" ")} ${sayWindow(batch, nowMs, clock)}`}
    >
      {batch.reasons[0]}
    </p>
    <div className="mx-auto mt-2 grid w-full max-w-52 gap-1.5 px-1.5">
      {wantsClose(batch) ? (
        <>
          <VesselButton
            vesselId={vessel.id}
            does="close"
            variant="strong"
            label={`${batch.next.words}: ${vessel.name}`}
          >
            {batch.next.act === "compost" ? "Compost it" : "Strain"}
          </VesselButton>
          <VesselButton vesselId={vessel.id} does="log" label={`Log ${vessel.name}`}>
            Log
          </VesselButton>
        </>
      ) : (
        <>
          <VesselButton
            vesselId={vessel.id}
            does="log"
            variant={batch.next.atMs <= nowMs + 3_600_000 ? "strong" : "plain"}
            label={`Log ${vessel.name}: ${batch.next.words}`}
          >
            {batch.next.words}
          </VesselButton>
          <Link
            href={`/batches/${batch.id}`}
            className="grid min-h-11 place-items-center rounded-[5px] text-[0.92rem] underline decoration-line decoration-2 underline-offset-4 hover:decoration-ink"
          >
            Open
          </Link>
        </>
      )}
    </div>
  </>
);

const IdleFoot = ({ vessel, units }: Pick<VesselColumnProps, "vessel" | "units">) => (
  <>
    <p className="reading text-[0.9rem] text-soft">{sayVolume(vessel.volumeL, units)}</p>
    <p className="text-[0.95rem] leading-tight">{vessel.airW > 0 ? "has air" : "no air"}</p>
    <p className="mt-2 font-bold">
      {vessel.mixing ? "Being filled" : vessel.status === "dirty" ? "Needs washing" : "Free"}
    </p>
    <p className="line-clamp-3 min-h-[3.75em] px-1 text-[0.85rem] leading-[1.25] text-soft">
      {vessel.mixing
        ? `${vessel.mixing.name}, by ${vessel.mixing.by}`
        : vessel.status === "dirty"
          ? "Wash the vessel, bag and air stones before the next fill."
          : vessel.planned
            ? `Planned: ${inText(vessel.planned.shortName)}, ${dayMonth(new Date(`${vessel.planned.forDay}T00:00:00Z`), { timeZone: "UTC" })}`
            : vessel.site}
    </p>
    <div className="mx-auto mt-2 grid w-full max-w-52 gap-1.5 px-1.5">
      {vessel.mixing ? (
        <Link
          href={`/mix/${vessel.mixing.id}`}
          className={buttonClass("strong", true)}
          aria-label={`Continue filling: ${vessel.name}`}
        >
          Go on
        </Link>
      ) : vessel.status === "dirty" ? (
        <VesselButton vesselId={vessel.id} does="clean" label={`Washed: ${vessel.name}`}>
          Washed
        </VesselButton>
      ) : vessel.planned ? (
        <>
          <Link
            href={`/?fill=${vessel.id}&plan=${vessel.planned.planId}`}
            className={buttonClass("plain", true)}
            aria-label={`Fill ${vessel.name} as planned`}
          >
            Fill as planned
          </Link>
          <VesselButton vesselId={vessel.id} does="fill" variant="quiet" label={`Fill ${vessel.name}`}>
            Something else
          </VesselButton>
        </>
      ) : (
        <VesselButton vesselId={vessel.id} does="fill" label={`Fill ${vessel.name}`}>
          Fill
        </VesselButton>
      )}
    </div>
  </>
);

/** Where a planned batch would begin: its outline alone, open at the top. What is meant for later than the plate reaches is only said. */
const Ghost = ({ atMs, nowMs }: { readonly atMs: number; readonly nowMs: number }) => {
  const y = Math.min(PLATE_H, yOf(Math.max(atMs, nowMs), nowMs));
  if (y < 12) return null;
  const top = Math.max(0, y - 90);
  return (
    <svg viewBox={`0 0 40 ${PLATE_H}`} className="mx-auto h-full w-10" aria-hidden>
      <path
        d={`M 18 ${y} C 18 ${(y + top) / 2} 6 ${(y + top) / 2} 6 ${top} M 22 ${y} C 22 ${(y + top) / 2} 34 ${(y + top) / 2} 34 ${top} M 16 ${y} H 24`}
        fill="none"
        stroke="var(--leaf)"
        strokeWidth={1.6}
        strokeDasharray="4 4"
      />
    </svg>
  );
};

/** One vessel: its ribbon above, itself on the ground line, and under it what it is, how it stands and the act that is next. */
export const VesselColumn = (props: VesselColumnProps) => {
  const { vessel, nowMs, clock, units, pxPerM, roomForNames } = props;
  const { batch } = vessel;
  const label = batch
    ? `${vessel.name}: ${sayVolume(batch.filledL, units)} of ${inText(batch.name)} in ${sayVolume(vessel.volumeL, units)}`
    : `${vessel.name}: ${sayVolume(vessel.volumeL, units)}, ${vessel.status === "dirty" ? "needs washing" : "empty"}`;
  return (
    <article
      data-vessel={vessel.name}
      tabIndex={-1}
      aria-label={vessel.name}
      className="group flex snap-start flex-col items-center text-center"
    >
      <div style={{ height: PLATE_H }} className="w-full">
        {batch ? (
          <Ribbon batch={batch} nowMs={nowMs} label={`${vessel.name}: ${sayWindow(batch, nowMs, clock)}`} />
        ) : vessel.planned ? (
          <Ghost atMs={noonOf(vessel.planned.forDay, clock).getTime()} nowMs={nowMs} />
        ) : null}
      </div>
      <div style={{ height: VESSEL_H }} className="flex w-full items-end justify-center border-b-[3px] border-ink">
        <VesselDrawing
          kind={vessel.kind}
          volumeL={vessel.volumeL}
          diameterM={vessel.diameterM}
          pxPerM={pxPerM}
          contents={batch ? contentsOf(batch) : null}
          dirty={vessel.status === "dirty"}
          label={label}
        />
      </div>
      <h2
        className={`mt-2 flex items-start justify-center text-balance text-[1.08rem] ${roomForNames ? "min-h-[2.4em]" : ""}`}
      >
        {batch ? (
          <Link
            href={`/batches/${batch.id}`}
            className="thumb underline decoration-transparent decoration-2 underline-offset-4 hover:decoration-ink"
          >
            {vessel.name}
          </Link>
        ) : (
          vessel.name
        )}
      </h2>
      {batch ? <RunningFoot {...props} batch={batch} /> : <IdleFoot {...props} />}
    </article>
  );
};
