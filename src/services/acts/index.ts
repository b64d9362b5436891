import "server-only";
import type { Act } from "../act";
import { BATCH_ACTS } from "./batch";
import { BOOK_ACTS } from "./book";
import { DEVICES_ACTS } from "./devices";
import { FARM_ACTS } from "./farm";
import { FIELD_ACTS } from "./field";
import { FILES_ACTS } from "./files";
import { FILL_ACTS } from "./fill";
import { GATHER_ACTS } from "./gather";
import { MIXING_ACTS } from "./mixing";
import { PRACTICE_ACTS } from "./practice";
import { REPORT_ACTS } from "./report";
import { SEASON_ACTS } from "./season";
import { SHED_ACTS } from "./shed";
import { EQUIPMENT_ACTS } from "./equipment";
import { TRIALS_ACTS } from "./trials";
import { UNDO_ACTS } from "./undo";
import { WATER_ACTS } from "./water";
import { YARD_ACTS } from "./yard";

/** All that can be done to the farm, by place. The door, the validators, the client's calls and the description follow from this list. */
export const ACTS = {
  yard: YARD_ACTS,
  fill: FILL_ACTS,
  mixing: MIXING_ACTS,
  batch: BATCH_ACTS,
  book: BOOK_ACTS,
  season: SEASON_ACTS,
  shed: SHED_ACTS,
  files: FILES_ACTS,
  water: WATER_ACTS,
  gather: GATHER_ACTS,
  equipment: EQUIPMENT_ACTS,
  field: FIELD_ACTS,
  trials: TRIALS_ACTS,
  report: REPORT_ACTS,
  practice: PRACTICE_ACTS,
  devices: DEVICES_ACTS,
  farm: FARM_ACTS,
  undo: UNDO_ACTS,
} as const;
export type Place = keyof typeof ACTS;
export type ActsOf<P extends Place> = (typeof ACTS)[P];

/** What an act is asked and what it answers. */
export type RequestOf<A> = A extends Act<infer Request, unknown, never> ? Request : never;
export type AnswerOf<A> = A extends (...given: never[]) => Promise<infer Answer> ? Answer : never;

/** Any of them, as the door finds it by its name. */
// eslint-disable-next-line @typescript-eslint/no-explicit-any -- who asks differs by role, which the door tells apart
export type AnyAct = Act<any, unknown, any>;

const byName = new Map<string, AnyAct>(
  Object.values(ACTS).flatMap((acts) => Object.values<AnyAct>(acts).map((act) => [act.actName, act] as const)),
);
export const findAct = (name: string): AnyAct | null => byName.get(name) ?? null;
export const listActs = (): readonly AnyAct[] => [...byName.values()];
