import "server-only";
/** The farm's air: measured, expected, usual. What other places, pages and screens may use of it. */
export {
  airAhead,
  airFrom,
  airSince,
  climateOf,
  fitBands,
  hourAt,
  apartFromUsual,
  meanAirByDay,
  weatherAt,
  type FarmAir,
} from "./weather";
