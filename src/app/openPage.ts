import { outageOf } from "@/services/outage";
import { openFrame, type Frame } from "./session";

export type Opened<T> =
  { readonly type: "open"; readonly value: T } | { readonly type: "not-set-up" } | { readonly type: "away" };

/** Loads a page's data; a farm that is not set up and a database that is away are answers, not crashes. */
export async function openPage<T>(load: (frame: Frame) => Promise<T>): Promise<Opened<T>> {
  try {
    const frame = await openFrame();
    return frame ? { type: "open", value: await load(frame) } : { type: "not-set-up" };
  } catch (error) {
    if (outageOf(error) !== null) return { type: "away" };
    throw error;
  }
}
