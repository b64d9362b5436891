import type { DoorCode } from "../codes";

/** What the door itself says, whatever was asked. */
export const DOOR: Readonly<Record<DoorCode, (megabytes: number) => string>> = {
  "bad-request": () => "Correct the marked fields.",
  "bad-json": () => "This is not JSON.",
  "too-long": (megabytes) => `More than ${megabytes} MB at once is not read. Send it in parts.`,
  "stranger": () => "Request refused: it came from another site.",
  "no-farm": () => "Set up the farm first.",
  "no-token": () => "A sensor says who it is: Authorization: Bearer and its access key.",
  "signed-out": () => "You are signed out. Sign in again; what you typed is kept here.",
  "locked": () => "This phone is locked. Enter your PIN; what you typed is kept here.",
  "other-person": () => "Somebody else entered this. It is sent when they are back at this device.",
  "no-act": () => "Nothing is called that here.",
  "not-there": () => "There is no such thing on this farm.",
  "too-slow": () => "This takes too long. Try again in a moment: it is not done twice.",
  "too-often": () => "More than 60 posts a minute. Wait a minute, then send the rest.",
  "database-away": () =>
    "The farm's database does not answer. Nothing was lost: what you typed is kept here. Try again in a moment.",
  "disk-full": () =>
    "The disk of the farm's computer is full: nothing more can be saved until there is room on it. What you typed is kept here.",
  "busy": () => "Others are writing to the same thing just now. What you typed is kept here; send it again.",
  "out-of-reach": () => "No connection to Ruchka. Your text is saved. Try again in a moment.",
  "internal": () => "Ruchka had an error. Your text is saved. If it happens again, tell the person who runs Ruchka.",
};
