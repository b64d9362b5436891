import { groupBy } from "../groupBy";
import { spreadCosts, type Spread, type SpreadBatch, type SpreadUse, type SpreadWaste } from "../money/spread";

/** A batch as a report counts it. Money in minor units, days as ISO dates. */
export interface ReportBatch extends SpreadBatch {
  readonly methodId: string;
  readonly name: string;
  readonly startedOn: string;
  readonly endedOn: string | null;
  readonly ingredientsMinor: number;
  readonly labourMinor: number;
  readonly powerMinor: number;
  readonly labourMin: number;
}
export interface ReportUse extends SpreadUse {
  readonly on: string;
  readonly labourMin: number;
  readonly plots: readonly {
    readonly plotId: number;
    readonly concentrateL: number;
    readonly mixL: number;
    readonly crop: string;
    /** Null where it lies nowhere on the plan. */
    readonly areaM2: number | null;
  }[];
}
export interface ReportWaste extends SpreadWaste {
  readonly on: string;
}
export interface ReportInput {
  readonly from: string;
  readonly to: string;
  /** Batches that began in the span, or of which something was used in it; with all their uses and waste, whenever they were. */
  readonly batches: readonly ReportBatch[];
  readonly uses: readonly ReportUse[];
  readonly waste: readonly ReportWaste[];
}

/** Litres and money of one input over the season. */
export interface InputLine {
  readonly methodId: string;
  readonly name: string;
  readonly batches: number;
  readonly failed: number;
  readonly madeL: number;
  readonly usedL: number;
  readonly wastedL: number;
  readonly costMinor: number;
  /** Of what was made in the season and came off well; null where nothing was. */
  readonly perLMinor: number | null;
  readonly onPlotsMinor: number;
  /** Square metres treated, each application counted; null where some of it has no area. */
  readonly treatedM2: number | null;
}
export interface GroundLine {
  readonly key: string;
  readonly times: number;
  readonly concentrateL: number;
  readonly mixL: number;
  readonly costMinor: number;
  readonly areaM2: number | null;
  readonly perM2Minor: number | null;
}
export interface LossLine {
  readonly cause: string;
  readonly month: string;
  readonly costMinor: number;
}
export interface SeasonReport {
  readonly inputs: readonly InputLine[];
  readonly crops: readonly GroundLine[];
  readonly plots: readonly GroundLine[];
  readonly money: {
    readonly ingredientsMinor: number;
    readonly makingMinor: number;
    readonly powerMinor: number;
    readonly applyingMinor: number;
    readonly lossMinor: number;
  };
  readonly hours: { readonly making: number; readonly applying: number };
  readonly losses: readonly LossLine[];
}

const sum = <T>(list: readonly T[], of: (one: T) => number): number => list.reduce((total, one) => total + of(one), 0);
const within = (day: string, { from, to }: Pick<ReportInput, "from" | "to">): boolean => day >= from && day <= to;

interface Part {
  readonly methodId: string;
  readonly plotId: number;
  readonly crop: string;
  readonly areaM2: number | null;
  readonly concentrateL: number;
  readonly mixL: number;
  readonly costMinor: number;
  readonly useId: number;
}

/** Area of different plots, each once; null where one has none. */
function areaOf(parts: readonly Part[], isEachTime: boolean): number | null {
  const areas = new Map<string, number | null>();
  for (const { plotId, areaM2, useId } of parts) areas.set(isEachTime ? `${useId}/${plotId}` : String(plotId), areaM2);
  let total = 0;
  for (const area of areas.values()) {
    if (area === null) return null;
    total += area;
  }
  return total;
}

function groundBy(parts: readonly Part[], keyOf: (part: Part) => string): GroundLine[] {
  return [...groupBy(parts, keyOf)]
    .map(([key, own]): GroundLine => {
      const areaM2 = areaOf(own, false);
      const costMinor = sum(own, (part) => part.costMinor);
      return {
        ...{ key, times: new Set(own.map(({ useId }) => useId)).size, costMinor, areaM2 },
        ...{ concentrateL: sum(own, (part) => part.concentrateL), mixL: sum(own, (part) => part.mixL) },
        perM2Minor: areaM2 ? costMinor / areaM2 : null,
      };
    })
    .toSorted((one, other) => other.costMinor - one.costMinor || (one.key < other.key ? -1 : 1));
}

