import type { ComponentProps } from "react";
import { Link } from "../kit/Link";
import { vesselShape } from "@/core/recipe/vesselShape";
import { fromBase } from "@/core/quantity/units";
import { sayTemperature, sayVolume } from "@/formats/amounts";
import { plural } from "@/formats/numbers";
import { clockTime, longWeekday, weekday } from "@/formats/times";
import type { YardVessel, YardView } from "@/services/yard";
import { briefOf } from "../batch/briefOf";
import { buttonClass } from "../kit/Button";
import { sayAirSpan, sayBand } from "../drawings/bandWords";
import { BandLayer, BandWords, TimeAxis } from "../drawings/TimePlate";
import { YardKey } from "./YardKey";
import { VesselColumn } from "./VesselColumn";
import { AddVessel, YardDesk } from "./YardDesk";
import { counted } from "@/formats/grammar";

/** Longer names than this take two lines in a column. */
const ONE_LINE_NAME = 10;
const VESSEL_BOX = { widthPx: 94, heightPx: 98 } as const;

function pxPerMetre(vessels: readonly YardVessel[]): number {
  const shapes = vessels.map(({ volumeL, diameterM }) => vesselShape(volumeL, diameterM));
  return Math.min(
    VESSEL_BOX.widthPx / Math.max(0.4, ...shapes.map(({ diameterM }) => diameterM)),
    VESSEL_BOX.heightPx / Math.max(0.4, ...shapes.map(({ heightM }) => heightM)),
  );
}

const FitHours = ({ yard }: { readonly yard: YardView }) => {
  const clock = yard.farm;
  const next = yard.bands.slice(0, 3);
  if (next.length === 0) return null;
  return (
    <section aria-labelledby="fit" className="mt-6">
      <h2 id="fit" className="text-xl">
        Good times to apply
      </h2>
      <ul className="mt-1 text-[0.92rem]">
        {next.map((band) => (
          <li key={band.fromMs} className="flex gap-2 py-0.5">
            <span className="reading w-[7.6rem] shrink-0">
              {weekday(new Date(band.fromMs), clock)} {clockTime(new Date(band.fromMs), clock)}–
              {clockTime(new Date(band.toMs), clock)}
            </span>
            <span className="text-soft">{sayBand(band)}</span>
          </li>
        ))}
      </ul>
      {next.some(({ because }) => because === "unknown") ? (
        <p className="mt-1 text-[0.92rem] text-soft">
          From sunrise, sunset and usual temperatures only. No weather station is connected.{" "}
          <Link
            href="/shed/probes"
            className="underline decoration-line decoration-2 underline-offset-4 hover:decoration-ink"
          >
            Connect a weather station
          </Link>
        </p>
      ) : null}
    </section>
  );
};

/** The hour, and how much is on the go. */
const YardHead = ({ yard }: { readonly yard: YardView }) => {
  const clock = yard.farm;
  const { units } = yard.farm;
  const now = new Date(yard.nowMs);
  const working = yard.vessels.filter(({ status }) => status === "running");
  return (
    <div className="flex flex-wrap items-baseline gap-x-6 px-4 pt-4 md:pl-[92px]">
      <h1 className="text-2xl">
        The yard, {longWeekday(now, clock)} {clockTime(now, clock)}
      </h1>
      {yard.vessels.length > 0 ? (
        <p className="text-soft">
          {working.length === 0
            ? `Nothing on the go in ${plural(yard.vessels.length, "vessel")}`
            : `${working.length} of ${plural(yard.vessels.length, "vessel")} working · ${sayVolume(
                working.reduce((sum, { batch }) => sum + (batch?.filledL ?? 0), 0),
                units,
              )} on the go`}
        </p>
      ) : null}
      {yard.heldEntries > 0 ? (
        <p className="w-full">
          <Link href="/farm/access#held" className="thumb font-semibold underline">
            {counted(yard.heldEntries, {
              one: "One entry waits for a steward: enter it or drop it.",
              other: "# entries wait for a steward: enter or drop them.",
            })}
          </Link>
        </p>
      ) : null}
    </div>
  );
};

