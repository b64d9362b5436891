import { notFound, redirect } from "next/navigation";
import type { Frame } from "@/services/context";
import { outageOf } from "@/services/outage";
import { Misfit, Refusal } from "@/services/refusal";
import { VIEWS, type Seen, type ViewName } from "@/services/views";
import { openStanding, type Standing } from "./session";

type Outside = Exclude<Standing, { readonly type: "open" }>;
export type Opened<T> = { readonly type: "open"; readonly value: T } | Outside | { readonly type: "away" };

/** Loads a page's data; a farm that is not set up, a device that nobody is signed in on and a database that is away are answers, not crashes. */
export async function openPage<T>(load: (frame: Frame) => Promise<T>): Promise<Opened<T>> {
  try {
    const standing = await openStanding();
    return standing.type === "open" ? { type: "open", value: await load(standing.frame) } : standing;
  } catch (error) {
    if (outageOf(error) !== null) return { type: "away" };
    throw error;
  }
}

/**
 * What a page shows, by the name of its view. What there is none of, or is asked for wrongly, is the page that says so.
 * @param query as it stands in the address
 * @returns null where the frame says why there is nothing (not set up, database away)
 */
export async function openView<N extends ViewName>(
  name: N,
  query: Readonly<Record<string, string | undefined>> = {},
): Promise<Seen<N> | null> {
  const asked = Object.fromEntries(Object.entries(query).filter(([, value]) => value !== undefined));
  const page = await openPage(async (frame) => {
    try {
      return await VIEWS[name](frame, asked);
    } catch (error) {
      if (error instanceof Misfit) return null;
      if (error instanceof Refusal && error.code === "may-not")
        redirect(`/may-not?least=${(error.params as { readonly least: string }).least}`);
      throw error;
    }
  });
  if (page.type !== "open") return null;
  if (page.value === null) notFound();
  return page.value as Seen<N>;
}
