import "server-only";
import type { View } from "../view";
import { BATCH_VIEWS } from "./batch";
import { BOOK_VIEWS } from "./book";
import { DEVICES_VIEWS } from "./devices";
import { FARM_VIEWS } from "./farm";
import { FIELD_VIEWS } from "./field";
import { FILL_VIEWS } from "./fill";
import { GATHER_VIEWS } from "./gather";
import { LEDGER_VIEWS } from "./ledger";
import { MIXING_VIEWS } from "./mixing";
import { PAPERS_VIEWS } from "./papers";
import { PRACTICE_VIEWS } from "./practice";
import { REPORT_VIEWS } from "./report";
import { SEASON_VIEWS } from "./season";
import { SHED_VIEWS } from "./shed";
import { EQUIPMENT_VIEWS } from "./equipment";
import { TRIALS_VIEWS } from "./trials";
import { YARD_VIEWS } from "./yard";

/** All that can be read of the farm. The pages, the door for reading, its validators and its description follow from this list. */
export const VIEWS = {
  ...YARD_VIEWS,
  ...FARM_VIEWS,
  ...FILL_VIEWS,
  ...MIXING_VIEWS,
  ...BATCH_VIEWS,
  ...BOOK_VIEWS,
  ...SHED_VIEWS,
  ...GATHER_VIEWS,
  ...EQUIPMENT_VIEWS,
  ...FIELD_VIEWS,
  ...TRIALS_VIEWS,
  ...SEASON_VIEWS,
  ...DEVICES_VIEWS,
  ...LEDGER_VIEWS,
  ...REPORT_VIEWS,
  ...PRACTICE_VIEWS,
  ...PAPERS_VIEWS,
} as const;
export type ViewName = keyof typeof VIEWS;

/** What a view answers, where there is such a thing; and what it is asked. */
export type Seen<N extends ViewName> = Exclude<Awaited<ReturnType<(typeof VIEWS)[N]>>, null>;
export type QueryOf<N extends ViewName> = (typeof VIEWS)[N] extends View<infer Query, unknown> ? Query : never;

export type AnyView = View<unknown, unknown>;
const byName = new Map<string, AnyView>(Object.entries(VIEWS));
export const findView = (name: string): AnyView | null => byName.get(name) ?? null;
export const listViews = (): readonly AnyView[] => [...byName.values()];
