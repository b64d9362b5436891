"use client";
import { useState } from "react";
import { containersFor } from "@/core/stock/containers";
import { toBase } from "@/core/quantity/units";
import { sayMass, sayVolume, type UnitSystem } from "@/formats/amounts";
import { plural } from "@/formats/numbers";
import { SelectField } from "../kit/fields";

const litres = (value: number, unit: string) => toBase({ value, unit }).value;
const SIZES: Readonly<Record<UnitSystem, readonly { readonly label: string; readonly sizeL: number }[]>> = {
  metric: [
    { label: "jerry can", sizeL: 20 },
    { label: "can", sizeL: 10 },
    { label: "canister", sizeL: 5 },
    { label: "bottle", sizeL: 1 },
  ],
  us: [
    { label: "jerry can", sizeL: litres(5, "US gal") },
    { label: "pail", sizeL: litres(2, "US gal") },
    { label: "jug", sizeL: litres(1, "US gal") },
    { label: "bottle", sizeL: litres(0.25, "US gal") },
  ],
};
/** What still works is not filled to the brim. */
const ROOM_SHARE = 0.9;

interface CarriedInProps {
  /** What comes off, L. */
  readonly comesOffL: number;
  /** What stood in the vessel, L. */
  readonly stoodL: number;
  readonly isWorking: boolean;
  readonly units: UnitSystem;
}

/** Before anything is strained: how many containers stand ready, what one weighs, and what is lost in the solids. */
export const CarriedIn = ({ comesOffL, stoodL, isWorking, units }: CarriedInProps) => {
  const [at, setAt] = useState(0);
  const { label, sizeL } = SIZES[units][at]!;
  const { count, lastL, massKg, isLiftable } = containersFor(comesOffL, sizeL, isWorking ? ROOM_SHARE : 1);
  const lostShare = 1 - comesOffL / stoodL;
  return (
    <div className="grid gap-1">
      <SelectField label="Carried in" value={at} onChange={(event) => setAt(Number(event.target.value))}>
        {SIZES[units].map((one, index) => (
          <option key={one.label} value={index}>
            {one.label}, {sayVolume(one.sizeL, units)}
          </option>
        ))}
      </SelectField>
      <p aria-live="polite" className="text-[0.95rem]">
        Have {plural(count, label)} ready{isWorking ? ", filled to nine tenths: it still works" : ""}
        {count > 1 ? `; the last takes ${sayVolume(lastL, units)}` : ""}. A full one weighs {sayMass(massKg, units, 2)}
        {isLiftable ? "." : ": for two, or smaller ones."}
        {lostShare > 0.005
          ? ` ${Math.round(lostShare * 100)} % of what stood there stays in the solids: for a wanted yield, fill so much more.`
          : ""}
      </p>
    </div>
  );
};
