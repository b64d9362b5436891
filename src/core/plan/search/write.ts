import type { Application, Draw, PlanBatch, PlanBody, Season } from "../season";
import { orders } from "../state/ingredients";
import { standUntil } from "../state/resources";
import type { Source } from "../state/source";
import type { State } from "../state/state";

const MICRO = 1e6;
const down = (amount: number): number => Math.floor(amount * MICRO + 1e-3) / MICRO;
const up = (amount: number): number => Math.ceil(amount * MICRO - 1e-3) / MICRO;

/** Whether what nobody draws may stand in cans until it is over; it then does. */
function keepsRest(state: State, source: Source, restL: number): boolean {
  const mark = state.journal.mark();
  const last = Math.min(source.lastDay + 1, state.model.days);
  return standUntil(state, source, last, restL) || state.journal.rollback(mark);
}

/** What is left over stays in cans where they allow it, what is good longest first; else it is thrown out. */
function settleRests(state: State, sources: readonly Source[]): ReadonlyMap<Source, number> {
  const discardL = new Map<Source, number>();
  const { inputs, days } = state.model;
  const mark = state.journal.mark();
  const keeping = sources.filter(({ input, readyDay }) => !inputs[input]!.living && readyDay < days);
  for (const source of keeping.toSorted((one, other) => other.lastDay - one.lastDay || one.index - other.index)) {
    const restL = source.outputL - source.givenL;
    if (restL > 1e-6 && !keepsRest(state, source, restL)) discardL.set(source, down(restL));
  }
  state.journal.rollback(mark);
  return discardL;
}

function batchIds(state: State, sources: readonly Source[], season: Season): Map<Source, string> {
  const { inputs } = state.model;
  const kept = new Map(
    (season.previous?.batches ?? []).map(({ id, input, vessel, startDay }) => [`${input}|${vessel}|${startDay}`, id]),
  );
  const taken = new Set([...season.stores, ...season.running].map(({ id }) => id));
  for (const id of kept.values()) taken.add(id);
  const ids = new Map<Source, string>();
  const counts = new Map<string, number>();
  for (const source of sources) {
    const input = inputs[source.input]!.id;
    if (source.id !== null) {
      ids.set(source, source.id);
      continue;
    }
    const was = kept.get(`${input}|${season.vessels[source.vessel]!.id}|${source.startDay}`);
    if (was !== undefined && ![...season.stores, ...season.running].some(({ id }) => id === was)) {
      ids.set(source, was);
      continue;
    }
    let id = "";
    do {
      const count = (counts.get(input) ?? 0) + 1;
      counts.set(input, count);
      id = `${input}-${count}`;
    } while (taken.has(id));
    taken.add(id);
    ids.set(source, id);
  }
  return ids;
}

/** Puts a state into the words of a plan, for a season (whose plan before gives batches that are kept their ids): ids for numbers, litres to a millionth, fills rounded up and draws down. */
export function writePlan(state: State, season: Season): PlanBody {
  const { inputs, needs, ingredients } = state.model;
  const sources = state.sources
    .filter((one): one is Source => one !== null)
    .sort((one, other) => one.startDay - other.startDay || one.vessel - other.vessel || one.index - other.index);
  const ids = batchIds(state, sources, season);
  const discardL = settleRests(state, sources);
  const feedsOf = (source: Source): Draw[] =>
    source.feeds.map(({ source: index, amountL }) => ({ from: ids.get(state.source(index))!, amountL: down(amountL) }));
  const pinned = new Set((season.previous?.applications ?? []).flatMap((one) => (one.pinned ? [one.need] : [])));
  const batches = sources
    .filter(({ vessel }) => vessel >= 0)
    .map((source): PlanBatch => ({
      id: ids.get(source)!,
      input: inputs[source.input]!.id,
      vessel: season.vessels[source.vessel]!.id,
      startDay: source.startDay,
      readyDay: source.isFixed ? season.running.find(({ id }) => id === source.id)!.readyDay : source.readyDay,
      emptyDay: source.emptyDay,
      fillL: source.isFixed ? source.fillL : up(source.fillL),
      discardL: discardL.get(source) ?? 0,
      feeds: feedsOf(source),
      ...(source.isFixed ? { running: true as const } : {}),
      ...(source.isPinned && !source.isFixed ? { pinned: true as const } : {}),
    }));
  const applications: Application[] = [];
  for (let need = 0; need < needs.count; need += 1) {
    const day = state.needDay[need]!;
    if (day < 0) continue;
    const { id } = season.needs[need]!;
    // What rounds down to nothing is no draw.
    const draws = state.needSources[need]!.flatMap((index) => {
      const source = state.source(index);
      const amountL = down(source.uses.find((use) => use.need === need)!.amountL);
      return amountL > 0 ? [{ from: ids.get(source)!, amountL }] : [];
    });
    applications.push({ need: id, day, draws, ...(pinned.has(id) ? { pinned: true as const } : {}) });
  }
  return {
    batches,
    applications: applications.sort((one, other) => one.day - other.day || (one.need < other.need ? -1 : 1)),
    purchases: ingredients.flatMap(({ id, pack }, index) =>
      orders(state, index).map(({ comesDay, packs }) => ({ ingredient: id, orderDay: comesDay - pack!.leadD, packs })),
    ),
    forage: forageOf(state, sources),
    discards: sources.flatMap((source) => {
      const litres = source.vessel < 0 ? (discardL.get(source) ?? 0) : 0;
      return litres > 0 ? [{ store: source.id!, amountL: litres }] : [];
    }),
  };
}
function forageOf(state: State, sources: readonly Source[]): PlanBody["forage"] {
  const byDayOf = new Map<string, { ingredient: string; day: number; amount: number }>();
  for (const { takes } of sources)
    for (const part of takes)
      if (part.kind === "forage") {
        const ingredient = state.model.ingredients[part.ingredient]!.id;
        const key = `${ingredient}|${part.day}`;
        const has = byDayOf.get(key);
        if (has) has.amount += part.amount;
        else byDayOf.set(key, { ingredient, day: part.day, amount: part.amount });
      }
  return [...byDayOf.values()]
    .map((one) => ({ ...one, amount: up(one.amount) }))
    .sort((one, other) => one.day - other.day || (one.ingredient < other.ingredient ? -1 : 1));
}
