import { DomainError, type LedgerFault } from "../../errors";
import type { LedgerInput } from "./terms";

const isDate = (text: string | undefined): boolean =>
  text !== undefined && /^\d{4}-\d\d-\d\d$/.test(text) && !Number.isNaN(Date.parse(text));
const refuse = (fault: LedgerFault, name: string, path: string): never => {
  throw new DomainError("ledger-fault", { fault, name }, path);
};

/** Names stand once, days are days, nothing is below nothing. @throws {DomainError} `ledger-fault` */
export function checkEntries(input: LedgerInput): void {
  for (const list of ["lots", "batches", "uses", "vessels", "plots"] as const) {
    const seen = new Set<string>();
    for (const [nth, { id }] of (input[list] ?? []).entries()) {
      if (seen.has(id)) refuse("id-twice", id, `/${list}/${nth}/id`);
      seen.add(id);
    }
  }
  for (const [nth, { on }] of input.lots.entries()) if (!isDate(on)) refuse("no-date", "", `/lots/${nth}/on`);
  for (const list of ["uses", "waste", "lotWaste"] as const)
    for (const [nth, { on }] of (input[list] ?? []).entries())
      if (!isDate(on)) refuse("no-date", "", `/${list}/${nth}/on`);
  for (const [nth, { start, draws = [], feeds = [], labour = [], power = [] }] of input.batches.entries()) {
    if (!isDate(start)) refuse("no-date", "", `/batches/${nth}/start`);
    for (const { on } of [...draws, ...feeds])
      if (on !== undefined && !isDate(on)) refuse("no-date", on, `/batches/${nth}`);
    for (const { min, perHour = 0 } of labour)
      if (!(min >= 0) || !(perHour >= 0)) refuse("negative", String(min), `/batches/${nth}/labour`);
    for (const { watts = 0, hours = 0, kWh = 0 } of power)
      if (!(watts >= 0 && hours >= 0 && kWh >= 0)) refuse("negative", "", `/batches/${nth}/power`);
  }
  for (const [name, rate] of Object.entries(input.rates)) if (!(rate >= 0)) refuse("negative", name, `/rates/${name}`);
  for (const [nth, { labourMin = 0 }] of (input.uses ?? []).entries())
    if (!(labourMin >= 0)) refuse("negative", "", `/uses/${nth}/labourMin`);
  for (const [nth, { lifeDays, cost, salvage = 0 }] of (input.vessels ?? []).entries()) {
    if (!(lifeDays > 0)) refuse("negative", "lifeDays", `/vessels/${nth}/lifeDays`);
    if (salvage > cost) refuse("negative", "salvage", `/vessels/${nth}/salvage`);
  }
  const known = (list: readonly { readonly id: string }[] | undefined): Set<string> =>
    new Set((list ?? []).map(({ id }) => id));
  const [batches, plots, vessels, lots] = [
    known(input.batches),
    known(input.plots),
    known(input.vessels),
    known(input.lots),
  ];
  for (const [nth, { batch, plots: on }] of (input.uses ?? []).entries()) {
    if (!batches.has(batch)) refuse("unknown", batch, `/uses/${nth}/batch`);
    if (on.length === 0) refuse("no-plot", "", `/uses/${nth}/plots`);
    for (const { id } of on) if (!plots.has(id)) refuse("unknown", id, `/uses/${nth}/plots`);
  }
  for (const [nth, { batch }] of (input.waste ?? []).entries())
    if (!batches.has(batch)) refuse("unknown", batch, `/waste/${nth}/batch`);
  for (const [nth, { lot }] of (input.corrections ?? []).entries())
    if (!lots.has(lot)) refuse("unknown", lot, `/corrections/${nth}/lot`);
  for (const [nth, { feeds = [], vessel, residue = [] }] of input.batches.entries()) {
    for (const { batch } of feeds) if (!batches.has(batch)) refuse("unknown", batch, `/batches/${nth}/feeds`);
    if (vessel && !vessels.has(vessel.id)) refuse("unknown", vessel.id, `/batches/${nth}/vessel`);
    if (vessel && !(vessel.days >= 0)) refuse("negative", String(vessel.days), `/batches/${nth}/vessel/days`);
    for (const { into } of residue)
      if (into !== undefined && !batches.has(into)) refuse("unknown", into, `/batches/${nth}/residue`);
  }
}

/** Batches, givers before what they go into. @throws {DomainError} `ledger-fault` with the ring's path */
export function inOrder(input: LedgerInput): string[] {
  const givers = new Map(input.batches.map(({ id, feeds = [] }) => [id, feeds.map(({ batch }) => batch)]));
  for (const { id, residue = [] } of input.batches)
    for (const { into } of residue) if (into !== undefined) givers.set(into, [...(givers.get(into) ?? []), id]);
  const order: string[] = [];
  const done = new Set<string>();
  const visit = (id: string, path: readonly string[]): void => {
    if (done.has(id)) return;
    if (path.includes(id))
      throw new DomainError(
        "ledger-fault",
        { fault: "ring", name: [...path.slice(path.indexOf(id)), id].join(" → ") },
        "/batches",
      );
    for (const giver of givers.get(id) ?? []) visit(giver, [...path, id]);
    done.add(id);
    order.push(id);
  };
  for (const { id } of input.batches) visit(id, []);
  return order;
}
