"use client";
import { useState } from "react";
import { weekOf } from "@/core/plan/season";
import type { SeasonView } from "@/services/season";
import { Choices } from "../kit/Choices";
import { panel } from "../kit/later";
import { SeasonAside } from "./SeasonAside";
import { SeasonHead } from "./SeasonHead";
import { SeasonPlate } from "./SeasonPlate";
import { useSeason } from "./useSeason";

const TermsSheet = panel(() => import("./TermsSheet").then((module) => module.TermsSheet));

type Zoom = "season" | "month" | "week";
const ZOOM_D: Readonly<Record<Exclude<Zoom, "season">, number>> = { month: 35, week: 10 };

/** The season: what to start, in which vessel, on which day; planned beside the page, moved by hand, taken into use. */
export const SeasonScreen = ({ view }: { readonly view: SeasonView }) => {
  const hands = useSeason(view);
  const { season, shown, score, hand } = hands;
  const [zoom, setZoom] = useState<Zoom>("season");
  const [week, setWeek] = useState(weekOf(season.nowDay));
  const [isTerms, setIsTerms] = useState(false);
  const span =
    zoom === "season"
      ? { from: season.nowDay, days: season.days - season.nowDay }
      : { from: Math.max(season.nowDay, week * 7), days: ZOOM_D[zoom] };
  return (
    <div className="px-4 py-4 md:px-8">
      <SeasonHead view={view} hands={hands} onTerms={() => setIsTerms(true)} />
      <div className="mt-4 grid gap-x-8 gap-y-6 lg:grid-cols-[minmax(0,1fr)_340px]">
        <div className="order-2 min-w-0 lg:order-1">
          <div className="mb-2 flex flex-wrap items-end gap-3">
            <Choices
              label="Show"
              value={zoom}
              options={[
                { value: "season", label: "the season" },
                { value: "month", label: "five weeks" },
                { value: "week", label: "ten days" },
              ]}
              onChange={setZoom}
            />
          </div>
          <div className="overflow-x-auto" role="region" aria-label="Drawing of the season" tabIndex={0}>
            <div className="min-w-[760px]">
              <SeasonPlate
                season={season}
                plan={shown.body}
                names={view.names}
                units={view.farm.units}
                span={span}
                weekMin={score.weekMin}
                selected={hand.selected}
                held={hand.held}
                onSelect={hand.select}
                onMove={hand.move}
              />
            </div>
          </div>
          <p className="mt-1 text-[0.92rem] text-soft">
            Time rises from the ground. A pod is a batch: thin when it is started, wide when it is ready. A post is as
            wide as what you keep of it. A thread is an application; a struck ring is one that is missing.
          </p>
        </div>
        <SeasonAside view={view} hands={hands} week={week} onWeek={setWeek} />
      </div>
      {isTerms ? <TermsSheet view={view} onClose={() => setIsTerms(false)} /> : null}
    </div>
  );
};
