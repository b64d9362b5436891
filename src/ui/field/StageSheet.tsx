"use client";
import { useState } from "react";
import { told } from "../kit/told";
import type { SeenStage } from "@/core/land/planting";
import { plural } from "@/formats/numbers";
import type { PlotView } from "@/services/field";
import { useFieldAct } from "../acts/field";
import { undoOffer, useUndo } from "../acts/undo";
import { Choices } from "../kit/Choices";
import { TextField } from "../kit/fields";
import { FormSheet } from "../kit/FormSheet";

export const STAGE_WORDS: Readonly<Record<SeenStage, string>> = {
  seedling: "seedlings",
  settling: "settling in",
  growing: "leaf growth",
  flowering: "turning to flower",
  fruiting: "fruiting",
  rest: "at rest",
};
const STAGES = (Object.keys(STAGE_WORDS) as SeenStage[]).map((value) => ({ value, label: STAGE_WORDS[value] }));

interface PlotsProps {
  readonly plots: readonly PlotView[];
  readonly today: string;
  readonly onClose: () => void;
}
const plantingsOf = (plots: readonly PlotView[]): number[] =>
  plots.flatMap(({ planting }) => (planting ? [planting.id] : []));

/** How far the crops on the chosen plots were seen to be. */
export const StageSheet = ({ plots, today, onClose }: PlotsProps) => {
  const act = useFieldAct("seeStage");
  const undo = useUndo();
  const [stage, setStage] = useState<SeenStage>("growing");
  const [on, setOn] = useState(today);
  const submit = async () => {
    const answer = await act.run({ plantingIds: plantingsOf(plots), stage, on });
    if (!answer) return;
    told(
      `${STAGE_WORDS[stage]}: seen on ${plural(plots.length, "plot")}.`,
      undo(...(answer.stageIds ?? []).map((id) => ({ kind: "stage" as const, id }))),
    );
    onClose();
  };
  return (
    <FormSheet title="How far it is" act="Seen" busy={act.busy} error={act.error} onSubmit={submit} onClose={onClose}>
      <Choices label="Stage" value={stage} onChange={setStage} options={STAGES} />
      <TextField
        label="Seen on"
        type="date"
        value={on}
        onChange={(event) => setOn(event.target.value)}
        error={act.fields["/on"]}
      />
    </FormSheet>
  );
};

/** What grew on the chosen plots is off. */
export const ClearSheet = ({ plots, today, onClose }: PlotsProps) => {
  const act = useFieldAct("clearPlantings");
  const [on, setOn] = useState(today);
  const submit = async () => {
    const plantingIds = plantingsOf(plots);
    if (!(await act.run({ plantingIds, on }))) return;
    told(
      `${plural(plantingIds.length, "plot")} cleared.`,
      undoOffer(() => act.run({ plantingIds, on: null })),
    );
    onClose();
  };
  return (
    <FormSheet
      title={`Clear ${plural(plots.length, "plot")}`}
      act="It is off"
      busy={act.busy}
      error={act.error}
      onSubmit={submit}
      onClose={onClose}
    >
      <p>{plots.map(({ name, crop }) => `${name}: ${crop || "nothing named"}`).join("; ")}.</p>
      <TextField
        label="Cleared on"
        type="date"
        value={on}
        onChange={(event) => setOn(event.target.value)}
        error={act.fields["/on"]}
      />
    </FormSheet>
  );
};
