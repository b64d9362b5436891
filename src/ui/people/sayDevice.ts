import bowser from "bowser";

/** A device as its browser names itself, in few words. @example sayDevice("Mozilla/5.0 (X11; Linux x86_64; rv:140.0) …"); // "Firefox on Linux" */
export function sayDevice(agent: string): string {
  if (agent === "") return "a program";
  const { browser, os } = bowser.parse(agent);
  const parts = [browser.name, os.name].filter(Boolean);
  return parts.length === 0 ? "a browser" : parts.join(" on ");
}
