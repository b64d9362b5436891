import { UNITS, type LocalMeasure, type UnitName } from "../units";

/** The units a farm talks in: they decide which gallon, ounce and spoon a bare word means. */
export type UnitSystem = "metric" | "us";

type Meant = readonly UnitName[] | Readonly<Record<UnitSystem, readonly UnitName[]>>;

/**
 * How people write units, in lower case. Several units where the word alone does not tell; which of them a farm means, where its own system
 * decides. A gallon on a metric farm may be either.
 */
const WORDS: readonly (readonly [string, Meant])[] = [
  ["l|lt|ltr|ltrs|liter|liters|litre|litres", ["L"]],
  ["ml|mls|cc|millilitre|millilitres|milliliter|milliliters", ["mL"]],
  ["m3|m³|cubic metre|cubic metres|cubic meter|cubic meters", ["m3"]],
  ["gal|gals|gallon|gallons", { metric: ["US gal", "imp gal"], us: ["US gal"] }],
  ["us gal|us gals|us gallon|us gallons", ["US gal"]],
  ["imp gal|imp gals|imperial gallon|imperial gallons|uk gal|uk gallon|uk gallons", ["imp gal"]],
  ["fl oz|fl ozs|floz|us fl oz|fluid ounce|fluid ounces|us fluid ounce|us fluid ounces", ["US fl oz"]],
  ["oz|ozs|ounce|ounces", ["US fl oz", "oz"]],
  ["cup|cups", { metric: ["cup"], us: ["US cup"] }],
  ["us cup|us cups", ["US cup"]],
  ["tbsp|tbsps|tbs|tbl|tblsp|tablespoon|tablespoons", { metric: ["tbsp"], us: ["US tbsp"] }],
  ["us tbsp|us tablespoon|us tablespoons", ["US tbsp"]],
  ["tsp|tsps|teaspoon|teaspoons", { metric: ["tsp"], us: ["US tsp"] }],
  ["us tsp|us teaspoon|us teaspoons", ["US tsp"]],
  ["pt|pts|pint|pints|us pt|us pint|us pints", ["US pt"]],
  ["qt|qts|quart|quarts|us qt|us quart|us quarts", ["US qt"]],
  ["kg|kgs|kilo|kilos|kilogram|kilograms", ["kg"]],
  ["g|gr|gram|grams", ["g"]],
  ["mg|milligram|milligrams", ["mg"]],
  ["tonne|tonnes|metric ton|metric tons", ["t"]],
  ["lb|lbs|pound|pounds", ["lb"]],
  ["m2|m²|m^2|sqm|sq m|sq metre|sq metres|square metre|square metres|square meter|square meters", ["m2"]],
  ["ha|hectare|hectares", ["ha"]],
  ["acre|acres|ac", ["acre"]],
  ["ft2|ft²|ft^2|sqft|sq ft|sq feet|square foot|square feet", ["ft2"]],
  ["m|metre|metres|meter|meters", ["m"]],
  ["cm|centimetre|centimetres|centimeter|centimeters", ["cm"]],
  ["ft|foot|feet", ["ft"]],
  ["in|inch|inches", ["in"]],
  ["min|mins|minute|minutes", ["min"]],
  ["h|hr|hrs|hour|hours", ["h"]],
  ["d|day|days", ["d"]],
  ["°c|celsius|degrees c|deg c", ["°C"]],
  ["f|°f|fahrenheit|degrees f|deg f", ["°F"]],
];
const BY_WORD = new Map(WORDS.flatMap(([words, units]) => words.split("|").map((word) => [word, units] as const)));

/** Single letters whose size tells: a large T is a tablespoon, a small one a teaspoon in a US kitchen and a tonne elsewhere. */
const LETTERS: Readonly<Record<string, Readonly<Record<UnitSystem, readonly UnitName[]>>>> = {
  T: { metric: ["tbsp"], us: ["US tbsp"] },
  t: { metric: ["t"], us: ["US tsp", "t"] },
  C: { metric: ["°C", "cup"], us: ["°C", "US cup"] },
  c: { metric: ["cup", "°C"], us: ["US cup", "°C"] },
};

const isRead = (meant: Meant): meant is readonly UnitName[] => Array.isArray(meant);

/** The units that a word may mean on such a farm, the likeliest first; empty for one that is none. The farm's own measures come first. */
export function readUnit(word: string, system: UnitSystem, measures: readonly LocalMeasure[]): readonly string[] {
  const tidy = word.trim().replace(/\s+/g, " ").replace(/\.$/, "");
  const lower = tidy.toLowerCase();
  const own = measures.find(({ name }) => [name.toLowerCase(), `${name.toLowerCase()}s`].includes(lower));
  if (own) return [own.name];
  const letter = LETTERS[tidy];
  if (letter) return letter[system];
  const meant = BY_WORD.get(lower) ?? BY_WORD.get(lower.replace(/\./g, ""));
  if (meant) return isRead(meant) ? meant : meant[system];
  return Object.hasOwn(UNITS, tidy) ? [tidy] : [];
}
/** How many words a unit may have: "square feet", "us fluid ounces". */
export const LONGEST_UNIT = 3;
