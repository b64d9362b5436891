import type { PlanBatch } from "../season";

/** What one plan does otherwise than another: batches that are begun on another day or elsewhere, new ones, and such as are gone. */
export interface PlanChanges {
  readonly moved: readonly { readonly from: PlanBatch; readonly to: PlanBatch }[];
  readonly added: readonly PlanBatch[];
  readonly gone: readonly PlanBatch[];
}
const key = ({ input, vessel, startDay }: PlanBatch): string => `${input}|${vessel}|${startDay}`;
/** Further apart than this two batches of an input are not one that was moved, days. */
const MOVED_D = 14;

export function changesBetween(before: readonly PlanBatch[], after: readonly PlanBatch[]): PlanChanges {
  const fresh = (list: readonly PlanBatch[]) => list.filter(({ running }) => !running);
  const [was, is] = [new Set(fresh(before).map(key)), new Set(fresh(after).map(key))];
  const gone = fresh(before).filter((batch) => !is.has(key(batch)));
  const added = fresh(after).filter((batch) => !was.has(key(batch)));
  const moved: { from: PlanBatch; to: PlanBatch }[] = [];
  for (const to of [...added]) {
    const near = gone
      .filter(({ input, startDay }) => input === to.input && Math.abs(startDay - to.startDay) <= MOVED_D)
      .sort((one, other) => Math.abs(one.startDay - to.startDay) - Math.abs(other.startDay - to.startDay))[0];
    if (!near) continue;
    moved.push({ from: near, to });
    gone.splice(gone.indexOf(near), 1);
    added.splice(added.indexOf(to), 1);
  }
  return { moved, added, gone };
}
