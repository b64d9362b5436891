import type { Chance } from "@/core/chance";
import { dropNeed, removeBatch } from "../state/batches";
import type { Source } from "../state/source";
import { weekOf } from "../season";
import type { State } from "../state/state";

export interface Breaking {
  readonly state: State;
  readonly chance: Chance;
  readonly failures: Uint16Array;
  readonly possible: Uint8Array;
}
/** What was taken out, and the need that it was done for (-1 for none). */
export interface Broken {
  readonly freed: number[];
  readonly focus: number;
  /** Input that new batches are made of before what there is is drawn on; -1 for none. */
  readonly anew: number;
}
const FAILED_OFTEN = 25;
const WEAK_SHARE = 0.12;

/** Batches that the search may move, by their ready day. */
function movable(state: State): Source[] {
  return state.sources
    .filter((one): one is Source => one !== null && !one.isFixed && !one.isPinned)
    .filter(({ uses }) => !uses.some(({ need }) => need >= 0 && state.isNeedPinned[need]))
    .sort((one, other) => one.readyDay - other.readyDay || one.index - other.index);
}
const pickOf = <T>(chance: Chance, list: readonly T[]): T => list[Math.floor(chance.uniform() * list.length)]!;
function shuffled<T>(chance: Chance, list: readonly T[]): T[] {
  const all = [...list];
  for (let at = all.length - 1; at > 0; at -= 1) {
    const other = Math.floor(chance.uniform() * (at + 1));
    [all[at], all[other]] = [all[other]!, all[at]!];
  }
  return all;
}
function remove(state: State, batches: readonly Source[], freed: number[]): void {
  for (const source of batches) if (state.sources[source.index] === source) removeBatch(state, source, freed);
}

type Choice = (from: Breaking, batches: readonly Source[]) => readonly Source[];
/** Ways to choose what is taken out where no need is aimed at, with their shares. */
const CHOICES: readonly (readonly [share: number, choice: Choice])[] = [
  // The same input within some days, often one more input.
  [
    22,
    ({ chance, state }, batches) => {
      const centre = pickOf(chance, batches);
      const within = 4 + Math.floor(15 * chance.uniform());
      const inputs = new Set([centre.input]);
      if (chance.uniform() < 0.7) inputs.add(Math.floor(chance.uniform() * state.model.inputs.length));
      return batches.filter((one) => inputs.has(one.input) && Math.abs(one.readyDay - centre.readyDay) <= within);
    },
  ],
  // One or two vessels for some weeks.
  [
    21,
    ({ chance }, batches) => {
      const centre = pickOf(chance, batches);
      const within = 7 + Math.floor(31 * chance.uniform());
      const vessels = new Set([centre.vessel]);
      if (chance.uniform() < 0.6) vessels.add(pickOf(chance, batches).vessel);
      return batches.filter((one) => vessels.has(one.vessel) && Math.abs(one.startDay - centre.startDay) <= within);
    },
  ],
  // Some of one input that follow each other.
  [
    17,
    ({ chance }, batches) => {
      const centre = pickOf(chance, batches);
      const same = batches.filter((one) => one.input === centre.input);
      const at = Math.max(0, same.indexOf(centre) - Math.floor(2 * chance.uniform()));
      return same.slice(at, at + 3 + Math.floor(4 * chance.uniform()));
    },
  ],
  // The emptiest, and their neighbours.
  [
    15,
    ({ chance }, batches) => {
      const waste = (one: Source): number => one.outputL - one.givenL;
      const emptiest = batches.toSorted((one, other) => waste(other) - waste(one)).slice(0, 12);
      const chosen = shuffled(chance, emptiest).slice(0, 1 + Math.floor(3 * chance.uniform()));
      return batches.filter((one) =>
        chosen.some(
          (centre) => one === centre || (one.input === centre.input && Math.abs(one.readyDay - centre.readyDay) <= 7),
        ),
      );
    },
  ],
  // Two or three of an input that lie nearest.
  [
    15,
    ({ chance }, batches) => {
      const centre = pickOf(chance, batches);
      return batches
        .filter((one) => one.input === centre.input)
        .sort((one, other) => Math.abs(one.readyDay - centre.readyDay) - Math.abs(other.readyDay - centre.readyDay))
        .slice(0, 2 + Math.floor(2 * chance.uniform()));
    },
  ],
  [10, ({ chance }, batches) => [pickOf(chance, batches)]],
];

