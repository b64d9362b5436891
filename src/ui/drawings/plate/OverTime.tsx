"use client";
import { useEffect, useRef } from "react";
import type { FarmClock } from "@/formats/times";
import type { BatchPage } from "@/services/batch";
import { BatchPlate, type Pin } from "./BatchPlate";
import { plateLayout } from "./layout";
import { nowShare } from "./scale";

interface OverTimeProps {
  readonly page: BatchPage;
  readonly pins: readonly Pin[];
  readonly clock: FarmClock;
}

/** Where the temperature behind a forecast is from, for its drawing. */
const BASIS_WORDS: Record<BatchPage["batch"]["basis"], string> = {
  read: "Liquid temperature: measured.",
  place: "Liquid temperature: calculated from its place, the air outside and the size of the vessel.",
  air: "Liquid temperature: calculated from the air and the size of the vessel.",
  climate: "Temperature: usual for this time of year. Nothing measures it now.",
  stated: "Liquid temperature: as entered at the start.",
  guessed: "Liquid temperature: a guess. Measure it.",
};

/** The present stands so far across what is seen of a plate that is wider than the screen. */
const NOW_AT = 0.6;

/** Figures that would lie under a strip's title are left out, in the plate's units. */
const TITLE_H = 24;

/** What each strip shows and its figures: they stay at the left edge while the plate is pushed sideways under them. */
const StripLabels = ({ page }: { readonly page: BatchPage }) => {
  const { curve, warmth, height } = plateLayout(page);
  const at = (y: number) => ({ top: `${(100 * y) / height}%` });
  return (
    <div className="pointer-events-none sticky left-0 z-10 col-start-1 row-start-1 w-0">
      {[...(curve ? [curve] : []), warmth].map((axis) => (
        <div key={axis.title}>
          <span
            className="absolute whitespace-nowrap pl-1 text-[0.9rem] font-semibold leading-none max-md:bg-limewash max-md:text-[0.8rem] md:left-14"
            style={at(axis.top + 1)}
          >
            {axis.title}
          </span>
          {axis.ticks
            .filter(({ y }) => y > axis.top + TITLE_H)
            .map(({ y, text }) => (
              <span
                key={text}
                aria-hidden
                className="reading absolute -translate-y-1/2 bg-limewash pr-1 text-[0.8rem] leading-none text-soft md:hidden"
                style={at(y)}
              >
                {text}
              </span>
            ))}
        </div>
      ))}
    </div>
  );
};

/** The batch's plate and how to read it. Where it is wider than the screen it opens on the present, not on the first day. */
export const OverTime = ({ page, pins, clock }: OverTimeProps) => {
  const box = useRef<HTMLDivElement>(null);
  const share = nowShare(page);
  useEffect(() => {
    const element = box.current;
    if (element) element.scrollLeft = share * element.scrollWidth - NOW_AT * element.clientWidth;
    // Only as it opens: whoever has pushed it aside to look at the first days is left there.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);
  return (
    <>
      <div
        ref={box}
        role="region"
        aria-label="The batch over time"
        tabIndex={0}
        className="mt-4 relative overflow-x-auto"
      >
        <div className="grid min-w-[760px]">
          <StripLabels page={page} />
          <div className="col-start-1 row-start-1">
            <BatchPlate page={page} clock={clock} pins={pins} />
          </div>
        </div>
      </div>
      <p className="text-[0.9rem] text-soft">
        {BASIS_WORDS[page.batch.basis]} ■ actions, ● checks, · sensor readings, □ photos, ○ not counted.
      </p>
    </>
  );
};
