"use client";
import { createContext, useContext, useState, useTransition, type ReactNode } from "react";
import { toast } from "sonner";
import { checkRequest, type ActionError, type ActionRequest, type ActionResult } from "@/contracts/actions/requests";
import type { ActionName } from "@/contracts/actions/schemas";
import type { FieldErrors } from "@/contracts/fieldErrors";

type Act<T> = (input: unknown) => Promise<ActionResult<T>>;

/** What a screen can ask the farm to do; the application hands these down. */
export interface FarmActions {
  readonly setUpFarm: Act<null>;
  readonly addVessel: Act<{ vesselId: number }>;
  readonly addPlot: Act<{ plotId: number }>;
  readonly addTool: Act<{ toolId: number }>;
  readonly fillVessel: Act<{ batchId: number }>;
  readonly logEntry: Act<{ entryId: number }>;
  readonly closeBatch: Act<{ storeId: number | null }>;
  readonly cleanVessel: Act<{ vesselId: number }>;
  readonly applyStore: Act<{ applicationId: number }>;
  readonly setHarvestRule: Act<{ ruleId: number }>;
  readonly saveRecipe: Act<{ versionNo: number; unconfirmed: number }>;
  readonly chooseRecipe: Act<{ methodId: string }>;
  readonly addWaterSource: Act<{ sourceId: number }>;
  readonly readWater: Act<{ readingId: number }>;
  readonly readWaterLevel: Act<{ levelId: number }>;
  readonly startWater: Act<{ startId: number }>;
  readonly addToBatch: Act<{ entryId: number }>;
  readonly takeFromBatch: Act<{ lotId: number }>;
  readonly moveToShed: Act<{ lotId: number }>;
  readonly addLabResult: Act<{ resultId: number }>;
  readonly weighMeasure: Act<{ weighingId: number }>;
  readonly takeBackWeighing: Act<{ weighingId: number }>;
  readonly receiveLot: Act<{ lotId: number }>;
  readonly wasteLot: Act<{ lotId: number }>;
  readonly correctMovement: Act<{ lotId: number }>;
  readonly countStock: Act<{ changed: number }>;
  readonly noteLot: Act<{ lotId: number }>;
  readonly addOwnIngredient: Act<{ ownId: number }>;
  readonly setSupply: Act<{ supplyId: number }>;
  readonly planBatch: Act<{ planId: number }>;
  readonly dropPlan: Act<{ planId: number }>;
  readonly emptyStore: Act<{ storeId: number }>;
  readonly countStore: Act<{ storeId: number }>;
  readonly keepStore: Act<{ storeId: number }>;
  readonly checkStore: Act<{ storeId: number }>;
  readonly pourStore: Act<{ storeIds: number[] }>;
  readonly addEquipment: Act<{ equipmentId: number }>;
  readonly noteEquipment: Act<{ equipmentId: number }>;
  readonly recordPick: Act<{ lotId: number }>;
  readonly addForagePlace: Act<{ placeId: number }>;
  readonly visitForage: Act<{ visitId: number }>;
  readonly addWormBin: Act<{ binId: number }>;
  readonly noteWormBin: Act<{ lotId: number | null }>;
  readonly startMixing: Act<{ mixingId: number }>;
  readonly tickMixing: Act<{ mixingId: number }>;
  readonly finishMixing: Act<{ batchId: number }>;
  readonly dropMixing: Act<{ mixingId: number }>;
  readonly addDevice: Act<{ deviceId: number }>;
  readonly placeDevice: Act<{ deviceId: number }>;
  readonly retireDevice: Act<{ deviceId: number }>;
  readonly importLogger: Act<{ taken: number; known: number; setAside: number }>;
  readonly resetLearning: Act<{ resetId: number }>;
  readonly shareTask: Act<{ shareId: number }>;
  readonly sayPlace: Act<{ vessels: number }>;
}

const ActionsContext = createContext<FarmActions | null>(null);

export const ActionsProvider = ({
  actions,
  children,
}: {
  readonly actions: FarmActions;
  readonly children: ReactNode;
}) => <ActionsContext.Provider value={actions}>{children}</ActionsContext.Provider>;

export function useFarmActions(): FarmActions {
  const actions = useContext(ActionsContext);
  if (!actions) throw new Error("No ActionsProvider above this component.");
  return actions;
}

const OUT_OF_REACH: ActionError = {
  code: "out-of-reach",
  message: "Ruchka can't be reached just now. What you typed is kept here; try again in a moment.",
};

/** Writes that a screen asks for by an action; files go by their own address, which tells how far it is. */
type UiAction = ActionName & keyof FarmActions;
type Answer<N extends UiAction> = Awaited<ReturnType<FarmActions[N]>> extends ActionResult<infer T> ? T : never;

export interface Acting<N extends UiAction> {
  readonly busy: boolean;
  readonly error: ActionError | null;
  readonly fields: FieldErrors;
  /** Runs the action; its answer, or null where it was refused (then `error` and `fields` say why). */
  readonly run: (request: Omit<ActionRequest<N>, "requestKey">) => Promise<Answer<N> | null>;
  readonly clear: () => void;
}

const newKey = (): string => crypto.randomUUID();

/**
 * One intended write: checked here with the server's own schema, sent with a key that a resend keeps, so that
 * a double tap or a lost answer does not write twice. The key is renewed once it went through, or once the request changed.
 * @param failure where a refusal is said: by the form itself, or in passing where there is no form
 */
export function useAct<N extends UiAction>(name: N, failure: "in-place" | "toast" = "in-place"): Acting<N> {
  const actions = useFarmActions();
  const [busy, startTransition] = useTransition();
  const [error, setError] = useState<ActionError | null>(null);
  const [intent, setIntent] = useState<{ key: string; body: string } | null>(null);

  const send = async (request: Omit<ActionRequest<N>, "requestKey">): Promise<Answer<N> | null> => {
    const body = JSON.stringify(request);
    const key = intent?.body === body ? intent.key : newKey();
    setIntent({ key, body });
    const full = { ...request, requestKey: key };
    const complaints = checkRequest(name, full);
    if (complaints) {
      setError({
        code: "bad-request",
        message: "Some of this does not fit. See the marked fields.",
        fields: complaints,
      });
      return null;
    }
    const result = (await (actions[name] as Act<Answer<N>>)(full).catch(
      () => ({ ok: false, error: OUT_OF_REACH }) as const,
    )) as ActionResult<Answer<N>>;
    if (!result.ok) {
      setError(result.error);
      if (failure === "toast") toast.error(result.error.message);
      return null;
    }
    setError(null);
    setIntent(null);
    return result.value;
  };

  return {
    busy,
    error,
    fields: error?.fields ?? {},
    clear: () => setError(null),
    run: (request) => new Promise((resolve) => startTransition(async () => resolve(await send(request)))),
  };
}