/**
 * Batches that stand where one for the need would: all that one or two vessels hold across the time that it would take, so that there is a place at all, and some others
 * of those days. What keeps may be made well before it is wanted.
 */
function inTheWay({ state, chance }: Breaking, need: number, batches: readonly Source[]): Source[] {
  const { needs, inputs, classes, classOf } = state.model;
  const input = needs.input[need]!;
  const { groups, living, lifeD } = inputs[input]!;
  const lead = Math.max(1, ...groups.map(({ durations }) => durations[Math.max(0, needs.latest[need]! - 5)] ?? 1));
  const early = living || chance.uniform() < 0.5 ? 0 : Math.floor(Math.min(lifeD, 45) * chance.uniform());
  const to = needs.latest[need]! - early;
  const from = Math.min(needs.earliest[need]! - early, to) - lead;
  const across = batches.filter(
    (one) =>
      one.startDay <= to &&
      one.emptyDay >= from &&
      (one.input === input || classes[classOf[one.vessel]!]!.durations[input] !== null),
  );
  if (across.length === 0) return [];
  if (chance.uniform() < 0.3) return shuffled(chance, across).slice(0, 3 + Math.floor(9 * chance.uniform()));
  const vessels = new Set([pickOf(chance, across).vessel]);
  if (chance.uniform() < 0.4) vessels.add(pickOf(chance, across).vessel);
  const chosen = across.filter(({ vessel }) => vessels.has(vessel)).slice(0, 14);
  const others = shuffled(
    chance,
    across.filter(({ vessel }) => !vessels.has(vessel)),
  );
  return [...chosen, ...others.slice(0, Math.floor(5 * chance.uniform()))];
}

/** Frees hands in a week of a need: lighter applications, and such as may as well be done in another week. */
function freeHands({ state, chance }: Breaking, focus: number, drop: (need: number) => void): void {
  const { needs } = state.model;
  const week = weekOf(
    needs.earliest[focus]! + Math.floor((needs.latest[focus]! - needs.earliest[focus]! + 1) * chance.uniform()),
  );
  const [lighter, movable] = [0.3, 0.2 + 0.6 * chance.uniform()];
  for (let need = 0; need < needs.count; need += 1) {
    const day = state.needDay[need]!;
    if (day < 0 || weekOf(day) !== week) continue;
    const mayGo = weekOf(needs.earliest[need]!) < week || weekOf(needs.latest[need]!) > week;
    if (needs.weight[need]! < needs.weight[focus]! ? chance.uniform() < lighter : mayGo && chance.uniform() < movable)
      drop(need);
  }
}

/** Frees for one unmet need what could let it be met. */
function aimAt(from: Breaking, focus: number, batches: readonly Source[]): number[] {
  const { state, chance } = from;
  const { needs, inputs } = state.model;
  const input = needs.input[focus]!;
  const freed: number[] = [];
  const chosen = new Set(inTheWay(from, focus, batches));
  if (chance.uniform() < 0.35) {
    const within = 10 + Math.floor(26 * chance.uniform());
    for (const one of batches)
      if (one.input === input && Math.abs(one.readyDay - needs.preferred[focus]!) <= within && chosen.size < 16)
        chosen.add(one);
  }
  remove(state, [...chosen], freed);
  const drop = (need: number): void => {
    if (state.needDay[need]! < 0 || state.isNeedPinned[need]) return;
    dropNeed(state, need);
    freed.push(need);
  };
  if (chance.uniform() < 0.4)
    for (let at = needs.firstNeighbour[focus]!; at < needs.firstNeighbour[focus + 1]!; at += 1)
      if (chance.uniform() < 0.7) drop(needs.neighbours[at]!);
  for (const fed of new Set([...inputs[input]!.feeds.map(({ index }) => index), input])) {
    if (chance.uniform() > (fed === input ? 0.5 : 0.6)) continue;
    const share = 0.7 + 0.1 * chance.uniform();
    for (const index of [...state.sourcesOf[fed]!]) {
      const source = state.source(index);
      if (!source.isFixed || source.readyDay > needs.latest[focus]!) continue;
      for (const use of [...source.uses]) if (use.need >= 0 && chance.uniform() < share) drop(use.need);
    }
  }
  if (chance.uniform() < 0.5) freeHands(from, focus, drop);
  return freed;
}

