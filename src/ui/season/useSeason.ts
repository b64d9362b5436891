"use client";
import { useEffect, useMemo, useRef, useState } from "react";
import { addDays } from "@/core/calendar";
import type { PlanBatch, PlanBody, Season } from "@/core/plan/season";
import { verifyPlan } from "@/core/plan/verify";
import type { SeasonView } from "@/services/season";
import { useSeasonAct } from "../acts/season";
import { told } from "../kit/told";
import type { MoveTold } from "./BatchPanel";
import { movedPlan, pinnedSeason, withoutBroken } from "@/core/plan/hand/move";
import type { Found } from "./planTalk";
import type { Held } from "./SeasonPlate";
import { usePlanner } from "./usePlanner";

/** So long a plan is searched for, ms: small farms have the best long before. */
const SEARCH_MS = 8000;

/** A plan on the screen: the one that stands, or one that is being tried. */
export interface Shown {
  readonly body: PlanBody;
  readonly found: Found | null;
  readonly isTaken: boolean;
}
export type HeldTold = Held & { readonly readyDay: number; readonly emptyDay: number; readonly told: MoveTold };

/** Nothing planned: what runs alone. */
const withRunning = (season: Season): PlanBody => ({
  batches: season.running.map((batch) => ({
    ...batch,
    emptyDay: Math.max(batch.readyDay, season.nowDay),
    discardL: 0,
    running: true as const,
  })),
  applications: [],
  purchases: [],
  forage: [],
  discards: [],
});
const bodyOf = ({ batches, applications, purchases, forage, discards }: PlanBody): PlanBody => ({
  batches,
  applications,
  purchases,
  forage,
  discards,
});

/** What is chosen of a plan, and moved by hand before it is planned around. */
function useHeld(season: Season, shown: Shown, score: MoveTold["before"]) {
  const [selected, setSelected] = useState<string | null>(null);
  const [held, setHeld] = useState<HeldTold | null>(null);
  return {
    selected,
    held,
    putBack: () => setHeld(null),
    select: (id: string | null): void => {
      setSelected(id);
      if (held && held.batch.id !== id) setHeld(null);
    },
    move: (batch: PlanBatch, startDay: number, vessel: string, stretchD?: number): void => {
      const longerD = stretchD ?? (held?.batch.id === batch.id ? held.longerD : 0);
      if (startDay === batch.startDay && vessel === batch.vessel && longerD === 0) return setHeld(null);
      const moved = movedPlan(season, shown.body, batch, startDay, vessel, longerD);
      const after = withoutBroken(season, moved);
      const { readyDay, emptyDay } = moved.batches.find(({ id }) => id === batch.id)!;
      setHeld({
        batch,
        startDay,
        readyDay,
        emptyDay,
        vessel,
        longerD,
        told: { broken: after.broken, before: score, after: after.score },
      });
    },
  };
}

/** Rules out that an input is begun in a vessel, or in the week of a batch. @returns the season without it; null where that was refused */
function useRule({ terms }: SeasonView, season: Season) {
  const ruling = useSeasonAct("setSeasonTerms", "toast");
  return async ({ input, vessel, startDay }: PlanBatch, how: "vessel" | "week"): Promise<Season | null> => {
    const monday = startDay - (startDay % 7);
    const dateOf = (day: number): string => addDays(season.firstDay, day);
    const [ruled, rule] =
      how === "vessel"
        ? [
            { methodId: input, vesselId: Number(vessel), fromOn: null, toOn: null },
            { input, vessel, fromDay: 0, toDay: season.days },
          ]
        : [
            { methodId: input, vesselId: null, fromOn: dateOf(monday), toOn: dateOf(monday + 6) },
            { input, fromDay: monday, toDay: monday + 6 },
          ];
    const done = await ruling.run({
      ...terms,
      closedWeekdays: [...terms.closedWeekdays],
      hands: terms.hands.map((hand) => ({ ...hand })),
      forbidden: [...terms.forbidden, ruled].map((one) => ({ ...one })),
    });
    if (done === null) return null;
    told("Ruled out. Hours and cans has it, to allow it again.");
    return { ...season, forbidden: [...(season.forbidden ?? []), rule] };
  };
}
/** What of a plan is sent when it is taken into use. */
const sentOf = ({ batches, applications, purchases, forage, discards }: PlanBody, { firstDay }: Season) => ({
  firstDay,
  batches: batches.map((batch) => ({ ...batch, feeds: batch.feeds?.map((feed) => ({ ...feed })) ?? [] })),
  applications: applications.map((one) => ({ ...one, draws: one.draws.map((draw) => ({ ...draw })) })),
  purchases: [...purchases],
  forage: [...forage],
  discards: [...discards],
});

