import type { FromSchema } from "json-schema-to-ts";
import { fieldErrors, type FieldErrors } from "../fieldErrors";
import validators from "../generated/actions.cjs";
import type {
  SAVE_RECIPE,
  CHOOSE_RECIPE,
  ADD_WATER_SOURCE,
  READ_WATER,
  START_WATER,
  ADD_TO_BATCH,
  TAKE_FROM_BATCH,
  MOVE_TO_SHED,
  ADD_LAB_RESULT,
  WEIGH_MEASURE,
} from "./making";
import type {
  SET_UP_FARM,
  ADD_VESSEL,
  RECEIVE_LOT,
  ADD_PLOT,
  ADD_TOOL,
  FILL_VESSEL,
  LOG_ENTRY,
  CLOSE_BATCH,
  CLEAN_VESSEL,
  APPLY_STORE,
  ActionName,
} from "./schemas";

/** The type of each request, from its schema; named one by one, since the compiler gives up on the mapped type. */
export interface ActionRequests {
  readonly setUpFarm: FromSchema<typeof SET_UP_FARM>;
  readonly addVessel: FromSchema<typeof ADD_VESSEL>;
  readonly receiveLot: FromSchema<typeof RECEIVE_LOT>;
  readonly addPlot: FromSchema<typeof ADD_PLOT>;
  readonly addTool: FromSchema<typeof ADD_TOOL>;
  readonly fillVessel: FromSchema<typeof FILL_VESSEL>;
  readonly logEntry: FromSchema<typeof LOG_ENTRY>;
  readonly closeBatch: FromSchema<typeof CLOSE_BATCH>;
  readonly cleanVessel: FromSchema<typeof CLEAN_VESSEL>;
  readonly applyStore: FromSchema<typeof APPLY_STORE>;
  readonly saveRecipe: FromSchema<typeof SAVE_RECIPE>;
  readonly chooseRecipe: FromSchema<typeof CHOOSE_RECIPE>;
  readonly addWaterSource: FromSchema<typeof ADD_WATER_SOURCE>;
  readonly readWater: FromSchema<typeof READ_WATER>;
  readonly startWater: FromSchema<typeof START_WATER>;
  readonly addToBatch: FromSchema<typeof ADD_TO_BATCH>;
  readonly takeFromBatch: FromSchema<typeof TAKE_FROM_BATCH>;
  readonly moveToShed: FromSchema<typeof MOVE_TO_SHED>;
  readonly addLabResult: FromSchema<typeof ADD_LAB_RESULT>;
  readonly weighMeasure: FromSchema<typeof WEIGH_MEASURE>;
}
export type ActionRequest<N extends ActionName> = ActionRequests[N];

/** What an action answers: a value, or what is wrong and where. */
export type ActionResult<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly error: ActionError };

export interface ActionError {
  readonly code: string;
  readonly message: string;
  /** Complaints by JSON pointer of the field. */
  readonly fields?: FieldErrors;
}

/** The same complaints in the form and on the server; null where the request fits. */
export const checkRequest = (name: ActionName, value: unknown): FieldErrors | null =>
  fieldErrors(validators[name]!, value);
