/** What a world of yards is like; each ablation turns one of these. */
export interface World {
  readonly name: string;
  /** Share of drums of which nobody said where they stand. */
  readonly placesUnsaid: number;
  /** Share of farms with a station; it tells the air outside, wherever the drum stands. */
  readonly stations: number;
  /** Share of lines that a slip of the finger makes into any other. */
  readonly slips: number;
  /** Share of smells that a nose with a cold names at random, by nose: the grower's own, the helper's. */
  readonly coldNose: readonly [number, number];
  /** Share of looks that the helper takes. */
  readonly helper: number;
  /** Whether meters drift, stand dry, and are off from the start. */
  readonly metersDrift: boolean;
  /** Share of usual visits that are not forgotten. */
  readonly visits: number;
  /** Share of farms that own a thermometer, and how often it is dipped. */
  readonly thermometers: number;
  readonly dips: number;
  /** Share of drums that go off. */
  readonly bad: number;
  /** Factor on the spread of how drums differ from each other. */
  readonly spread: number;
}

export const REAL: World = {
  name: "yards as they are",
  placesUnsaid: 0.4,
  stations: 0.7,
  slips: 0.015,
  coldNose: [0.03, 0.15],
  helper: 0.25,
  metersDrift: true,
  visits: 1,
  thermometers: 0.6,
  dips: 0.25,
  bad: 0.1,
  spread: 1,
};

/** One thing otherwise at a time. */
export const ABLATIONS: readonly World[] = [
  { ...REAL, name: "every place said", placesUnsaid: 0 },
  { ...REAL, name: "no place said", placesUnsaid: 1 },
  { ...REAL, name: "no station anywhere", stations: 0 },
  { ...REAL, name: "no slips, two good noses", slips: 0, coldNose: [0, 0] },
  { ...REAL, name: "twice the slips, helper’s cold nose", slips: 0.03, coldNose: [0.03, 0.3], helper: 0.5 },
  { ...REAL, name: "true meters", metersDrift: false },
  { ...REAL, name: "a dip at every look", thermometers: 1, dips: 1 },
  { ...REAL, name: "nobody dips", thermometers: 0 },
  { ...REAL, name: "half the visits", visits: 0.5 },
  { ...REAL, name: "drums half as unlike again", spread: 1.5 },
];
