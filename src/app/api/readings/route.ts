import { actDoor } from "../../door/act";

/**
 * Where stations and probes post, by an address that is easily typed into one: `Authorization: Bearer TOKEN` and
 * `{"readings":[{"at":"2031-06-01T06:00:00Z","quantity":"liquid","value":21.4}]}`. Posting the same again changes nothing.
 */
export const POST = (request: Request) => actDoor(request, "postReadings");
