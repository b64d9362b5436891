import { Link } from "../kit/Link";
import { sayVolume } from "@/formats/amounts";
import { clockTime, fullDate, hourOfDay, sayForecastMoment, type FarmClock } from "@/formats/times";
import type { BatchPage } from "@/services/batch";
import { STATE_TEXT, StateMark } from "../kit/StateMark";
import { contentsOf } from "../drawings/contentsOf";
import { VesselDrawing } from "../drawings/VesselDrawing";
import { Acts, NeverStarted } from "./deskButtons";
import { PlaceCard } from "./PlaceCard";
import { ReasonList } from "./ReasonList";
import { WindowTable } from "./WindowTable";
import { inText } from "@/formats/grammar";

const isNight = (at: Date, clock: FarmClock) => hourOfDay(at, clock) >= 21 || hourOfDay(at, clock) < 6;
/** Why the verdict is what it is, and when to look again. */
const Reasons = ({ page, running }: { readonly page: BatchPage; readonly running: boolean }) => {
  const { batch, farm: clock } = page;
  return (
    <ReasonList reasons={batch.reasons}>
      {running && batch.ifWarmer ? <li>{batch.ifWarmer}</li> : null}
      {running && batch.bestLook ? <li>{batch.bestLook.words}</li> : null}
      {running && batch.next.atMs > page.nowMs + 1_800_000 ? (
        <li>
          Next check: {sayForecastMoment(new Date(batch.next.atMs), new Date(page.nowMs), clock)}
          {batch.next.atMs - page.nowMs < 9 * 3_600_000 && isNight(new Date(batch.next.atMs), clock)
            ? ", though it is night: it may be best then"
            : ""}
          .
        </li>
      ) : null}
    </ReasonList>
  );
};

const HEAD_LINK =
  "inline-flex min-h-11 items-center text-[0.95rem] underline decoration-line decoration-2 underline-offset-4";

/** The vessel, what is in it, how it stands, what to do. */
export const BatchHead = ({ page, running }: { readonly page: BatchPage; readonly running: boolean }) => {
  const { batch, farm } = page;
  const { next, spoilt, filledL, closing } = batch;
  const clock = farm;
  return (
    <>
      <div className="flex flex-wrap justify-between gap-x-6">
        <Link href="/" className={HEAD_LINK}>
          Back to the yard
        </Link>
        <span className="flex flex-wrap gap-x-6">
          <Link href={`/paper/labels?batch=${batch.id}`} className={HEAD_LINK}>
            Labels for it
          </Link>
          <Link href={`/paper/batch?batch=${batch.id}`} className={HEAD_LINK}>
            Print record
          </Link>
        </span>
      </div>
      <div className="grid gap-x-8 gap-y-4 md:grid-cols-[220px_1fr]">
        <div className="flex items-end justify-center border-b-[3px] border-ink max-md:order-2">
          <VesselDrawing
            kind={page.vesselKind}
            volumeL={batch.vesselL}
            diameterM={null}
            pxPerM={210 / Math.max(0.3, 1.18 * Math.cbrt(batch.vesselL / 1000))}
            contents={running ? contentsOf(batch) : null}
            dirty={!running}
            label={`${page.vesselName}, ${sayVolume(batch.filledL, farm.units)}`}
          />
        </div>
        <div>
          <h1 className="text-3xl">{batch.name}</h1>
          <p className="text-soft">
            {page.vesselName}, {sayVolume(batch.filledL, farm.units)}, {inText(batch.schoolName)}; started{" "}
            {fullDate(new Date(batch.startedMs), clock)} {clockTime(new Date(batch.startedMs), clock)} by{" "}
            {page.startedBy}
            {running ? `; ${batch.ageText}` : ""}. Batch {batch.id}.
          </p>
          <p className={`mt-3 flex items-center gap-2 text-2xl font-bold ${STATE_TEXT[batch.state]}`}>
            <StateMark verdict={batch} size={22} />
            {page.close
              ? page.close.kind === "taken-back"
                ? "Started by mistake: its start was undone"
                : `${page.close.kind === "strained" ? "Strained" : "Thrown away"}; judged ${inText(batch.stateWords)} then`
              : batch.stateWords}
          </p>
          <Reasons page={page} running={running} />
          {running ? (
            <p className="mt-2 border-l-4 border-marigold pl-3">
              <span className="font-semibold">What you can do with it: </span>
              {batch.remaining}
            </p>
          ) : null}
          {running ? (
            <PlaceCard vesselId={page.vesselId} vesselName={page.vesselName} place={page.place} units={farm.units} />
          ) : null}
          {running && batch.state !== "spoiled" ? <WindowTable batch={batch} nowMs={page.nowMs} clock={clock} /> : null}
          {running ? <Acts batch={{ next, spoilt, filledL, closing: { makes: closing.makes } }} /> : null}
          {running && page.log.every((entry) => entry.correctedById !== null || entry.kind === "withdrawn") ? (
            <NeverStarted batchId={batch.id} vesselName={page.vesselName} />
          ) : null}
        </div>
      </div>
    </>
  );
};
