import { seasonNamed } from "@/testing/season/vectors";
import { modelOf } from "../model";
import { emptyState } from "./begin";
import { startBatch } from "./batches";
import { addUse, dropUse } from "./uses";

/** A living brew whose emptying was moved into the next week, while the week before has no minutes left. */
describe("a use that goes where its week has no hands", () => {
  const season = seasonNamed("medium-21");
  const model = modelOf(season);
  const cases = model.inputs.flatMap(({ living, closeMin }, input) => {
    if (!living || closeMin === 0) return [];
    return season.vessels.flatMap((_, vessel) =>
      Array.from({ length: season.days - 21 }, (__, day) => day).flatMap((startDay) => {
        const state = emptyState(model);
        const takes = model.inputs[input]!.groups.find(({ classes }) =>
          classes.some((one) => model.classes[one]!.vessels.includes(vessel)),
        )?.durations[startDay];
        if (takes === undefined || takes < 0 || (startDay + takes) % 7 !== 6) return [];
        const readyDay = startDay + takes;
        const source = startBatch(state, { input, vessel, startDay, readyDay });
        return source && addUse(state, source, { day: readyDay + 1, amountL: 1, need: 0, batch: -1 })
          ? [{ state, source, readyDay, closeMin }]
          : [];
      }),
    );
  });

  it("leaves all minutes counted and the vessel as it was", () => {
    expect(cases.length).toBeGreaterThan(5);
    for (const { state, source, readyDay, closeMin } of cases) {
      const week = Math.floor(readyDay / 7);
      const left = model.weekMin[week]! - state.weekMin[week]!;
      state.work(readyDay, left - closeMin / 2);
      const before = state.weekMin.reduce((sum, minutes) => sum + minutes, 0);
      const taken = state.taken.slice();
      dropUse(state, source, source.uses[0]!);
      expect(source.emptyDay).toBe(readyDay + 1);
      expect(state.weekMin.reduce((sum, minutes) => sum + minutes, 0)).toBeCloseTo(before, 6);
      expect([...state.taken]).toEqual([...taken]);
    }
  });
});
