"use server";
import { revalidatePath } from "next/cache";
import { cookies } from "next/headers";
import type { ActionResult } from "@/contracts/actions/requests";
import * as add from "@/services/addThings";
import * as apply from "@/services/applyStore";
import * as close from "@/services/closeBatch";
import * as feed from "@/services/feedBatch";
import * as fill from "@/services/fillVessel";
import * as log from "@/services/logEntry";
import * as measures from "@/services/measures";
import * as rules from "@/services/safety/harvestRules";
import * as recipes from "@/services/recipes";
import * as ferment from "@/services/ferment/changes";
import * as places from "@/services/ferment/sayPlace";
import * as devices from "@/services/devices/devices";
import * as logger from "@/services/devices/importLogger";
import * as tools from "@/services/equipment/equipment";
import * as gather from "@/services/gather/gather";
import * as mixing from "@/services/mixing/mixing";
import * as lots from "@/services/shed/changeLot";
import * as stores from "@/services/shed/changeStore";
import * as plans from "@/services/shed/plans";
import * as receive from "@/services/shed/receiveLot";
import * as terms from "@/services/shed/terms";
import { pool } from "@/services/runtime";
import * as farm from "@/services/setUpFarm";
import * as waters from "@/services/waters";
import { runAction, toActionError } from "./runAction";
import { PERSON_COOKIE } from "./session";

const YEAR_S = 31_536_000;

export async function choosePerson(id: number): Promise<void> {
  if (Number.isInteger(id)) (await cookies()).set(PERSON_COOKIE, String(id), { maxAge: YEAR_S, sameSite: "lax" });
}

export async function setUpFarm(input: unknown): Promise<ActionResult<null>> {
  try {
    await farm.setUpFarm(pool(), input);
    revalidatePath("/", "layout");
    return { ok: true, value: null };
  } catch (error) {
    return toActionError(error);
  }
}

export const addVessel = async (input: unknown) => runAction((ctx) => add.addVessel(ctx, input));
export const addPlot = async (input: unknown) => runAction((ctx) => add.addPlot(ctx, input));
export const addTool = async (input: unknown) => runAction((ctx) => add.addTool(ctx, input));
export const fillVessel = async (input: unknown) => runAction((ctx) => fill.fillVessel(ctx, input));
export const logEntry = async (input: unknown) => runAction((ctx) => log.logEntry(ctx, input));
export const closeBatch = async (input: unknown) => runAction((ctx) => close.closeBatch(ctx, input));
export const cleanVessel = async (input: unknown) => runAction((ctx) => close.cleanVessel(ctx, input));
export const applyStore = async (input: unknown) => runAction((ctx) => apply.applyStore(ctx, input));
export const setHarvestRule = async (input: unknown) => runAction((ctx) => rules.setHarvestRule(ctx, input));
export const saveRecipe = async (input: unknown) => runAction((ctx) => recipes.saveRecipe(ctx, input));
export const chooseRecipe = async (input: unknown) => runAction((ctx) => recipes.chooseRecipe(ctx, input));
export const addWaterSource = async (input: unknown) => runAction((ctx) => waters.addWaterSource(ctx, input));
export const readWaterLevel = async (input: unknown) => runAction((ctx) => waters.readWaterLevel(ctx, input));
export const readWater = async (input: unknown) => runAction((ctx) => waters.readWater(ctx, input));
export const startWater = async (input: unknown) => runAction((ctx) => waters.startWater(ctx, input));
export const addToBatch = async (input: unknown) => runAction((ctx) => feed.addToBatch(ctx, input));
export const takeFromBatch = async (input: unknown) => runAction((ctx) => feed.takeFromBatch(ctx, input));
export const moveToShed = async (input: unknown) => runAction((ctx) => feed.moveToShed(ctx, input));
export const addLabResult = async (input: unknown) => runAction((ctx) => measures.addLabResult(ctx, input));
export const takeBackWeighing = async (input: unknown) => runAction((ctx) => measures.takeBackWeighing(ctx, input));
export const weighMeasure = async (input: unknown) => runAction((ctx) => measures.weighMeasure(ctx, input));
export const receiveLot = async (input: unknown) => runAction((ctx) => receive.receiveLot(ctx, input));
export const wasteLot = async (input: unknown) => runAction((ctx) => lots.wasteLot(ctx, input));
export const correctMovement = async (input: unknown) => runAction((ctx) => lots.correctMovement(ctx, input));
export const countStock = async (input: unknown) => runAction((ctx) => lots.countStock(ctx, input));
export const noteLot = async (input: unknown) => runAction((ctx) => lots.noteLot(ctx, input));
export const addOwnIngredient = async (input: unknown) => runAction((ctx) => terms.addOwnIngredient(ctx, input));
export const setSupply = async (input: unknown) => runAction((ctx) => terms.setSupply(ctx, input));
export const planBatch = async (input: unknown) => runAction((ctx) => plans.planBatch(ctx, input));
export const dropPlan = async (input: unknown) => runAction((ctx) => plans.dropPlan(ctx, input));
export const emptyStore = async (input: unknown) => runAction((ctx) => stores.emptyStore(ctx, input));
export const countStore = async (input: unknown) => runAction((ctx) => stores.countStore(ctx, input));
export const keepStore = async (input: unknown) => runAction((ctx) => stores.keepStore(ctx, input));
export const checkStore = async (input: unknown) => runAction((ctx) => stores.checkStore(ctx, input));
export const pourStore = async (input: unknown) => runAction((ctx) => stores.pourStore(ctx, input));
export const addEquipment = async (input: unknown) => runAction((ctx) => tools.addEquipment(ctx, input));
export const noteEquipment = async (input: unknown) => runAction((ctx) => tools.noteEquipment(ctx, input));
export const recordPick = async (input: unknown) => runAction((ctx) => gather.recordPick(ctx, input));
export const addForagePlace = async (input: unknown) => runAction((ctx) => gather.addForagePlace(ctx, input));
export const visitForage = async (input: unknown) => runAction((ctx) => gather.visitForage(ctx, input));
export const addWormBin = async (input: unknown) => runAction((ctx) => gather.addWormBin(ctx, input));
export const noteWormBin = async (input: unknown) => runAction((ctx) => gather.noteWormBin(ctx, input));
export const startMixing = async (input: unknown) => runAction((ctx) => mixing.startMixing(ctx, input));
export const tickMixing = async (input: unknown) => runAction((ctx) => mixing.tickMixing(ctx, input));
export const finishMixing = async (input: unknown) => runAction((ctx) => mixing.finishMixing(ctx, input));
export const dropMixing = async (input: unknown) => runAction((ctx) => mixing.dropMixing(ctx, input));
export const addDevice = async (input: unknown) => runAction((ctx) => devices.addDevice(ctx, input));
export const placeDevice = async (input: unknown) => runAction((ctx) => devices.placeDevice(ctx, input));
export const retireDevice = async (input: unknown) => runAction((ctx) => devices.retire(ctx, input));
export const importLogger = async (input: unknown) => runAction((ctx) => logger.importLogger(ctx, input));
export const resetLearning = async (input: unknown) => runAction((ctx) => ferment.resetLearning(ctx, input));
export const sayPlace = async (input: unknown) => runAction((ctx) => places.sayPlace(ctx, input));
export const shareTask = async (input: unknown) => runAction((ctx) => ferment.shareTask(ctx, input));
