import { useCallback, useMemo, useState } from "react";
import { DomainError } from "@/core/errors";
import type { UnitSystem } from "@/formats/amounts";
import { sayDomain } from "@/words/domain";
import { speechOf } from "@/words/speech";
import { drawn, type Draft, type DraftStep, difference, picking } from "./draft";

/** Steps that can be taken back. */
const MOST_BACK = 200;

interface History {
  readonly past: readonly Draft[];
  readonly now: Draft;
  readonly ahead: readonly Draft[];
}

/** The land while it is being drawn, with every step to take back and to do again. */
export function useDraft(first: Draft, units: UnitSystem) {
  const [begin, setBegin] = useState(first);
  const [history, setHistory] = useState<History>({ past: [], now: first, ahead: [] });
  const [problem, setProblem] = useState<string | null>(null);
  const step = useCallback(
    (next: DraftStep): void => {
      try {
        setProblem(null);
        setHistory(({ past, now }) => ({ past: [...past, now].slice(-MOST_BACK), now: drawn(now, next), ahead: [] }));
      } catch (error) {
        if (!(error instanceof DomainError)) throw error;
        setProblem(sayDomain(error, speechOf(units)));
      }
    },
    [units],
  );
  const tryStep = useCallback(
    (next: DraftStep): void => {
      // Worked out here first, since what is thrown while React renders is nobody's to catch.
      try {
        drawn(history.now, next);
      } catch (error) {
        if (!(error instanceof DomainError)) throw error;
        setProblem(sayDomain(error, speechOf(units)));
        return;
      }
      step(next);
    },
    [history.now, step, units],
  );
  const toSend = useMemo(() => difference(begin, history.now), [begin, history.now]);
  /** Goes on from a land that the farm keeps: there is nothing to take back before it. */
  const goOnFrom = (kept: Draft) => {
    setBegin(kept);
    setHistory({ past: [], now: kept, ahead: [] });
  };
  return {
    draft: history.now,
    goOnFrom,
    problem,
    step: tryStep,
    pick: (keys: Iterable<number>) => setHistory((all) => ({ ...all, now: picking(all.now, keys) })),
    undo: () =>
      setHistory(({ past, now, ahead }) =>
        past.length === 0
          ? { past, now, ahead }
          : { past: past.slice(0, -1), now: past.at(-1)!, ahead: [now, ...ahead] },
      ),
    redo: () =>
      setHistory(({ past, now, ahead }) =>
        ahead.length === 0 ? { past, now, ahead } : { past: [...past, now], now: ahead[0]!, ahead: ahead.slice(1) },
      ),
    canUndo: history.past.length > 0,
    canRedo: history.ahead.length > 0,
    toSend,
    changes: toSend.plots.length + toSend.putAway.length,
  };
}
export type Drawing = ReturnType<typeof useDraft>;