/** The vessels on one ground line, time rising out of them. */
const Plate = ({ yard }: { readonly yard: YardView }) => {
  const clock = yard.farm;
  const { units } = yard.farm;
  const toUnit = (celsius: number) =>
    fromBase({ dimension: "temperature", value: celsius }, units === "us" ? "°F" : "°C").value;
  const pxPerM = pxPerMetre(yard.vessels);
  const roomForNames = yard.vessels.some(({ name }) => name.length > ONE_LINE_NAME);
  return (
    <>
      <p className="reading mb-1 hidden pl-2 pt-1 text-[0.82rem] text-soft md:block">
        {sayAirSpan(yard.air, units === "us" ? "°F" : "°C", toUnit)}
      </p>
      <div
        role="region"
        aria-label="Vessels and when each is ready"
        tabIndex={0}
        className="snap-x scroll-pl-14 relative overflow-x-auto max-md:pt-3 md:scroll-pl-[88px]"
      >
        <div
          className="relative grid [--col:68vw] [--gutter:3.5rem] md:[--col:106px] md:[--gutter:88px]"
          style={{
            gridTemplateColumns: `var(--gutter) repeat(${yard.vessels.length}, minmax(0, 1fr))`,
            width: `max(100%, calc(var(--gutter) + ${yard.vessels.length} * var(--col)))`,
          }}
        >
          <div className="absolute inset-x-0 top-0">
            <div className="absolute inset-x-0 left-14 md:left-[88px]">
              <BandLayer nowMs={yard.nowMs} clock={clock} bands={yard.bands} />
              <BandWords nowMs={yard.nowMs} bands={yard.bands} />
            </div>
          </div>
          <div className="sticky left-0 z-10 bg-limewash/90">
            <TimeAxis
              nowMs={yard.nowMs}
              clock={clock}
              air={yard.air}
              sayDegrees={(celsius) => sayTemperature(celsius, units)}
            />
          </div>
          {yard.vessels.map((vessel) => (
            <VesselColumn
              key={vessel.id}
              vessel={vessel}
              nowMs={yard.nowMs}
              clock={clock}
              units={units}
              pxPerM={pxPerM}
              roomForNames={roomForNames}
            />
          ))}
        </div>
      </div>
    </>
  );
};

/** What stands where no vessel is in use. */
const NoVessel = () => (
  <div className="m-6 max-w-md border-l-4 border-marigold bg-chalk p-4">
    <p>No vessel is in use. Add one, or bring one back.</p>
    <AddVessel variant="strong" className="mr-2 mt-3" />
    <Link href="/farm/vessel" className={buttonClass("plain")}>
      Vessels that are away
    </Link>
  </div>
);

const pageOf = ({ farm, nowMs, round, people, done, vessels }: YardView): ComponentProps<typeof YardDesk>["yard"] => ({
  farm,
  nowMs,
  round,
  people,
  done,
  vessels: vessels.map(({ id, name, status, batch }) => ({ id, name, status, batch: batch && briefOf(batch) })),
});

/** The home view: time rising out of the vessels, and today's round beside it (before it on a phone). */
export const YardScreen = ({ yard }: { readonly yard: YardView }) => (
  <YardDesk
    yard={pageOf(yard)}
    plate={
      <>
        <YardHead yard={yard} />
        {yard.vessels.length === 0 ? (
          <NoVessel />
        ) : (
          <>
            <Plate yard={yard} />
            <div className="px-4 py-3 md:pl-[92px]">
              <AddVessel variant="quiet" />
              <Link href="/farm/vessel" className={buttonClass("quiet")}>
                Change vessels
              </Link>
            </div>
            <div className="px-4 pb-4 md:pl-[92px]">
              <YardKey open={yard.vessels.filter(({ batch }) => batch).length === 1} />
            </div>
          </>
        )}
      </>
    }
    aside={<FitHours yard={yard} />}
  />
);
