"use client";
import { Link } from "../kit/Link";
import { useState } from "react";
import { toast } from "sonner";
import { sayMoney, sayVolume } from "@/formats/amounts";
import { sayPricePer } from "@/formats/fieldUnits";
import { sayEntry } from "@/words/said";
import { clockTime, fullDate, hourOfDay, sayForecastMoment, type FarmClock } from "@/formats/times";
import type { BatchPage } from "@/services/batch";
import { useBatchAct } from "../acts/batch";
import { useLookAgain } from "../frame/useLookAgain";
import { Button } from "../kit/Button";
import { Cautions } from "../kit/Cautions";
import { Notice } from "../kit/Notice";
import { STATE_TEXT, StateMark } from "../kit/StateMark";
import { CostMeasure } from "../ledger/CostMeasure";
import { contentsOf } from "../yard/VesselColumn";
import { VesselDrawing } from "../yard/VesselDrawing";
import { InIt, Origins } from "./BatchContent";
import type { Pin } from "./plate/BatchPlate";
import { OverTime } from "./plate/OverTime";
import { Lines, Outcome, Part } from "./BatchParts";
import { BatchSheets, type OpenSheet } from "./BatchSheets";
import { Earlier } from "./Earlier";
import { LogList } from "./LogList";
import type { LookFamily } from "./Looks";
import { Photos } from "./Photos";
import { PlaceCard } from "./PlaceCard";
import type { Correcting } from "./LogSheet";
import { ReasonList } from "./ReasonList";
import { Tending } from "./Tending";
import { WindowTable } from "./WindowTable";
import { BookText } from "../kit/BookText";

const isNight = (at: Date, clock: FarmClock) => hourOfDay(at, clock) >= 21 || hourOfDay(at, clock) < 6;
/** Drawn looks by the family of what goes on in the drum. */
const LOOKS: Partial<Record<string, LookFamily>> = {
  bloom: "bloom",
  acid: "acid",
  sugar: "drawn",
  char: "char",
  soak: "other",
};

