import pTimeout from "p-timeout";
import { findView, type AnyView } from "@/services/views";
import { speechOf } from "@/words/speech";
import { openStanding } from "../session";
import { CLOSED, doorError, grant, refuse, TIME_LIMIT_MS, toActError } from "./answer";
import { strangeness } from "./stranger";

async function run(view: AnyView, query: unknown): Promise<Response> {
  let say = speechOf("metric");
  try {
    const standing = await openStanding();
    if (standing.type !== "open") return refuse(doorError(CLOSED[standing.type]));
    const { frame } = standing;
    say = speechOf(frame.farm.units);
    const value = await view(frame, query);
    return value === null ? refuse(doorError("not-there")) : grant(value);
  } catch (error) {
    return refuse(toActError(error, say));
  }
}

/** The one door for reading, for programs: what a page shows, as JSON. Pages ask the same views in the same process. */
export async function viewDoor(request: Request, name: string): Promise<Response> {
  if (strangeness(request.headers)) return refuse(doorError("stranger"));
  const view = findView(name);
  if (!view) return refuse(doorError("no-act"));
  const query = Object.fromEntries(new URL(request.url).searchParams);
  return pTimeout(run(view, query), { milliseconds: TIME_LIMIT_MS, fallback: () => refuse(doorError("too-slow")) });
}
