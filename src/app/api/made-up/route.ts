import { madeUpState, offersMadeUpFarm, startMadeUpFarm } from "@/services/madeUpFarm";
import { doorError, grant, refuse } from "../../door/answer";
import { strangeness } from "../../door/stranger";

/** How the made-up farm stands: off, starting, ready at an address. */
export async function GET(request: Request): Promise<Response> {
  if (strangeness(request.headers) || !offersMadeUpFarm(request.headers.get("host")))
    return refuse(doorError("stranger"));
  return grant(await madeUpState());
}

/** Starts it, apart from this farm; asking twice starts one. */
export async function POST(request: Request): Promise<Response> {
  if (strangeness(request.headers) || !offersMadeUpFarm(request.headers.get("host")))
    return refuse(doorError("stranger"));
  return grant(await startMadeUpFarm());
}
