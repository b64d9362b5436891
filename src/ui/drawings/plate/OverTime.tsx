import type { BatchPage } from "@/services/batch";
import { BatchPlate } from "./BatchPlate";
import { plateLayout } from "./layout";
import { Pushed } from "./Pushed";
import { nowShare } from "./scale";

/** Where the temperature behind a forecast is from, for its drawing. */
const BASIS_WORDS: Record<BatchPage["batch"]["basis"], string> = {
  read: "Liquid temperature: measured.",
  place: "Liquid temperature: calculated from its place, the air outside and the size of the vessel.",
  air: "Liquid temperature: calculated from the air and the size of the vessel.",
  climate: "Temperature: usual for this time of year. Nothing measures it now.",
  stated: "Liquid temperature: as entered at the start.",
  guessed: "Liquid temperature: a guess. Measure it.",
};

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

/** The batch's plate and how to read it. */
export const OverTime = ({ page }: { readonly page: BatchPage }) => (
  <>
    <Pushed label="The batch over time" nowShare={nowShare(page)}>
      <div className="grid min-w-[760px]">
        <StripLabels page={page} />
        <div className="col-start-1 row-start-1">
          <BatchPlate page={page} />
        </div>
      </div>
    </Pushed>
    <p className="text-[0.9rem] text-soft">
      {BASIS_WORDS[page.batch.basis]} ■ actions, ● checks, · sensor readings, □ photos, ○ not counted.
    </p>
  </>
);
