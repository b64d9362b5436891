import type { SignId } from "@/core/apply/looks";
import { plural } from "@/formats/numbers";

/** What is looked at on a bed, with where to look. */
export const SIGN_WORDS: Readonly<Record<SignId, string>> = {
  "leaf-colour": "Colour of the leaves",
  "stance": "How it stands",
  "stem": "Stem",
  "vigour": "Growth, against what got nothing",
  "pests": "Pests",
  "blight": "Blight or mildew",
  "moisture": "Soil, a finger deep",
  "crumb": "Crumb of the soil",
  "worms": "Earthworms in a spade’s depth",
  "roots": "Roots of one plant, pulled",
  "harvest": "Harvest",
  "watering": "Water that it wanted",
};

const WEEK_D = 7;
const SEASON_D = 90;

/** @example sayAfter(14); // "2 weeks after" */
export const sayAfter = (days: number): string =>
  days >= SEASON_D
    ? "a season after"
    : days < WEEK_D
      ? `${plural(days, "day")} after`
      : `${plural(Math.round(days / WEEK_D), "week")} after`;
