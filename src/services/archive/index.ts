import "server-only";
/** The whole farm as one file, out and in. */
export { sendArchive, type SentArchive } from "./sendArchive";
export { offersTakeIn, takeIn, takeInState, type TakeInState } from "./takeIn";
