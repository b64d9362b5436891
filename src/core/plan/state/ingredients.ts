import { weekOf } from "../season";
import type { TakePart } from "./source";
import { SUM, type State } from "./state";

const TINY = 1e-9;

/** Gathers as late as may be: from the week of the start day back. @returns what is still short; NaN never */
function gather(state: State, ingredient: number, day: number, short: number, parts: TakePart[]): number {
  const { forage } = state.model.ingredients[ingredient]!;
  const { weeks, nowDay } = state.model;
  const gathered = state.gathered[ingredient]!;
  for (let spell = 0; spell < forage.length && short > TINY; spell += 1) {
    const { fromDay, toDay, perWeek, minPerUnit, costPerUnit, keepsD } = forage[spell]!;
    const first = Math.max(fromDay, day - keepsD, nowDay);
    for (let on = Math.min(toDay, day); on >= first && short > TINY; on = weekOf(on) * 7 - 1) {
      const week = weekOf(on);
      // Rounded up by a hair as it is written: a hair is left.
      let amount = Math.min(short, perWeek - gathered[spell * weeks + week]!);
      if (minPerUnit > 0) amount = Math.min(amount, (state.model.weekMin[week]! - state.weekMin[week]!) / minPerUnit);
      if (amount <= TINY || !state.work(on, amount * minPerUnit)) continue;
      state.journal.add(gathered, spell * weeks + week, amount);
      state.add(SUM.gathered, amount * costPerUnit);
      parts.push({ kind: "forage", ingredient, spell, day: on, amount });
      short -= amount;
    }
  }
  return short;
}

/** Takes an amount of an ingredient for a start day: lots by expiry, then gathered, then bought. @returns false where there is not so much */
export function take(state: State, ingredient: number, day: number, amount: number, parts: TakePart[]): boolean {
  const { lots, pack } = state.model.ingredients[ingredient]!;
  let short = amount;
  if (lots.length > 0) {
    const left = state.lotLeft[ingredient]!;
    const open = [...lots.keys()]
      .filter((lot) => lots[lot]!.fromDay <= day && lots[lot]!.expiresDay >= day && left[lot]! > TINY)
      .sort((one, other) => lots[one]!.expiresDay - lots[other]!.expiresDay || one - other);
    for (const lot of open) {
      if (short <= TINY) break;
      const from = Math.min(short, left[lot]!);
      state.journal.add(left, lot, -from);
      parts.push({ kind: "lot", ingredient, lot, amount: from });
      short -= from;
    }
  }
  short = gather(state, ingredient, day, short, parts);
  if (short <= TINY) return true;
  if (!pack || day - pack.leadD < state.model.nowDay) return false;
  state.journal.add(state.bought[ingredient]!, day, short);
  state.journal.set(state.isBuyStale, ingredient, 1);
  parts.push({ kind: "buy", ingredient, amount: short });
  return true;
}

function giveBackPart(state: State, day: number, part: TakePart, amount: number): void {
  const { ingredient } = part;
  if (part.kind === "lot") state.journal.add(state.lotLeft[ingredient]!, part.lot, amount);
  else if (part.kind === "buy") {
    state.journal.add(state.bought[ingredient]!, day, -amount);
    state.journal.set(state.isBuyStale, ingredient, 1);
  } else {
    const { minPerUnit, costPerUnit } = state.model.ingredients[ingredient]!.forage[part.spell]!;
    state.journal.add(state.gathered[ingredient]!, part.spell * state.model.weeks + weekOf(part.day), -amount);
    state.work(part.day, -amount * minPerUnit);
    state.add(SUM.gathered, -amount * costPerUnit);
  }
}

/** Gives so much of an ingredient back, what was taken last first. @returns the parts that are left */
export function giveBack(
  state: State,
  ingredient: number,
  day: number,
  amount: number,
  parts: readonly TakePart[],
): TakePart[] {
  const left = [...parts];
  let short = amount;
  for (let at = left.length - 1; at >= 0 && short > TINY; at -= 1) {
    const part = left[at]!;
    if (part.ingredient !== ingredient) continue;
    const back = Math.min(short, part.amount);
    giveBackPart(state, day, part, back);
    short -= back;
    if (part.amount - back > TINY) left[at] = { ...part, amount: part.amount - back };
    else left.splice(at, 1);
  }
  return left;
}
export function giveAllBack(state: State, day: number, parts: readonly TakePart[]): void {
  for (const part of parts) giveBackPart(state, day, part, part.amount);
}

export interface Order {
  readonly comesDay: number;
  readonly packs: number;
}
/** Whole packs for what is bought by day, with what is left of earlier ones while it keeps. */
export function orders(state: State, ingredient: number): Order[] {
  const { pack } = state.model.ingredients[ingredient]!;
  if (!pack) return [];
  const made: Order[] = [];
  const open: { lastDay: number; left: number }[] = [];
  const bought = state.bought[ingredient]!;
  for (let day = state.model.nowDay; day < bought.length; day += 1) {
    let short = bought[day]!;
    if (short <= 1e-6) continue;
    while (open.length > 0 && open[0]!.lastDay < day) open.shift();
    while (short > 1e-6 && open.length > 0) {
      const from = Math.min(short, open[0]!.left);
      open[0]!.left -= from;
      short -= from;
      if (open[0]!.left <= 1e-6) open.shift();
    }
    if (short <= 1e-6) continue;
    const packs = Math.ceil(short / pack.amount - 1e-6);
    made.push({ comesDay: day, packs });
    open.push({ lastDay: day + pack.keepsD, left: packs * pack.amount - short });
  }
  return made;
}
/** What the orders of all cost; only what has changed is reckoned anew. */
export function settleOrders(state: State): number {
  let total = 0;
  for (let ingredient = 0; ingredient < state.buyCost.length; ingredient += 1) {
    if (state.isBuyStale[ingredient]) {
      const cost = state.model.ingredients[ingredient]!.pack?.cost ?? 0;
      const packs = orders(state, ingredient).reduce((sum, one) => sum + one.packs, 0);
      state.journal.set(state.buyCost, ingredient, packs * cost);
      state.journal.set(state.isBuyStale, ingredient, 0);
    }
    total += state.buyCost[ingredient]!;
  }
  return total;
}
