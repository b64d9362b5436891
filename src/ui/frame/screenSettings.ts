/** How this device's screen is set: in the dark or by day, in large letters or usual ones. Kept on the device, not with the farm: each has its own eyes. */
const LIGHT_KEY = "ruchka-light";
const LETTERS_KEY = "ruchka-letters";

declare global {
  interface Window {
    /** Sets the page as this device was set; stands once `SET_SCREEN` ran. */
    setScreen?: () => void;
  }
}

/** A script for the page's head that sets it as this device was set, before its first paint: dusk does not flash white, and no letter jumps. */
export const SET_SCREEN = `window.setScreen=function(){try{var d=document.documentElement.dataset,l=localStorage.getItem("${LIGHT_KEY}");d.theme=l||(matchMedia("(prefers-color-scheme: dark)").matches?"dusk":"day");d.letters=localStorage.getItem("${LETTERS_KEY}")||"usual"}catch(e){}};window.setScreen()`;

const set = (name: "theme" | "letters", key: string, value: string) => {
  document.documentElement.dataset[name] = value;
  localStorage.setItem(key, value);
};

export const isDark = (): boolean => document.documentElement.dataset.theme === "dusk";
export const turnLight = (): void => set("theme", LIGHT_KEY, isDark() ? "day" : "dusk");

export const isLarge = (): boolean => document.documentElement.dataset.letters === "large";
export const turnLetters = (): void => set("letters", LETTERS_KEY, isLarge() ? "usual" : "large");

/** Sets the page anew as this device was set: a page that is not found is drawn afresh, without what was set before its first paint. */
export function setScreenAgain(): void {
  if (document.documentElement.dataset.letters === undefined) window.setScreen?.();
}
