import { fullDate } from "@/formats/times";
import type { FieldView } from "@/services/field";
import type { LedgerView } from "@/services/ledger";
import { Button } from "../kit/Button";
import { SelectField } from "../kit/fields";
import { Link } from "../kit/Link";
import { inText } from "@/formats/grammar";

interface Choice {
  readonly id: number;
  readonly words: string;
}

/** One kind of thing to begin from; without a script, too. */
const From = ({
  name,
  label,
  choices,
}: {
  readonly name: string;
  readonly label: string;
  readonly choices: readonly Choice[];
}) =>
  choices.length === 0 ? null : (
    <form action="/trace" className="flex flex-wrap items-end gap-3">
      <div className="min-w-0 grow">
        <SelectField label={label} name={name}>
          {choices.map(({ id, words }) => (
            <option key={id} value={id}>
              {words}
            </option>
          ))}
        </SelectField>
      </div>
      <Button type="submit">Trace {inText(label)}</Button>
    </form>
  );

/** From what a trace begins, where nothing was named: a bed, a batch, or a lot of the shed. */
export const TraceChoice = ({
  field,
  ledger,
}: {
  readonly field: Pick<FieldView, "plots" | "elsewhere">;
  readonly ledger: Pick<LedgerView, "batches" | "farm">;
}) => {
  const beds = [...field.plots, ...field.elsewhere];
  return (
    <div className="grid max-w-xl gap-5 px-4 py-5 md:px-8">
      <h1 className="text-2xl">Trace</h1>
      <p>Where something came from, and where it went: from the plant to the bed, and back.</p>
      {beds.length + ledger.batches.length === 0 ? (
        <p className="text-soft">No bed and no batch yet.</p>
      ) : (
        <>
          <From
            name="plot"
            label="Bed"
            choices={beds.map(({ id, name, crop }) => ({ id, words: crop === "" ? name : `${name}, ${crop}` }))}
          />
          <From
            name="batch"
            label="Batch"
            choices={ledger.batches.map(({ id, name, vesselName, startedMs }) => ({
              id,
              words: `${name}, ${vesselName}, ${fullDate(new Date(startedMs), ledger.farm)}`,
            }))}
          />
          <p>
            A lot is traced from its ingredient in the{" "}
            <Link href="/shed" className="underline">
              shed
            </Link>
            .
          </p>
        </>
      )}
    </div>
  );
};
