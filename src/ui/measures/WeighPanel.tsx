"use client";
import { useState } from "react";
import { formatNumber } from "@/formats/numbers";
import { sayStock } from "@/formats/amounts";
import type { Measurable } from "@/formats/measured";
import { Button } from "../kit/Button";
import { AmountField, useReadAmount } from "./AmountField";
import { useMeasures } from "./measuresContext";

interface WeighPanelProps {
  readonly of: Measurable;
  /** All weighings together, as a field takes it. */
  readonly onUse: (typed: string) => void;
}

/**
 * Weighed in a pail, in as many goes as it takes: what the scale says less the empty pail is held, and the sum is the amount.
 * What is in the field before is left alone until the sum is taken over.
 */
export const WeighPanel = ({ of, onUse }: WeighPanelProps) => {
  const { units } = useMeasures();
  const { read, show } = useReadAmount();
  const [tare, setTare] = useState("");
  const [gross, setGross] = useState("");
  const [held, setHeld] = useState<readonly number[]>([]);
  const empty = tare.trim() === "" ? 0 : read(tare, of);
  const full = read(gross, of);
  const net = empty === null || full === null ? null : full - empty;
  const sum = held.reduce((all, one) => all + one, 0);
  return (
    <div className="mt-2 grid gap-2 border-2 border-line p-3">
      <div className="grid grid-cols-2 gap-3">
        <AmountField
          label="Empty pail"
          of={of}
          typed={tare}
          value={tare}
          inputMode="decimal"
          placeholder="0"
          onChange={(event) => setTare(event.target.value)}
        />
        <AmountField
          label="Scale says"
          of={of}
          typed={gross}
          value={gross}
          inputMode="decimal"
          onChange={(event) => setGross(event.target.value)}
          error={net !== null && net <= 0 ? "No more than the pail itself." : undefined}
        />
      </div>
      <Button
        className="min-h-14"
        disabled={net === null || net <= 0}
        onClick={() => {
          setHeld([...held, net!]);
          setGross("");
        }}
      >
        {net !== null && net > 0 ? `Hold ${sayStock(net, of.unit, units, 4)}` : "Hold this weighing"}
      </Button>
      {held.length > 0 ? (
        <>
          <p role="status" className="reading text-lg">
            {held.map((one) => formatNumber(Number(show(one, of, true)), 4)).join(" + ")} ={" "}
            <span className="font-semibold">{sayStock(sum, of.unit, units, 4)}</span>
          </p>
          <div className="flex flex-wrap gap-2">
            <Button variant="strong" className="min-h-14 flex-1" onClick={() => onUse(show(sum, of, true))}>
              Take {sayStock(sum, of.unit, units, 4)}
            </Button>
            <Button variant="quiet" onClick={() => setHeld(held.slice(0, -1))}>
              Take the last one out
            </Button>
          </div>
        </>
      ) : null}
    </div>
  );
};
