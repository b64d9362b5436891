import { CAUTIONS } from "@/core/book/cautions";
import { Notice } from "./Notice";

/** Current and water kill: said wherever a pump or a heater is. */
export const Electricity = () => (
  <Notice tone="caution" title="Current and water">
    {CAUTIONS["electricity-at-water"]}
  </Notice>
);