/** Applications of what keeps that stand close to what was freed: taken out as well, so that days may shift. */
function freeAround({ state, chance }: Breaking, freed: number[]): void {
  const { needs, inputs } = state.model;
  const share = 0.3 + 0.7 * chance.uniform();
  let left = 80;
  for (const need of freed.slice())
    for (let at = needs.firstNeighbour[need]!; at < needs.firstNeighbour[need + 1]! && left > 0; at += 1) {
      const other = needs.neighbours[at]!;
      if (
        state.needDay[other]! < 0 ||
        state.isNeedPinned[other] ||
        inputs[needs.input[other]!]!.living ||
        chance.uniform() > share
      )
        continue;
      dropNeed(state, other);
      freed.push(other);
      left -= 1;
    }
}

/** The unmet need that was tried least, of four at random; then the heaviest. */
function chooseFocus({ state, chance, failures, possible }: Breaking): number {
  const { needs } = state.model;
  const unmet: number[] = [];
  let some = false;
  for (let need = 0; need < needs.count; need += 1)
    if (possible[need] && state.needDay[need]! < 0) {
      unmet.push(need);
      if (failures[need]! < FAILED_OFTEN) some = true;
    }
  if (unmet.length === 0 || chance.uniform() > (some ? 0.35 : 0.1)) return -1;
  const four = Array.from({ length: 4 }, () => pickOf(chance, unmet));
  return four.sort((one, other) => failures[one]! - failures[other]! || needs.weight[other]! - needs.weight[one]!)[0]!;
}

/** Some weeks of what an input serves weakly: one more batch may cost less than what the weak doses do. @returns the input, -1 where none is weak */
function freeWeak({ state, chance }: Breaking, freed: number[]): number {
  const { needs } = state.model;
  const isWeak = (need: number): boolean =>
    state.needDay[need]! >= 0 && !state.isNeedPinned[need] && state.needL[need]! < needs.preferredL[need]! - 1e-3;
  const weak: number[] = [];
  for (let need = 0; need < needs.count; need += 1) if (isWeak(need)) weak.push(need);
  if (weak.length === 0) return -1;
  const centre = pickOf(chance, weak);
  const [input, day] = [needs.input[centre]!, state.needDay[centre]!];
  const within = 5 + 40 * chance.uniform();
  for (const need of weak)
    if (needs.input[need] === input && Math.abs(state.needDay[need]! - day) <= within) {
      dropNeed(state, need);
      freed.push(need);
    }
  return input;
}

/** Takes a part of the plan out, chosen so that its repair may be better. */
export function breakSome(from: Breaking): Broken {
  const { state, chance } = from;
  const batches = movable(state);
  const focus = chooseFocus(from);
  let freed: number[] = [];
  let anew = -1;
  if (focus >= 0) freed = aimAt(from, focus, batches);
  else if (chance.uniform() < WEAK_SHARE) anew = freeWeak(from, freed);
  if (focus < 0 && anew < 0 && batches.length > 0) {
    const choice = chance.pick(
      CHOICES.map(([, one]) => one),
      CHOICES.map(([share]) => share),
    );
    const chosen = choice(from, batches);
    const most = 3 + Math.floor(9 * chance.uniform());
    remove(state, chosen.length > most ? shuffled(chance, chosen).slice(0, most) : chosen, freed);
  }
  if (chance.uniform() < (focus >= 0 ? 0.5 : 0.15)) freeAround(from, freed);
  return { freed, focus, anew };
}
