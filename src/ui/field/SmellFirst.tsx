"use client";
import { told } from "../kit/told";
import { useShedAct } from "../acts/shed";
import { Button } from "../kit/Button";
import { Refusal } from "../kit/Refusal";
import { useUndo } from "../acts/undo";

/** What has stood long is smelt here and now, before it goes out. */
export const SmellFirst = ({ storeId }: { readonly storeId: number }) => {
  const check = useShedAct("checkStore");
  const undo = useUndo();
  const found = async (kind: "smelt-good" | "smelt-off") => {
    const answer = await check.run({ storeId, kind });
    if (answer) told("Saved with day and name.", undo({ kind: "store-check", id: answer.checkId }));
  };
  return (
    <div role="group" aria-label="What its smell says" className="flex flex-wrap gap-2">
      <Button disabled={check.busy} onClick={() => void found("smelt-good")}>
        It smells good
      </Button>
      <Button variant="danger" disabled={check.busy} onClick={() => void found("smelt-off")}>
        It smells bad
      </Button>
      <Refusal error={check.error} />
    </div>
  );
};