/** One batch: the vessel large, its ribbon and past on one axis, the log, what went in, what it cost, what came of it. */
export const BatchScreen = ({
  page,
  startWith = null,
}: {
  readonly page: BatchPage;
  readonly startWith?: OpenSheet;
}) => {
  useLookAgain();
  const [sheet, setSheet] = useState<OpenSheet>(startWith);
  const [correcting, setCorrecting] = useState<Correcting | null>(null);
  const withdraw = useBatchAct("logEntry", "toast");
  const { batch, farm } = page;
  const clock = farm;
  const running = page.close === null;
  const pins: Pin[] = [
    ...page.log
      .filter(({ kind }) => kind !== "withdrawn")
      .map((entry) => ({
        atMs: entry.atMs,
        text: sayEntry(entry, farm.units),
        struck: entry.correctedById !== null,
        kind: entry.kind === "act" ? ("act" as const) : ("seen" as const),
      })),
    ...page.progress.photos.map(({ atMs, note }) => ({
      atMs,
      text: note || "a photograph",
      struck: false,
      kind: "photo" as const,
    })),
  ];
  const strike = async (entryId: number) => {
    if (await withdraw.run({ batchId: batch.id, correctsId: entryId, entry: { kind: "withdrawn" } }))
      toast.success("Struck out; it stays readable.");
  };

  return (
    <div className="mx-auto max-w-[1240px] px-4 py-5">
      <div className="flex flex-wrap justify-between gap-x-6">
        <Link
          href="/"
          className="inline-flex min-h-11 items-center text-[0.95rem] underline decoration-line decoration-2 underline-offset-4"
        >
          Back to the yard
        </Link>
        <Link
          href={`/paper/labels?batch=${batch.id}`}
          className="inline-flex min-h-11 items-center text-[0.95rem] underline decoration-line decoration-2 underline-offset-4"
        >
          Labels for it
        </Link>
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
            {page.vesselName}, {sayVolume(batch.filledL, farm.units)}, {batch.schoolName.toLowerCase()}; started{" "}
            {fullDate(new Date(batch.startedMs), clock)} {clockTime(new Date(batch.startedMs), clock)} by{" "}
            {page.startedBy}
            {running ? `; ${batch.ageText}` : ""}. Batch {batch.id}.
          </p>
          <p className={`mt-3 flex items-center gap-2 text-2xl font-bold ${STATE_TEXT[batch.state]}`}>
            <StateMark verdict={batch} size={22} />
            {page.close
              ? `${page.close.kind === "strained" ? "Strained" : "Thrown out"}; judged ${batch.stateWords.toLowerCase()} then`
              : batch.stateWords}
          </p>
          <ReasonList reasons={batch.reasons}>
            {running && batch.ifWarmer ? <li>{batch.ifWarmer}</li> : null}
            {running && batch.bestLook ? <li>{batch.bestLook.words}</li> : null}
            {running && batch.next.atMs > page.nowMs + 1_800_000 ? (
              <li>
                Look again {sayForecastMoment(new Date(batch.next.atMs), new Date(page.nowMs), clock)}
                {batch.next.atMs - page.nowMs < 9 * 3_600_000 && isNight(new Date(batch.next.atMs), clock)
                  ? ", though it is night: it may be best then"
                  : ""}
                .
              </li>
            ) : null}
          </ReasonList>
          {running ? (
            <p className="mt-2 border-l-4 border-marigold pl-3">
              <span className="font-semibold">May be done with it: </span>
              {batch.remaining}
            </p>
          ) : null}
          {running ? (
            <PlaceCard vesselId={page.vesselId} vesselName={page.vesselName} place={page.place} units={farm.units} />
          ) : null}
          {running && batch.state !== "spoiled" ? <WindowTable batch={batch} nowMs={page.nowMs} clock={clock} /> : null}
          {running ? (
            <div className="mt-4 flex flex-wrap gap-3">
              <Button look="strong" onClick={() => setSheet("log")}>
                {batch.next.act === "strain" || batch.next.act === "use-now" || batch.next.act === "compost"
                  ? "Log"
                  : `Log: ${batch.next.words.charAt(0).toLowerCase()}${batch.next.words.slice(1)}`}
              </Button>
              <Button onClick={() => setSheet("close")}>Strain or throw out</Button>
              {batch.spoilt === "discard" ? null : (
                <>
                  <Button onClick={() => setSheet("add")}>Add to it</Button>
                  <Button onClick={() => setSheet("what-if")}>What if</Button>
                </>
              )}
              {batch.closing.makes ? (
                <Button onClick={() => setSheet({ take: "batch", heldL: batch.filledL })}>
                  Take some for the shed
                </Button>
              ) : null}
            </div>
          ) : null}
        </div>
      </div>
      <OverTime page={page} clock={clock} pins={pins} />
      <div className="mt-6 grid gap-x-10 gap-y-8 md:grid-cols-2">
        <div className="grid content-start gap-8">
          <Part title="Log">
            {page.log.length === 0 ? (
              <p className="text-soft">Nothing logged yet. The first look tells most.</p>
            ) : (
              <LogList
                log={page.log}
                clock={clock}
                units={farm.units}
                onCorrect={(next) => {
                  setCorrecting(next);
                  setSheet("log");
                }}
                onWithdraw={(entryId) => void strike(entryId)}
              />
            )}
          </Part>
          {page.progress.tending.length > 0 || page.progress.stages.length > 0 ? (
            <Part title="Stages and tending">
              <Tending
                batch={batch}
                progress={page.progress}
                people={page.people}
                shares={page.shares}
                running={running}
                clock={clock}
              />
            </Part>
          ) : null}
          <Part title="How it looks">
            <Photos
              batchId={batch.id}
              startedMs={batch.startedMs}
              photos={page.progress.photos}
              family={LOOKS[page.looks] ?? null}
              running={running}
              clock={clock}
            />
          </Part>
          {page.progress.earlier.length > 0 ? (
            <Part title="Earlier ones">
              <Earlier progress={page.progress} startedMs={batch.startedMs} clock={clock} />
            </Part>
          ) : null}
          {page.close || page.stores.length > 0 ? (
            <Outcome page={page} onTake={(take, heldL) => setSheet({ take, heldL })} />
          ) : null}
        </div>
        <div className="grid content-start gap-8">
          <Part title="What went in">
            <Lines page={page} />
            <div className="mt-2">
              <Origins page={page} />
            </div>
          </Part>
          {batch.closing.unit === "L" ? (
            <Part title="What is in it">
              <InIt page={page} />
            </Part>
          ) : null}
          <Part title="What it cost">
            <p className="mb-3">
              <span className="reading text-2xl font-semibold">{sayMoney(page.cost.totalMinor, farm.currency)}</span>
              {page.cost.perLMinor === null ? (
                <span className="text-soft">
                  {" "}
                  so far; what each {farm.units === "us" ? "gallon" : "litre"} cost comes with the yield
                </span>
              ) : (
                <span className="text-soft">
                  {" "}
                  or {sayPricePer(page.cost.perLMinor, "L", farm.currency, farm.units)}
                </span>
              )}
            </p>
            <CostMeasure cost={page.cost} currency={farm.currency} label="What it cost" />
          </Part>
          <Part title="Mind">
            <div className="grid gap-2">
              {page.inherited.map((caution) => (
                <Notice key={`from ${caution}`} tone="caution" title="From what it was made with">
                  {caution}
                </Notice>
              ))}
              <Cautions cautions={page.cautions} />
              <p className="text-[0.9rem] text-soft">
                Local code, your certifier and licensed trades stand above this. <BookText>{page.sureness}</BookText>
              </p>
            </div>
          </Part>
        </div>
      </div>
      <BatchSheets
        page={page}
        sheet={sheet}
        correcting={correcting}
        onClose={() => {
          setSheet(null);
          setCorrecting(null);
        }}
      />
    </div>
  );
};
