import { revalidatePath } from "next/cache";
import type { ActionResult } from "@/contracts/actions/requests";
import { DomainError } from "@/core/errors";
import type { Context } from "@/services/context";
import { isDatabaseAway } from "@/services/outage";
import { Refusal } from "@/services/refusal";
import { openFrame } from "./session";

/** Every error of an action becomes an answer here: a refusal with its fields, or a plain word for what is nobody's business. */
export function toActionError(error: unknown): ActionResult<never> {
  if (error instanceof Refusal)
    return { ok: false, error: { code: error.code, message: error.message, fields: error.fields } };
  if (error instanceof DomainError)
    return { ok: false, error: { code: error.code, message: error.message, fields: { [error.path]: error.message } } };
  if (isDatabaseAway(error)) {
    return {
      ok: false,
      error: {
        code: "database-away",
        message:
          "The farm's database does not answer. Nothing was lost: what you typed is kept here. Try again in a moment.",
      },
    };
  }
  console.error(error);
  return {
    ok: false,
    error: {
      code: "internal",
      message:
        "Ruchka tripped over this. What you typed is kept here; if it happens again, tell whoever looks after it.",
    },
  };
}

/** Runs a use-case for whoever asks; the open page shows what came of it. */
export async function runAction<T>(work: (ctx: Context) => Promise<T>): Promise<ActionResult<T>> {
  try {
    const frame = await openFrame();
    if (!frame) return { ok: false, error: { code: "no-farm", message: "Set up the farm first." } };
    const value = await work(frame.ctx);
    revalidatePath("/", "layout");
    return { ok: true, value };
  } catch (error) {
    return toActionError(error);
  }
}
