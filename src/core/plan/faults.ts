import { weeksOf, type Season } from "./season";

/** What makes a season none, as far as its schema does not say: by code, at a path. */
export interface SeasonFault {
  readonly code: "not-monday" | "outside" | "week-without-minutes" | "id-twice" | "unknown";
  readonly path: string;
  readonly name: string;
}
type Named = readonly { readonly id: string }[];

function idFaults(season: Season): SeasonFault[] {
  const lists = ["vessels", "inputs", "ingredients", "plantings", "programmes", "needs", "stores", "running"] as const;
  return lists.flatMap((list) => {
    const seen = new Set<string>();
    return (season[list] as Named).flatMap(({ id }, index): SeasonFault[] => {
      if (!seen.has(id)) {
        seen.add(id);
        return [];
      }
      return [{ code: "id-twice", path: `/season/${list}/${index}/id`, name: id }];
    });
  });
}
function referenceFaults(season: Season): SeasonFault[] {
  const ids = (list: Named): Set<string> => new Set(list.map(({ id }) => id));
  const [inputs, vessels, ingredients] = [ids(season.inputs), ids(season.vessels), ids(season.ingredients)];
  const [plantings, programmes] = [ids(season.plantings), ids(season.programmes)];
  const faults: SeasonFault[] = [];
  const wants = (known: Set<string>, name: string, path: string): void => {
    if (!known.has(name)) faults.push({ code: "unknown", path: `/season/${path}`, name });
  };
  for (const [at, { ingredients: takes, feeds }] of season.inputs.entries()) {
    for (const [nth, { ingredient }] of takes.entries())
      wants(ingredients, ingredient, `inputs/${at}/ingredients/${nth}/ingredient`);
    for (const [nth, { input }] of feeds.entries()) wants(inputs, input, `inputs/${at}/feeds/${nth}/input`);
  }
  for (const [at, { input }] of season.durations.entries()) wants(inputs, input, `durations/${at}/input`);
  for (const [at, { input }] of season.programmes.entries()) wants(inputs, input, `programmes/${at}/input`);
  for (const [at, { planting, programme }] of season.needs.entries()) {
    wants(plantings, planting, `needs/${at}/planting`);
    wants(programmes, programme, `needs/${at}/programme`);
  }
  for (const [at, { input }] of season.stores.entries()) wants(inputs, input, `stores/${at}/input`);
  for (const [at, { input, vessel }] of season.running.entries()) {
    wants(inputs, input, `running/${at}/input`);
    wants(vessels, vessel, `running/${at}/vessel`);
  }
  return faults;
}

/** @returns nothing where a season can be planned */
export function seasonFaults(season: Season): SeasonFault[] {
  const faults: SeasonFault[] = [];
  if (new Date(`${season.firstDay}T00:00:00Z`).getUTCDay() !== 1)
    faults.push({ code: "not-monday", path: "/season/firstDay", name: season.firstDay });
  if (season.nowDay >= season.days)
    faults.push({ code: "outside", path: "/season/nowDay", name: String(season.nowDay) });
  if (season.labour.weekMin.length < weeksOf(season.days))
    faults.push({
      code: "week-without-minutes",
      path: "/season/labour/weekMin",
      name: String(season.labour.weekMin.length),
    });
  return [...faults, ...idFaults(season), ...referenceFaults(season)];
}
