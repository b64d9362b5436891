import { toast } from "sonner";

type Options = Parameters<typeof toast.success>[1];

let onKept: ((message: string) => void) | null = null;

/** What was just done is kept on this device and not at the farm: what is said of it next says so. @param note is given what was said */
export function nextIsKept(note: (message: string) => void): void {
  onKept = note;
}

/** Tells that something is done; of what waits on this device, that it waits. */
export function told(message: string, options?: Options): void {
  if (!onKept) {
    toast.success(message, options);
    return;
  }
  onKept(message);
  onKept = null;
  toast(`${message} Not sent yet: it waits on this device.`);
}