/** The plan on the screen: planned, moved, pinned, undone, taken. */
export function useSeason(view: SeasonView) {
  // What was planned before stands in `previous`; for judging a plan alone it does not count.
  const season = useMemo(() => ({ ...view.season, previous: null }), [view.season]);
  const standing: Shown = {
    body: view.plan ? bodyOf(view.plan) : withRunning(view.season),
    found: null,
    isTaken: view.plan !== null,
  };
  // What the farm's machine planned anew since something changed is laid before whoever may take it; the plan in use is one step back.
  const proposed: Shown | null =
    view.proposal && view.mayTake ? { body: bodyOf(view.proposal), found: null, isTaken: false } : null;
  const [past, setPast] = useState<readonly Shown[]>(proposed ? [standing] : []);
  const [shown, setShown] = useState<Shown>(proposed ?? standing);
  const [pins, setPins] = useState<ReadonlySet<string>>(new Set());
  const planner = usePlanner();
  const taking = useSeasonAct("takeSeasonPlan");
  const rule = useRule(view, season);
  const { score, broken } = useMemo(() => verifyPlan(season, shown.body), [season, shown.body]);
  const hand = useHeld(season, shown, score);
  const isPlanned = shown.body.applications.length > 0;

  const start = (from: Season): void => {
    setPast([...past, shown]);
    hand.putBack();
    planner.start(from, SEARCH_MS, (plan, found) => setShown({ body: bodyOf(plan), found, isTaken: false }));
  };
  // The farm has changed and nobody planned anew yet: done at once, beside the page.
  const isDue = view.mayTake && shown.isTaken && (broken.length > 0 || view.since.length > 0);
  const isBegun = useRef(false);
  useEffect(() => {
    if (!isDue || isBegun.current) return;
    isBegun.current = true;
    start(view.season);
  });
  const planAround = (): void => {
    if (!hand.held) return;
    const { batch, startDay, vessel, longerD } = hand.held;
    const pinned = new Set([...pins, batch.id]);
    setPins(pinned);
    start(pinnedSeason(season, movedPlan(season, shown.body, batch, startDay, vessel, longerD), pinned));
  };
  const take = async (): Promise<void> => {
    const done = await taking.run(sentOf(shown.body, season));
    if (done === null) return;
    setShown({ ...shown, isTaken: true });
    // The plan that was in use before is one step back, to be used again.
    setPast(view.plan ? [{ ...standing, isTaken: false }] : []);
    told("The plan is in use. Its next three weeks are in the yard and on the shopping list.");
  };
  return {
    season,
    shown,
    score,
    broken,
    pins,
    planner,
    taking,
    hand,
    isPlanned,
    mayUndo: past.length > 0,
    plan: () => start(isPlanned ? pinnedSeason(season, shown.body, pins) : view.season),
    planAround,
    take,
    /** A plan that was made elsewhere on this page; the one before comes back by undo. */
    show: (plan: PlanBody): void => {
      setPast([...past, shown]);
      hand.putBack();
      setShown({ body: bodyOf(plan), found: null, isTaken: false });
    },
    undo: () => {
      setShown(past.at(-1)!);
      setPast(past.slice(0, -1));
    },
    /** Planned anew without what is ruled out. */
    forbid: async (batch: PlanBatch, how: "vessel" | "week"): Promise<void> => {
      const without = await rule(batch, how);
      if (without) start(pinnedSeason(without, shown.body, pins));
    },
    pin: (id: string) => {
      const next = new Set(pins);
      if (!next.delete(id)) next.add(id);
      setPins(next);
    },
  };
}
export type SeasonHands = ReturnType<typeof useSeason>;