function inputLines({ batches, uses, waste, ...span }: ReportInput, parts: readonly Part[]): InputLine[] {
  const methodOf = new Map(batches.map((batch) => [batch.id, batch]));
  const names = new Map(batches.map(({ methodId, name }) => [methodId, name]));
  return [...names]
    .map(([methodId, name]): InputLine => {
      const begun = batches.filter((batch) => batch.methodId === methodId && within(batch.startedOn, span));
      const good = begun.filter(({ outcome }) => outcome === "strained");
      const own = parts.filter((part) => part.methodId === methodId);
      const madeL = sum(good, ({ yieldL }) => yieldL);
      const isOwn = (batchId: number): boolean => methodOf.get(batchId)?.methodId === methodId;
      return {
        ...{ methodId, name, batches: begun.length, madeL },
        failed: begun.filter(({ outcome }) => outcome === "discarded").length,
        usedL: sum(
          uses.filter((use) => isOwn(use.batchId) && within(use.on, span)),
          (use) => sum(use.plots, ({ concentrateL }) => concentrateL),
        ),
        wastedL: sum(
          waste.filter((one) => isOwn(one.batchId) && within(one.on, span)),
          ({ litres }) => litres,
        ),
        costMinor: sum(begun, (batch) => batch.costMinor),
        perLMinor: madeL > 0 ? sum(good, (batch) => batch.costMinor) / madeL : null,
        onPlotsMinor: sum(own, (part) => part.costMinor),
        treatedM2: areaOf(own, true),
      };
    })
    .toSorted((one, other) => other.costMinor - one.costMinor || (one.name < other.name ? -1 : 1));
}

/**
 * A season told: what was made, used and lost, by input, crop and plot, with what it cost. What an application cost is its share of its batch, as the ledger posts
 * it, whenever the batch was made; what was made in the season counts in full, whenever it is used.
 */
export function seasonReport(input: ReportInput): SeasonReport {
  const { batches, uses, waste } = input;
  const spread = spreadCosts(batches, uses, waste);
  const methodOf = new Map(batches.map((batch) => [batch.id, batch]));
  const inSeason = uses.filter(({ on }) => within(on, input));
  const parts = inSeason.flatMap((use) =>
    use.plots.map((plot): Part => ({
      ...plot,
      methodId: methodOf.get(use.batchId)?.methodId ?? "",
      useId: use.id,
      costMinor: spread.plots.get(use.id)?.get(plot.plotId) ?? 0,
    })),
  );
  const begun = batches.filter(({ startedOn }) => within(startedOn, input));
  const losses = lossLines(input, spread.losses);
  return {
    inputs: inputLines(input, parts),
    crops: groundBy(parts, ({ crop }) => crop),
    plots: groundBy(parts, ({ plotId }) => String(plotId)),
    money: {
      ingredientsMinor: sum(begun, (batch) => batch.ingredientsMinor),
      makingMinor: sum(begun, (batch) => batch.labourMinor),
      powerMinor: sum(begun, (batch) => batch.powerMinor),
      applyingMinor: sum(inSeason, (use) => use.labourMinor),
      lossMinor: sum(losses, ({ costMinor }) => costMinor),
    },
    hours: {
      making: sum(begun, ({ labourMin }) => labourMin) / 60,
      applying: sum(inSeason, ({ labourMin }) => labourMin) / 60,
    },
    losses,
  };
}

/** Losses of the season by cause and month; a failed batch on the day of its end, what was poured away on the day that it was. */
function lossLines({ batches, ...span }: ReportInput, losses: Spread["losses"]): LossLine[] {
  const ended = new Map(batches.map(({ id, endedOn }) => [id, endedOn]));
  const found = losses.flatMap(({ batchId, cause, costMinor, on }): LossLine[] => {
    const day = on ?? ended.get(batchId);
    return day && within(day, span) ? [{ cause, month: day.slice(0, 7), costMinor }] : [];
  });
  return [...groupBy(found, ({ cause, month }) => `${month}/${cause}`).values()]
    .map((own) => ({ ...own[0]!, costMinor: sum(own, ({ costMinor }) => costMinor) }))
    .toSorted((one, other) =>
      one.month === other.month ? other.costMinor - one.costMinor : one.month < other.month ? -1 : 1,
    );
}
