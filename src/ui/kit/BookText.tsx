"use client";
import { inUnits } from "@/formats/bookText";
import { useMeasures } from "../measures/measuresContext";

/** A text of the book as this farm reads it: its figures in the farm's units. */
export const BookText = ({ children }: { readonly children: string }) => {
  const { units } = useMeasures();
  return <>{inUnits(children, units)}</>;
};
