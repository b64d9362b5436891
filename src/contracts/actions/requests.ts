import type { FromSchema } from "json-schema-to-ts";
import { fieldErrors, type FieldErrors } from "../fieldErrors";
import validators from "../generated/actions.cjs";
import type {
  SAVE_RECIPE,
  CHOOSE_RECIPE,
  ADD_WATER_SOURCE,
  READ_WATER,
  READ_WATER_LEVEL,
  START_WATER,
  ADD_TO_BATCH,
  TAKE_FROM_BATCH,
  MOVE_TO_SHED,
  ADD_LAB_RESULT,
  WEIGH_MEASURE,
  TAKE_BACK_WEIGHING,
} from "./making";
import type { DEVICE_SCHEMAS } from "./devices";
import type { MIXING_SCHEMAS } from "./filling";
import type { GATHER_SCHEMAS } from "./gather";
import type { SHED_SCHEMAS } from "./shed";
import type {
  SET_UP_FARM,
  ADD_VESSEL,
  ADD_PLOT,
  ADD_TOOL,
  LOG_ENTRY,
  CLOSE_BATCH,
  CLEAN_VESSEL,
  APPLY_STORE,
  SET_HARVEST_RULE,
  ActionName,
} from "./schemas";

type S = typeof SHED_SCHEMAS;
type G = typeof GATHER_SCHEMAS;
type M = typeof MIXING_SCHEMAS;
type D = typeof DEVICE_SCHEMAS;

/** The type of each request, from its schema; named one by one, since the compiler gives up on the mapped type. */
export interface ActionRequests {
  readonly setUpFarm: FromSchema<typeof SET_UP_FARM>;
  readonly addVessel: FromSchema<typeof ADD_VESSEL>;
  readonly addPlot: FromSchema<typeof ADD_PLOT>;
  readonly addTool: FromSchema<typeof ADD_TOOL>;
  readonly logEntry: FromSchema<typeof LOG_ENTRY>;
  readonly closeBatch: FromSchema<typeof CLOSE_BATCH>;
  readonly cleanVessel: FromSchema<typeof CLEAN_VESSEL>;
  readonly applyStore: FromSchema<typeof APPLY_STORE>;
  readonly setHarvestRule: FromSchema<typeof SET_HARVEST_RULE>;
  readonly saveRecipe: FromSchema<typeof SAVE_RECIPE>;
  readonly chooseRecipe: FromSchema<typeof CHOOSE_RECIPE>;
  readonly addWaterSource: FromSchema<typeof ADD_WATER_SOURCE>;
  readonly readWater: FromSchema<typeof READ_WATER>;
  readonly readWaterLevel: FromSchema<typeof READ_WATER_LEVEL>;
  readonly startWater: FromSchema<typeof START_WATER>;
  readonly addToBatch: FromSchema<typeof ADD_TO_BATCH>;
  readonly takeFromBatch: FromSchema<typeof TAKE_FROM_BATCH>;
  readonly moveToShed: FromSchema<typeof MOVE_TO_SHED>;
  readonly addLabResult: FromSchema<typeof ADD_LAB_RESULT>;
  readonly weighMeasure: FromSchema<typeof WEIGH_MEASURE>;
  readonly takeBackWeighing: FromSchema<typeof TAKE_BACK_WEIGHING>;
  readonly addDevice: FromSchema<D["addDevice"]>;
  readonly placeDevice: FromSchema<D["placeDevice"]>;
  readonly retireDevice: FromSchema<D["retireDevice"]>;
  readonly postReadings: FromSchema<D["postReadings"]>;
  readonly importLogger: FromSchema<D["importLogger"]>;
  readonly resetLearning: FromSchema<D["resetLearning"]>;
  readonly shareTask: FromSchema<D["shareTask"]>;
  readonly sayPlace: FromSchema<D["sayPlace"]>;
  readonly importFile: FromSchema<S["importFile"]>;
  readonly receiveLot: FromSchema<S["receiveLot"]>;
  readonly wasteLot: FromSchema<S["wasteLot"]>;
  readonly correctMovement: FromSchema<S["correctMovement"]>;
  readonly countStock: FromSchema<S["countStock"]>;
  readonly noteLot: FromSchema<S["noteLot"]>;
  readonly addOwnIngredient: FromSchema<S["addOwnIngredient"]>;
  readonly setSupply: FromSchema<S["setSupply"]>;
  readonly planBatch: FromSchema<S["planBatch"]>;
  readonly dropPlan: FromSchema<S["dropPlan"]>;
  readonly emptyStore: FromSchema<S["emptyStore"]>;
  readonly countStore: FromSchema<S["countStore"]>;
  readonly keepStore: FromSchema<S["keepStore"]>;
  readonly checkStore: FromSchema<S["checkStore"]>;
  readonly pourStore: FromSchema<S["pourStore"]>;
  readonly addEquipment: FromSchema<S["addEquipment"]>;
  readonly noteEquipment: FromSchema<S["noteEquipment"]>;
  readonly recordPick: FromSchema<G["recordPick"]>;
  readonly addForagePlace: FromSchema<G["addForagePlace"]>;
  readonly visitForage: FromSchema<G["visitForage"]>;
  readonly addWormBin: FromSchema<G["addWormBin"]>;
  readonly noteWormBin: FromSchema<G["noteWormBin"]>;
  readonly fillVessel: FromSchema<M["fillVessel"]>;
  readonly startMixing: FromSchema<M["startMixing"]>;
  readonly tickMixing: FromSchema<M["tickMixing"]>;
  readonly finishMixing: FromSchema<M["finishMixing"]>;
  readonly dropMixing: FromSchema<M["dropMixing"]>;
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
