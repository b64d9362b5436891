import { useRouter } from "next/navigation";
import { useState } from "react";
import { plural } from "@/formats/numbers";
import type { BatchBrief } from "@/services/batch";
import type { RoundTask } from "@/services/yard";
import { useBatchAct } from "../acts/batch";
import { useYardAct } from "../acts/yard";
import { focusFor, type LogFocus } from "../batch/logFocus";
import { useKey } from "../frame/keys";
import { useRefreshing } from "../frame/useRefreshing";
import { told } from "../kit/told";
import { useYardKeys } from "./useYardKeys";
import type { YardHands, YardPage } from "./yardHands";
import { undoOffer } from "../acts/undo";

/** An open panel keeps the batch that it was opened for, so that nothing typed is lost when someone else ends it meanwhile. */
export type OpenSheet =
  | { readonly type: "log"; readonly batch: BatchBrief; readonly vesselName: string; readonly focus: LogFocus }
  | { readonly type: "close"; readonly batch: BatchBrief; readonly vesselName: string }
  | { readonly type: "add" }
  | { readonly type: "arrange"; readonly task: RoundTask }
  | null;

/** What can be done with the vessels: most open a panel, washing is done at a touch. */
function useHands(yard: YardPage, setSheet: (sheet: OpenSheet) => void) {
  const router = useRouter();
  const clean = useYardAct("cleanVessel", "toast");
  const unclean = useYardAct("takeBackWashing", "toast");
  const vesselOf = (vesselId: number) => yard.vessels.find(({ id }) => id === vesselId);
  const washed = async (vesselId: number) => {
    if (await clean.run({ vesselId }))
      told(
        `${vesselOf(vesselId)?.name ?? "It"} is free.`,
        undoOffer(() => unclean.run({ vesselId })),
      );
  };
  const hands: YardHands = {
    fill: (vesselId) => router.push(`/?fill=${vesselId}`, { scroll: false }),
    log: (vesselId) => {
      const vessel = vesselOf(vesselId);
      if (vessel?.batch)
        setSheet({ type: "log", batch: vessel.batch, vesselName: vessel.name, focus: focusFor(vessel.batch) });
    },
    close: (vesselId) => {
      const vessel = vesselOf(vesselId);
      if (vessel?.batch) setSheet({ type: "close", batch: vessel.batch, vesselName: vessel.name });
    },
    clean: (vesselId) => void washed(vesselId),
    add: () => setSheet({ type: "add" }),
  };
  return { hands, washed, clean, unclean };
}

/** What can be done from the yard: with a vessel, and with a task of the round. */
export function useYardActs(yard: YardPage) {
  const router = useRouter();
  const [sheet, setSheet] = useState<OpenSheet>(null);
  const [busyKey, setBusyKey] = useState<string | null>(null);
  const log = useBatchAct("logEntry", "toast");
  const { hands, washed, clean, unclean } = useHands(yard, setSheet);
  const holding = (batchId: number) => yard.vessels.find(({ batch }) => batch?.id === batchId);
  useRefreshing();

  const touch = async (task: RoundTask) => {
    const { touch: wanted } = task;
    if (wanted.type === "go") {
      router.push(wanted.href);
      return;
    }
    if (wanted.type === "open-log" || wanted.type === "close") {
      const vessel = holding(wanted.batchId);
      if (!vessel?.batch) return;
      const opened = { batch: vessel.batch, vesselName: vessel.name };
      setSheet(
        wanted.type === "close" ? { type: "close", ...opened } : { type: "log", focus: wanted.focus, ...opened },
      );
      return;
    }
    setBusyKey(task.key);
    if (wanted.type === "clean") await washed(wanted.vesselId);
    else {
      const answer = await log.run({ batchId: wanted.batchId, entry: { kind: "act", act: wanted.act } });
      if (answer)
        told(
          `${task.title}. Done.`,
          undoOffer(() =>
            log.run({ batchId: wanted.batchId, correctsId: answer.entryId, entry: { kind: "withdrawn" } }),
          ),
        );
    }
    setBusyKey(null);
  };
  /** One after the other; one word for all, and one way back. */
  const touchAll = async (tasks: readonly RoundTask[]) => {
    const logged: { batchId: number; entryId: number }[] = [];
    const washings: number[] = [];
    for (const { touch: wanted } of tasks) {
      if (wanted.type === "clean" && (await clean.run({ vesselId: wanted.vesselId }))) washings.push(wanted.vesselId);
      if (wanted.type !== "log-act") continue;
      const answer = await log.run({ batchId: wanted.batchId, entry: { kind: "act", act: wanted.act } });
      if (answer) logged.push({ batchId: wanted.batchId, entryId: answer.entryId });
    }
    const count = washings.length + logged.length;
    if (count === 0) return;
    told(
      `${plural(count, "task")} done.`,
      undoOffer(async () => {
        const undone = [];
        for (const { batchId, entryId } of logged)
          undone.push(await log.run({ batchId, correctsId: entryId, entry: { kind: "withdrawn" } }));
        for (const vesselId of washings) undone.push(await unclean.run({ vesselId }));
        return undone.every((answer) => answer !== null);
      }),
    );
  };
  useYardKeys(yard.vessels, hands);
  useKey("n", hands.add);

  return { sheet, setSheet, busyKey, hands, touch, touchAll };
}
