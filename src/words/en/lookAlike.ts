import type { LookAlike } from "@/core/book/types";

/** What tells a method from those that look like it. */
export const sayLookAlike = ({ sugar, water, air, time }: LookAlike): string =>
  `Sugar: ${sugar}. Water: ${water}. Air: ${air}. Time: ${time}.`;
