import { askedWater } from "../water/waterDraft";
import type { LineDraft } from "./workOutFill";
import type { Fill } from "./useFill";

/** What the sheet asks besides the recipe and its amounts. */
export interface FillSaid {
  readonly vesselId: number;
  readonly planId: number | null;
  readonly statedC: number | null;
  readonly reason: string;
  /** When it was started, where that was not just now. */
  readonly startedAt?: string | undefined;
}

type Drafted = Pick<Fill, "state" | "plan" | "stated">;

/** The fill as chosen, for a plan, a start, or a mixing step by step; wanted only where the recipe could be scaled. */
export const chosenRequest = ({ state, plan, stated }: Drafted, said: FillSaid) => ({
  vesselId: said.vesselId,
  ...state.key,
  basisAmount: Number(plan.scaled!.basisAmount.toFixed(6)),
  include: [...state.include],
  stated: [...stated],
  substitutes: Object.entries(state.swaps).map(([instead, use]) => ({ instead, use })),
  water: askedWater(state.water),
  planId: said.planId,
  statedC: said.statedC,
  overrideReason: said.reason.trim() === "" ? null : said.reason.trim(),
  equipmentIds: [...state.tools],
});

const lineOf = ({ state }: Pick<Drafted, "state">, line: LineDraft) => ({
  ingredientId: line.ingredient,
  part: line.part,
  pickedNow: line.pickedNow,
  ...(line.pickedNow && state.species[line.ingredient] ? { species: state.species[line.ingredient]! } : {}),
});

/** The batch as it is started at once. */
export const fillRequest = (fill: Drafted, said: FillSaid, labourMin: number) => ({
  ...chosenRequest(fill, said),
  lines: fill.plan.lines.map((line) => ({ ...lineOf(fill, line), used: line.used as number })),
  labourMin,
  ...(said.startedAt === undefined ? {} : { startedAt: said.startedAt }),
});

/** The mixing as it is begun, each amount meant. */
export const mixingRequest = (fill: Drafted, said: FillSaid) => ({
  ...chosenRequest(fill, said),
  lines: fill.plan.lines.map((line) => ({ ...lineOf(fill, line), amount: line.used as number })),
});
