/** Cardinal temperatures of a living rate, °C (Rosso et al. 1993); `referenceC` is where the rate is 1. */
export interface CardinalTemperatures {
  readonly referenceC: number;
  readonly minC: number;
  readonly optimumC: number;
  readonly maxC: number;
}

/** A chemical rate: exp(−Ea/R·(1/T − 1/Tref)), Arrhenius 1889. */
export interface ActivatedRate {
  readonly referenceC: number;
  readonly activationJPerMol: number;
}

export type RateTemperatures = CardinalTemperatures | ActivatedRate;

/** How a vessel stands: what its warming goes by besides its size. */
export type Setting = "plain" | "wind_or_metal" | "aerated_open" | "insulated" | "buried" | "solid_bed";

/** What all methods' models have. Every figure is an effective one, fitted to growers' days or judged; none is a measured microbial constant. */
interface ModelCommon {
  readonly id: string;
  readonly temperatures: RateTemperatures;
  readonly volumeL: number;
  readonly setting: Setting;
  /** How far ahead a forecast looks at least, h from the start. */
  readonly horizonH: number;
  /** Reports of one kind nearer to each other than about this repeat rather than add, h. */
  readonly repeatSpanH: number;
  readonly smellTable: SmellTableId | null;
  /** Bubbles a minute at the liveliest; 0 where counting them tells nothing. */
  readonly bubblesPerMin: number;
  /** Chance that a batch spoils, before anything is seen of it. */
  readonly spoilChance: number;
  readonly prior: Prior;
  /** The growers' rule by days alone, h: what a forecast has to beat. */
  readonly daysRuleH: number;
}

/** Spread of the log rate between farms and between one farm's batches, and of the class's second unknown. */
export interface Prior {
  readonly farmSd: number;
  readonly batchSd: number;
  readonly secondSd: number;
}

export type SmellTableId = "A1" | "A2" | "B" | "C" | "E1" | "E2" | "G";

/** Air blown in: oxygen's transfer and demand, and how quality falls without it. */
export interface AirSupply {
  readonly onPerH: number;
  readonly offPerH: number;
  readonly demandPerH: number;
  readonly restingDemand: number;
  readonly halfSaturation: number;
  /** Share of the growth that goes on without oxygen. */
  readonly anoxicShare: number;
  readonly qualityLossPerH: number;
  readonly restingLossShare: number;
}

/** A brew that blooms and crashes: cells on food, in units of the recipe's food. */
export interface BloomModel extends ModelCommon {
  readonly cls: "bloom";
  readonly temperatures: CardinalTemperatures;
  readonly growthPerH: number;
  /** Lag, ln of (1 + what must be done first). */
  readonly lag: number;
  readonly startingCells: number;
  readonly halfFood: number;
  readonly maintenancePerH: number;
  readonly deathPerH: number;
  readonly starvedDeath: number;
  readonly deathQ10: number;
  readonly heatDeathPerHPerK: number;
  readonly foamPerH: number;
  readonly air: AirSupply | null;
  /** What tells: the head of foam, or living cells of good quality. */
  readonly metric: "foam" | "cells";
  readonly startShare: number;
  readonly endShare: number;
  readonly crashShare: number;
  /** A bloom weaker than this share of the usual is none. */
  readonly leastBloom: number;
  /** Weight of a look at the foam: full where it is the main sign, less in an aerated brew. */
  readonly foamWeight: number;
  /** Greatest gas, foam and cells at the reference temperature with the recipe as it stands. */
  readonly reference: { readonly gasPerH: number; readonly foam: number; readonly cells: number };
}

/** An acid ferment: pH falls along a logistic curve. Times in days at the reference temperature. */
export interface AcidModel extends ModelCommon {
  readonly cls: "acid";
  readonly temperatures: CardinalTemperatures;
  readonly startPh: number;
  readonly floorPh: number;
  readonly targetPh: number;
  readonly bestPh: number;
  readonly midpointD: number;
  readonly widthD: number;
  readonly keepsD: number;
  readonly agesD: number;
  /** Where layers part by pH: centre and width. */
  readonly partsAtPh?: { readonly ph: number; readonly width: number };
  /** Where curd parts after the target pH: time constant, and the share that is waited for. */
  readonly curd?: { readonly timeD: number; readonly neededShare: number };
  readonly stuck: { readonly chance: number; readonly meanShiftPh: number; readonly sdPh: number };
}

/** Sugar draws sap by diffusion. */
export interface DrawnModel extends ModelCommon {
  readonly cls: "drawn";
  readonly temperatures: CardinalTemperatures;
  readonly lagD: number;
  readonly startD: number;
  readonly peakD: number;
  readonly endD: number;
  readonly partsD: number;
}

/** Stuff that soaks and rots in water, with a lag that more starter shortens. */
export interface SoakModel extends ModelCommon {
  readonly cls: "soak";
  readonly temperatures: CardinalTemperatures;
  readonly lagD: number;
  readonly startD: number;
  readonly peakD: number;
  readonly endD: number;
  /** Two-stage soaks: when the open stage is over and it is closed, days at the reference temperature. */
  readonly sealD?: number;
}

/** Char that drinks itself full and sinks. */
export interface CharModel extends ModelCommon {
  readonly cls: "char";
  readonly temperatures: CardinalTemperatures;
  readonly startD: number;
  readonly peakD: number;
  readonly sunkAtStart: number;
  readonly sunkInTheEnd: number;
  readonly sinkD: number;
}

/** A packed bed that heats itself. */
export interface BedModel extends ModelCommon {
  readonly cls: "bed";
  readonly temperatures: CardinalTemperatures;
  readonly lagD: number;
  readonly startD: number;
  readonly peakD: number;
  readonly endD: number;
  readonly heatMidD: number;
  readonly heatWidthD: number;
  readonly greatestRiseK: number;
}

/** Shell that dissolves in vinegar. */
export interface ShellModel extends ModelCommon {
  readonly cls: "shell";
  readonly temperatures: ActivatedRate;
  /** 1/d at 20 °C and 100 g of shell to the litre. */
  readonly ratePerD: number;
  readonly doseExponent: number;
  readonly shrinkExponent: number;
  /** Share of the acid that is left at equilibrium. */
  readonly acidLeft: number;
  readonly acidPercent: number;
  readonly purity: number;
  readonly lPerKg: number;
  readonly sizeFactor: number;
  readonly startExtent: number;
  readonly doneExtent: number;
}

export type FermentModel = BloomModel | AcidModel | DrawnModel | SoakModel | CharModel | BedModel | ShellModel;
export type FermentClass = FermentModel["cls"];
