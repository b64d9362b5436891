"use client";
import { plantsIn } from "@/core/book/plantNames";
import { checkPlant } from "@/core/safety/checkPlant";
import { TextField } from "../kit/fields";

/** Which plants were picked for the batch, each checked by its name as it is typed. */
export const PlantNames = ({
  typed,
  error,
  onType,
}: {
  readonly typed: string;
  readonly error: string | undefined;
  readonly onType: (typed: string) => void;
}) => {
  const names = plantsIn(typed);
  const checks = names.map((name) => checkPlant(name, "", []));
  const refused = checks.find(({ type }) => type === "refused");
  return (
    <div className="max-w-80">
      <TextField
        label="Which plants"
        value={typed}
        onChange={(event) => onType(event.target.value)}
        error={refused?.type === "refused" ? `${refused.why} Never use it in a brew.` : error}
        hint="For example nettle, comfrey. Ruchka checks for poisonous plants."
      />
      {checks.map((check) =>
        check.type === "caution" || check.type === "unknown" ? (
          <p key={check.why} className="mt-1 text-[0.88rem]">
            <span aria-hidden>▲ </span>
            {check.why}
          </p>
        ) : null,
      )}
    </div>
  );
};
