"use client";
import { useEffect, useRef } from "react";
import type { FarmClock } from "@/formats/times";
import type { BatchPage } from "@/services/readBatch";
import { BatchPlate, type Pin } from "./BatchPlate";
import { nowShare } from "./scale";

interface OverTimeProps {
  readonly page: BatchPage;
  readonly pins: readonly Pin[];
  readonly clock: FarmClock;
}

/** Where the temperature behind a forecast is from, for its drawing. */
const BASIS_WORDS: Record<BatchPage["batch"]["basis"], string> = {
  read: "The liquid’s temperature was read.",
  air: "The liquid’s temperature is worked out from the air, through the vessel’s own slowness.",
  climate: "The temperature is what these weeks usually are here: nothing was read.",
  stated: "The temperature is as it was stated at the start, held.",
  guessed: "The temperature is a guess: a reading would narrow all this.",
};

/** The present stands so far across what is seen of a plate that is wider than the screen. */
const NOW_AT = 0.6;

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
      <div ref={box} role="region" aria-label="The batch over time" tabIndex={0} className="mt-4 overflow-x-auto">
        <BatchPlate page={page} clock={clock} pins={pins} />
      </div>
      <p className="text-[0.9rem] text-soft">
        {BASIS_WORDS[page.batch.basis]} Squares are what was done, dots what was seen, small dots what a probe read,
        frames photographs; hollow readings do not count.
      </p>
    </>
  );
};
