import { addDays } from "../calendar";
import { requireWithin } from "../errors";

/** Growers soak bare ground five times before planting; how far apart none of them states, so it is asked. */
export const USUAL_SOAKINGS = 5;

export interface SoakingsAsked {
  /** The day of planting, ISO. */
  readonly plantOn: string;
  readonly count: number;
  /** Days between two soakings. */
  readonly everyD: number;
  /** Days that the ground rests between the last soaking and planting. */
  readonly restD: number;
  /** Days that the brew takes from its start until it is ready. */
  readonly brewD: number;
  /** Days that the water stands before it goes in; 0 for water that needs none. */
  readonly waterD: number;
  readonly today: string;
}

export interface Soaking {
  readonly waterOn: string;
  readonly startOn: string;
  readonly soakOn: string;
  /** Its water or its brew would have had to begin before today. */
  readonly isTooLate: boolean;
}

/**
 * Soakings of bare ground, worked back from the day of planting, each with the day on which its water is filled and its brew begins.
 * @throws {DomainError} `out-of-range`
 * @example soakingsBefore({ plantOn: "2031-05-31", count: 2, everyD: 7, restD: 3, brewD: 4, waterD: 1, today: "2031-05-01" })[0].soakOn; // "2031-05-21"
 */
export function soakingsBefore({ plantOn, count, everyD, restD, brewD, waterD, today }: SoakingsAsked): Soaking[] {
  requireWithin("soaking-count", count, "", 1, 20, "/count");
  requireWithin("gap-days", everyD, "d", 1, 90, "/everyD");
  requireWithin("rest-days", restD, "d", 0, 60, "/restD");
  requireWithin("brew-days", brewD, "d", 0, 400, "/brewD");
  requireWithin("water-days", waterD, "d", 0, 14, "/waterD");
  return Array.from({ length: count }, (_, index) => {
    const soakOn = addDays(plantOn, -restD - (count - 1 - index) * everyD);
    const startOn = addDays(soakOn, -Math.ceil(brewD));
    const waterOn = addDays(startOn, -Math.ceil(waterD));
    return { waterOn, startOn, soakOn, isTooLate: waterOn < today };
  });
}
