import { MEASURES, READING_KINDS, type MeasureKind, type Scale } from "@/core/trial/terms";
import { addDays } from "@/core/calendar";
import { readOptional } from "@/formats/numbers";
import type { UnitSystem } from "@/formats/amounts";
import type { TrialStartView, TrialView } from "@/services/trials";
import { unitOfReading } from "@/words/said";

/** A trial as it is being typed. */
export interface TrialDraft {
  readonly question: string;
  readonly inputs: readonly { readonly methodId: string; readonly name: string }[];
  readonly isOnLeaves: boolean;
  readonly plotIds: readonly number[];
  readonly strips: number;
  readonly gradient: "none" | "north-south" | "west-east";
  readonly edgePlotIds: readonly number[];
  readonly kind: MeasureKind;
  readonly asShare: boolean;
  readonly unit: string;
  readonly smallest: string;
  readonly spread: string;
  readonly card: readonly string[];
  readonly isChange: boolean;
  readonly looks: "several" | "one" | "any";
  readonly decidingOn: string;
  readonly asked: string;
}
/** What is none of the book's methods. */
export const OWN = "own";
export const KINDS = READING_KINDS;
const WEEKS_D = 42;

export const emptyDraft = ({ today, methods }: Pick<TrialStartView, "today" | "methods">): TrialDraft => ({
  question: "",
  inputs: [{ methodId: methods[0]?.id ?? OWN, name: methods[0]?.name ?? "" }],
  isOnLeaves: false,
  ...{ plotIds: [], strips: 1, gradient: "none", edgePlotIds: [] },
  ...{ kind: "weight", asShare: true, unit: "", smallest: "20", spread: "20", card: [] },
  ...{ isChange: false, looks: "several", decidingOn: addDays(today, WEEKS_D), asked: "3" },
});

export const scaleOf = ({ kind, asShare }: Pick<TrialDraft, "kind" | "asShare">): Scale =>
  MEASURES[kind].scale === "ordinal" ? "ordinal" : asShare ? "ratio" : "difference";

const GRADIENTS = { "none": null, "north-south": 90, "west-east": 0 } as const;
export const joiningOf = ({ plotIds, strips, gradient, edgePlotIds }: TrialDraft) => ({
  plotIds: [...plotIds],
  strips,
  gradientDeg: GRADIENTS[gradient],
  edgePlotIds: edgePlotIds.filter((id) => plotIds.includes(id)),
});

/** A figure as the farm keeps it: a share where percents are typed. */
const asKept = (typed: string, isPercent: boolean): number | null => {
  const value = readOptional(typed);
  return value === null ? null : isPercent ? value / 100 : value;
};
/** Whether figures of this kind are typed in percent, though the farm keeps shares. */
const isPercent = (draft: TrialDraft): boolean => scaleOf(draft) !== "difference" || draft.kind === "disease-share";
export const smallestOf = (draft: TrialDraft): number | null => asKept(draft.smallest, isPercent(draft));
export const spreadOf = (draft: TrialDraft): number | null => asKept(draft.spread, isPercent(draft));

export const unitOf = ({ kind, unit }: Pick<TrialDraft, "kind" | "unit">, units: UnitSystem): string =>
  kind === "number" ? unit : unitOfReading(kind, units);

/** The terms, as the farm is asked. */
export const termsOf = (draft: TrialDraft, units: UnitSystem) => ({
  question: draft.question.trim(),
  inputs: draft.inputs.map(({ methodId, name }) => ({
    name: name.trim(),
    methodId: methodId === OWN ? null : methodId,
  })),
  useId: draft.isOnLeaves ? "foliar" : "drench-growing",
  kind: draft.kind,
  scale: scaleOf(draft),
  unit: unitOf(draft, units),
  smallest: smallestOf(draft),
  card: draft.card.some((word) => word.trim() !== "") ? draft.card.map((word) => word.trim()) : [],
  isChange: draft.isChange && scaleOf(draft) === "difference",
  looks: draft.looks,
  decidingOn: draft.decidingOn,
  asked: readOptional(draft.asked) ?? Number.NaN,
});

/** A draft out of a trial's terms, to change them. */
export const draftOf = ({ terms }: Pick<TrialView, "terms">): TrialDraft => {
  const typed = (value: number | null, isShare: boolean): string =>
    value === null ? "" : String(Number((isShare ? value * 100 : value).toPrecision(6)));
  const asShare = terms.scale === "ratio";
  const isShare = terms.scale !== "difference" || terms.kind === "disease-share";
  return {
    question: terms.question,
    inputs: terms.inputs.map(({ methodId, name }) => ({ methodId: methodId ?? OWN, name })),
    isOnLeaves: terms.useId === "foliar",
    ...{ plotIds: [], strips: 1, gradient: "none", edgePlotIds: [] },
    ...{ kind: terms.kind, asShare, unit: terms.unit, smallest: typed(terms.smallest, isShare), spread: "" },
    ...{ card: terms.card, isChange: terms.isChange, looks: terms.looks, decidingOn: terms.decidingOn },
    asked: String(terms.asked),
  };
};
