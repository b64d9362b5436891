import "server-only";
import { mayAs } from "@/core/people/roles";
import { mayJudgeAlone, standingsOf, type Attempt, type DrumEnded, type Standing } from "@/core/practice/spacing";
import { isHarmfulOutcome, isRightOutcome } from "@/core/practice/drum/ending";
import { YARD_METHODS } from "@/core/practice/yard/drums";
import { listAttempts, listLeave, type AttemptRow } from "@/data/practice";
import { isoDay } from "@/formats/times";
import type { Frame } from "../context";

/** How one method stands with a learner. */
export interface MethodPractised {
  readonly methodId: string;
  readonly drums: number;
  readonly right: number;
  /** The last drums say so; a steward gives the leave. */
  readonly isSure: boolean;
  readonly hasLeave: boolean;
}
export interface Learner {
  readonly personId: number;
  readonly name: string;
  readonly standings: readonly Standing[];
  readonly methods: readonly MethodPractised[];
  readonly lastOn: string | null;
}
export interface PracticeView {
  readonly today: string;
  readonly system: "metric" | "us";
  /** Whether what is practised is kept: somebody who may only read practises without. */
  readonly isKept: boolean;
  readonly me: Learner;
  /** Everybody else, for a steward; nobody for others. */
  readonly others: readonly Learner[];
}

const attemptsOf = (rows: readonly AttemptRow[]): Attempt[] =>
  rows.flatMap(({ judged, onDay }) => judged.map((one) => ({ ...one, onDay })));

function learnerOf(
  { id, name }: { readonly id: number; readonly name: string },
  all: readonly AttemptRow[],
  leave: ReadonlySet<string>,
): Learner {
  const rows = all.filter(({ personId }) => personId === id);
  const drums = rows.flatMap(({ methodId, outcome }): DrumEnded[] =>
    methodId === null || outcome === null
      ? []
      : [{ methodId, isRight: isRightOutcome(outcome), isHarmful: isHarmfulOutcome(outcome) }],
  );
  return {
    personId: id,
    name,
    standings: standingsOf(attemptsOf(rows)),
    methods: YARD_METHODS.map(({ method }) => {
      const own = drums.filter(({ methodId }) => methodId === method);
      return {
        methodId: method,
        drums: own.length,
        right: own.filter(({ isRight }) => isRight).length,
        isSure: mayJudgeAlone(drums, method),
        hasLeave: leave.has(`${id}|${method}`),
      };
    }),
    lastOn: rows.at(-1)?.onDay ?? null,
  };
}

/** What somebody practised and how each judgement stands; a steward sees it of everybody. */
export async function readPractice({ ctx, farm, people }: Frame): Promise<PracticeView> {
  const isSteward = mayAs(ctx.actor.role, "steward");
  const [rows, leaves] = await Promise.all([
    listAttempts(ctx.pool, isSteward ? null : ctx.actor.id),
    listLeave(ctx.pool),
  ]);
  const leave = new Set(leaves.map(({ personId, methodId }) => `${personId}|${methodId}`));
  return {
    today: isoDay(ctx.now(), farm),
    system: farm.units,
    isKept: mayAs(ctx.actor.role, "helper"),
    me: learnerOf(ctx.actor, rows, leave),
    others: isSteward
      ? people.filter(({ id }) => id !== ctx.actor.id).map((person) => learnerOf(person, rows, leave))
      : [],
  };
}
