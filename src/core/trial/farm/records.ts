import type { Placement } from "../place";
import type { Confounder, MeasureKind, Scale } from "../terms";

/** An input that a trial asks about; its arm is what its strips are called in the draw. */
export interface TrialInput {
  readonly arm: string;
  /** As the farm calls it. */
  readonly name: string;
  /** The method whose brews count as its applications; null for what was bought or laid by hand. */
  readonly methodId: string | null;
}
export const ARMS = ["with", "second", "third"] as const;

/** What a trial asks and how it will be judged, said before the first application. */
export interface TrialTerms {
  readonly question: string;
  readonly inputs: readonly TrialInput[];
  /** How it is put on, of the book's uses. */
  readonly useId: string | null;
  readonly kind: MeasureKind;
  /** How differences are told: as a share, in its unit, or as comparisons won. Its kind says which, unless the farm chose at the start. */
  readonly scale: Scale;
  /** Unit of what the farm counts or measures in its own; empty where the kind has one. */
  readonly unit: string;
  /** Smallest difference that would be worth it: a share of a ratio, in the unit of a difference, of scores a share of comparisons from a half. */
  readonly smallest: number | null;
  /** The five words or shades of the farm's card, least first; empty for the usual ones. */
  readonly card: readonly string[];
  /** Read before the first application too, and judged by the change. */
  readonly isChange: boolean;
  readonly looks: "several" | "one" | "any";
  /** Day on which the reading decides. */
  readonly decidingOn: string;
  /** Applications that the method asks before it is judged. */
  readonly asked: number;
}

/** A strip, a bed or a pot that lots are drawn for. */
export interface TrialUnit {
  readonly unit: string;
  readonly plotId: number;
  /** Which of the strips that its bed is cut into, from 1; null for the whole bed. */
  readonly strip: number | null;
  readonly strips: number;
  readonly x: number;
  readonly y: number;
  readonly edge: boolean;
  readonly areaM2: number;
}

/** Units that joined together, as lots were drawn for them last. */
export interface TrialRound {
  readonly roundNo: number;
  readonly units: readonly TrialUnit[];
  readonly placement: Placement;
  /** How often lots were drawn, this draw among them. */
  readonly draws: number;
  readonly drawnOn: string;
  readonly decidingOn: string;
}

export interface UnitReading {
  readonly unit: string;
  readonly on: string;
  /** In the order in which they were written down. */
  readonly id: number;
  readonly value: number;
  /** Read by the code alone, by somebody who neither drew lots nor put anything on. */
  readonly isBlind: boolean;
  /** Second time that the same unit came up in one scoring. */
  readonly isAgain: boolean;
}

/** Something that went onto a unit since lots were drawn. */
export interface UnitApplication {
  readonly unit: string;
  readonly on: string;
  /** The arm that it belongs to; null for another input. */
  readonly arm: string | null;
  readonly batchId: number | null;
  /** Put on though the batch was past its hours, or weaker than asked. */
  readonly isWeak: boolean;
  /** Rain came within the hours in which it washes off. */
  readonly isRainedOn: boolean;
}

/** What was noted of a trial by hand. */
export type TrialNote =
  | {
      readonly type: "left-out";
      readonly block: string;
      readonly side: "with" | "without" | "both";
      readonly reason: string;
    }
  | { readonly type: "confounder"; readonly code: Confounder }
  | { readonly type: "guesses"; readonly right: number; readonly wrong: number };

/** A verdict that was asked for and written down. */
export interface TrialLook {
  readonly on: string;
  readonly blocks: number;
}

export interface TrialRecords {
  readonly terms: TrialTerms;
  /** Whether measure, day or smallest difference were changed after the first application. */
  readonly isSwitched: boolean;
  /** In the order in which they joined. */
  readonly rounds: readonly TrialRound[];
  readonly readings: readonly UnitReading[];
  readonly applications: readonly UnitApplication[];
  readonly notes: readonly TrialNote[];
  readonly looks: readonly TrialLook[];
  readonly today: string;
}
