import { clockAt, dayAt, type PracticeDrum } from "@/core/practice/drum/setup";

/** The day of a drum and the clock. @example "Day 3, 08:00" */
export const sayHour = (drum: Pick<PracticeDrum, "startHour">, hour: number): string =>
  `Day ${dayAt(drum, hour)}, ${String(clockAt(drum, hour)).padStart(2, "0")}:00`;

/** A step of time on a button. */
export const sayStep = (hours: number): string =>
  hours < 24 ? `${hours} h` : hours === 24 ? "1 day" : `${hours / 24} days`;

/** Coins with their sign. @example "+12" */
export const sayCoins = (coins: number): string =>
  `${coins > 0 ? "+" : coins < 0 ? "−" : ""}${Math.abs(coins).toFixed(0)}`;
