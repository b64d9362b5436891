import type { LeadTime } from "@/core/choose/leadTime";
import { sayDuration } from "@/formats/times";

/** How long something takes, as a span. @example sayLead(lead); // "10 to 16 days" */
export function sayLead({ earliestH, likelyH, latestH }: LeadTime): string {
  if (likelyH === null) return "too cold or too hot";
  if (likelyH < 3) return "under 3 h";
  const [from, to] = [earliestH ?? likelyH, latestH ?? likelyH];
  const [unit, per] = to > 72 ? ["days", 24] : ["h", 1];
  const [low, high] = [Math.round(from / Number(per)), Math.round(to / Number(per))];
  return low === high ? sayDuration(likelyH) : `${low} to ${high} ${unit}`;
}
