"use client";
import { createContext, useContext, type ReactNode } from "react";
import type { UnitSystem } from "@/formats/amounts";
import type { OwnMeasure } from "@/formats/figure/parts";

interface FarmMeasures {
  readonly own: readonly OwnMeasure[];
  readonly units: UnitSystem;
}

const MeasuresContext = createContext<FarmMeasures>({ own: [], units: "metric" });

/** The farm's own weighings, for every field that takes an amount. */
export const MeasuresProvider = ({ own, units, children }: FarmMeasures & { readonly children: ReactNode }) => (
  <MeasuresContext.Provider value={{ own, units }}>{children}</MeasuresContext.Provider>
);

export const useMeasures = (): FarmMeasures => useContext(MeasuresContext);
