"use client";
import { useState } from "react";
import { METHODS } from "@/core/book";
import { parseNumber } from "@/formats/numbers";
import { sayFieldUnit, typedInField, valueInField } from "@/formats/fieldUnits";
import type { ReportView } from "@/services/report";
import { useReportAct } from "../acts/report";
import { Button } from "../kit/Button";
import { NumberField, SelectField, TextField, TickField } from "../kit/fields";
import { FormSheet } from "../kit/FormSheet";
import { told } from "../kit/told";

/** What is typed of the shop's thing, as it stands for a method. */
const typedOf = ({ kept, farm }: ReportView, methodId: string) => {
  const known = kept.find((one) => one.methodId === methodId);
  return {
    methodId,
    isKnown: known !== undefined,
    name: known?.name ?? "",
    price: known ? String(known.priceMinor / 100) : "",
    covers: known ? typedInField(known.coversM2, "m2", farm.units) : "",
    wouldBuy: known?.wouldBuy ?? false,
  };
};

/** What the shop has in place of an input: its price, and the area that its label covers. */
export const InsteadSheet = ({ view, onClose }: { readonly view: ReportView; readonly onClose: () => void }) => {
  const act = useReportAct("setInstead");
  const { units, currency } = view.farm;
  const [typed, setTyped] = useState(() => typedOf(view, view.report.inputs[0]?.methodId ?? METHODS[0]!.id));
  const change = (part: Partial<typeof typed>) => setTyped({ ...typed, ...part });
  const { methodId, name, price, covers, wouldBuy, isKnown } = typed;
  const save = async (putAway: boolean) => {
    const answer = await act.run({
      ...{ methodId, name, wouldBuy, putAway },
      price: parseNumber(price) ?? Number.NaN,
      coversM2: valueInField(covers, "m2", units) ?? Number.NaN,
    });
    if (!answer) return;
    told(putAway ? "Taken out." : "Compared from now on.");
    onClose();
  };
  return (
    <FormSheet
      title="What you would buy"
      act="Compare with it"
      busy={act.busy}
      error={act.error}
      onSubmit={() => save(false)}
      onClose={onClose}
    >
      <SelectField
        label="In place of"
        value={methodId}
        error={act.fields["/methodId"]}
        onChange={({ target }) => setTyped(typedOf(view, target.value))}
      >
        {METHODS.map((method) => (
          <option key={method.id} value={method.id}>
            {method.name}
          </option>
        ))}
      </SelectField>
      <TextField
        label="Called"
        value={name}
        maxLength={60}
        error={act.fields["/name"]}
        onChange={({ target }) => change({ name: target.value })}
      />
      <NumberField
        label="A pack costs"
        unit={currency}
        value={price}
        error={act.fields["/price"]}
        onChange={({ target }) => change({ price: target.value })}
      />
      <NumberField
        label="A pack is for, once"
        unit={sayFieldUnit("m2", units)}
        hint="By its label."
        value={covers}
        error={act.fields["/coversM2"]}
        onChange={({ target }) => change({ covers: target.value })}
      />
      <TickField
        label="We would have bought it"
        checked={wouldBuy}
        onChange={({ target }) => change({ wouldBuy: target.checked })}
      />
      {isKnown ? (
        <Button variant="danger" onClick={() => void save(true)}>
          Take it out
        </Button>
      ) : null}
    </FormSheet>
  );
};
