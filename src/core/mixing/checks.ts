import { answer as fits, notYet as holds } from "../book/lines";
import { step } from "./mixStep";

export const POWER = step(
  "power",
  "Before the power",
  "Nothing is plugged in until all of this is so.",
  "Current and water kill.",
  {
    checks: [
      "Pump stands above the water, or has a check valve",
      "Plug and socket are under cover from rain",
      "Safety switch (RCD, GFCI) is on and tested",
      "A drip loop hangs in each cable",
    ],
  },
);
export const BUBBLES = step(
  "bubbles",
  "How does it bubble?",
  "Look from the side, all over the surface.",
  "A dead corner goes foul while the rest is well.",
  {
    answers: [
      holds("none", "Look for a kinked hose, a stone that floats, a pump that is off."),
      fits("mild", "Enough for a thin brew. Open the pump if castings lie loose."),
      fits("brisk all over", "As it should be."),
      holds("violent", "Turn it down: it beats threads apart and throws foam over the rim."),
    ],
  },
);
export const LUMPS = step(
  "lumps",
  "Are the lumps gone?",
  "Stir to the floor and lift the paddle.",
  "A lump feeds a foul spot for days.",
  {
    answers: [
      holds("lumps left", "Press them against the wall, stir on, look again."),
      fits("even all through", "Go on."),
    ],
  },
);
export const BAG = step(
  "bag",
  "The bag",
  "It must not float up, nor lie on the floor.",
  "What stands out of the liquid moulds.",
  {
    checks: ["Weighted with a clean stone, no metal", "Wholly under", "Tied so that it can be lifted out"],
  },
);
export const MOISTURE = step(
  "squeeze",
  "Squeeze a handful",
  "Hard, and look at your fist.",
  "Too wet has no air; too dry does not ripen.",
  {
    answers: [
      holds("water runs out", "Too wet: more bran or leaves, mix, squeeze again."),
      fits("a drop or two, and it holds", "Right: about half water."),
      holds("it falls apart", "Too dry: a little of the sugared water, mix, squeeze again."),
    ],
  },
);
export const COAT = step(
  "coat",
  "Every surface coated",
  "Turn it over by hand until no green is dry.",
  "Bare leaf moulds; sugar keeps it.",
  {
    checks: ["No dry leaf to be seen", "Jar no more than two thirds full", "Fill mark drawn on the glass"],
  },
);
export const SINKS = step(
  "sinks",
  "Does it sink?",
  "Stir through, then look what floats.",
  "Pores full of air take nothing up.",
  {
    everyMin: 30,
    answers: [
      holds("most of it floats", "Stir, and again in half an hour."),
      holds("some floats", "Stir, and again in half an hour."),
      fits("it sinks", "It is full."),
    ],
  },
);
