"use client";
import type { ComponentProps } from "react";
import { part, WhenSeen } from "../kit/later";
import type { EarlierChart } from "./EarlierChart";

// Most batches have no forerunner to be drawn beside: the chart, half of a page's script, comes where one has, and is looked at.
const Chart = part("Drawing the earlier ones", () => import("./EarlierChart").then((module) => module.EarlierChart));

/** The chart of earlier batches, drawn once it comes into sight. */
export const EarlierPlot = (props: ComponentProps<typeof EarlierChart>) => (
  <WhenSeen>
    <Chart {...props} />
  </WhenSeen>
);
