import type { toast } from "sonner";

type Options = Parameters<typeof toast.success>[1];
type Saying = (say: typeof toast) => void;

let onKept: ((message: string) => void) | null = null;
/** What shows messages, once it stands; until then they wait. */
let shown: typeof toast | null = null;
let waiting: Saying[] = [];
let wake: (() => void) | null = null;

function say(saying: Saying): void {
  if (shown) {
    saying(shown);
    return;
  }
  waiting.push(saying);
  wake?.();
}

/**
 * Messages have a place where they are shown from now on: those that wait are told.
 * @param onWaiting is called for a message that has nowhere to be shown yet
 */
export function showsMessages(onWaiting: () => void): {
  readonly from: (by: typeof toast) => void;
  readonly end: () => void;
} {
  wake = onWaiting;
  if (waiting.length > 0) onWaiting();
  return {
    from: (by) => {
      shown = by;
      for (const saying of waiting) saying(by);
      waiting = [];
    },
    end: () => {
      shown = null;
      wake = null;
    },
  };
}

/** What was just done is kept on this device and not at the farm: what is said of it next says so. @param note is given what was said */
export function nextIsKept(note: (message: string) => void): void {
  onKept = note;
}

/** Tells that something is done; of what waits on this device, that it waits. */
export function told(message: string, options?: Options): void {
  if (!onKept) {
    say((by) => by.success(message, options));
    return;
  }
  onKept(message);
  onKept = null;
  say((by) => by(`${message} Not sent yet: it waits on this device.`));
}

/** Tells of what goes on beside the work: it says nothing of the act that is under way. */
export function toldBesides(message: string): void {
  say((by) => by.success(message));
}

/** Tells that something could not be done, where there is no form to say it in. */
export function toldOfTrouble(message: string): void {
  say((by) => by.error(message));
}
