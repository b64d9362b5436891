import fc from "fast-check";
import { daysBetween } from "../calendar";
import { DomainError } from "../errors";
import { soakingsBefore, type SoakingsAsked } from "./soakings";

const asked: SoakingsAsked = {
  plantOn: "2031-05-31",
  count: 5,
  everyD: 7,
  restD: 3,
  brewD: 3.4,
  waterD: 1,
  today: "2031-04-25",
};

describe("soaking bare ground before planting", () => {
  it("works five back from the day, with water and brew", () => {
    const all = soakingsBefore(asked);
    expect(all.map(({ soakOn }) => soakOn)).toEqual([
      "2031-04-30",
      "2031-05-07",
      "2031-05-14",
      "2031-05-21",
      "2031-05-28",
    ]);
    expect(all[1]).toEqual({ waterOn: "2031-05-02", startOn: "2031-05-03", soakOn: "2031-05-07", isTooLate: false });
    expect(all.map(({ isTooLate }) => isTooLate)).toEqual([false, false, false, false, false]);
    expect(soakingsBefore({ ...asked, today: "2031-05-03" }).map(({ isTooLate }) => isTooLate)).toEqual([
      true,
      true,
      false,
      false,
      false,
    ]);
  });
  it("keeps every distance, whatever is asked", () => {
    const whole = (min: number, max: number) => fc.integer({ min, max });
    fc.assert(
      fc.property(
        whole(1, 20),
        whole(1, 90),
        whole(0, 60),
        whole(0, 400),
        whole(0, 14),
        (count, everyD, restD, brewD, waterD) => {
          const all = soakingsBefore({ ...asked, count, everyD, restD, brewD, waterD });
          expect(all).toHaveLength(count);
          expect(daysBetween(all.at(-1)!.soakOn, asked.plantOn)).toBe(restD);
          all.forEach(({ waterOn, startOn, soakOn }, index) => {
            expect([daysBetween(waterOn, startOn), daysBetween(startOn, soakOn)]).toEqual([waterD, brewD]);
            if (index > 0) expect(daysBetween(all[index - 1]!.soakOn, soakOn)).toBe(everyD);
          });
        },
      ),
    );
  });
  it.each([{ count: 0 }, { everyD: 0 }, { restD: -1 }, { brewD: 1000 }, { waterD: 99 }])("refuses %j", (change) =>
    expect(() => soakingsBefore({ ...asked, ...change })).toThrow(DomainError),
  );
});
