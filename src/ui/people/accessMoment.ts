import { clockTime, fullDate } from "@/formats/times";
import type { AccessView } from "@/services/access";

/** A moment by the farm's clock. @example accessMoment(ms, view); // "2 Mar 2031, 08:30" */
export const accessMoment = (ms: number, view: AccessView): string =>
  `${fullDate(new Date(ms), view.farm)}, ${clockTime(new Date(ms), view.farm)}`;
