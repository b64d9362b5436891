import { chanceFrom } from "../../chance";
import type { LogItem } from "../../judge/log";
import { readPh, readWarmth } from "../yard/crew";
import { filmAt, liquidAt, smellAt, solidsAt, surfaceAt } from "../yard/signs";
import { BULGES_AT_BAR, type Moment } from "./course";
import type { Look } from "./deeds";
import type { PracticeDrum } from "./setup";

/** What one look showed: words of the book, or a figure of an instrument. */
export interface Seen {
  readonly hour: number;
  readonly look: Look;
  /** The word met most, first; a second one where two are met at once. */
  readonly smell?: readonly string[];
  /** A smell that is only just there. */
  readonly isFaint?: boolean;
  readonly surface?: string;
  readonly film?: string;
  readonly liquid?: string;
  readonly solids?: string;
  readonly ph?: number;
  readonly celsius?: number;
}

/** What is seen of a drum without touching it. */
export interface Outside {
  readonly isBulging: boolean;
  /** The pump is silent that ought to run. */
  readonly isPumpSilent: boolean;
  readonly isBurst: boolean;
}

const TWO_AT_ONCE = 0.25;
const FAINT = 0.12;
/** Cold liquid gives off little. */
const FAINT_COLD = 0.4;
const COLD_C = 12;
/** Each kind of look draws by itself, so that one does not change what another shows. */
const LOOK_SALT: Readonly<Record<Look, number>> = {
  "lid": 1,
  "smell": 2,
  "solids": 3,
  "ph-strip": 4,
  "ph-meter": 5,
  "dip": 6,
};

// A moment is looked at again with each step that follows it.
const looked = new WeakMap<Moment, Partial<Record<Look, Seen>>>();

/** What a look shows at a moment. The same hour of the same drum shows everybody the same. */
export function lookAt(drum: PracticeDrum, moment: Moment, look: Look): Seen {
  const known = looked.get(moment) ?? {};
  looked.set(moment, known);
  return (known[look] ??= drawLook(drum, moment, look));
}

function drawLook(drum: PracticeDrum, moment: Moment, look: Look): Seen {
  const chance = chanceFrom(drum.seed * 7919 + moment.hour * 104_729 + LOOK_SALT[look] * 1_299_709);
  const { hour } = moment;
  switch (look) {
    case "lid": {
      const surface = drum.name === "tea" && !moment.isAirOn ? "still" : surfaceAt(chance, drum.name, moment);
      const liquid = liquidAt(chance, drum.name, moment);
      return {
        hour,
        look,
        ...(surface === null ? {} : { surface }),
        film: filmAt(chance, moment),
        ...(liquid === null ? {} : { liquid }),
      };
    }
    case "smell": {
      const first = smellAt(chance, drum.name, moment);
      const second = chance.uniform() < TWO_AT_ONCE ? smellAt(chance, drum.name, moment) : first;
      const isFaint = chance.uniform() < (moment.liquidC < COLD_C ? FAINT_COLD : FAINT);
      return { hour, look, smell: first === second ? [first] : [first, second], ...(isFaint ? { isFaint } : {}) };
    }
    case "solids": {
      const solids = solidsAt(chance, drum.name, moment);
      return { hour, look, ...(solids === null ? {} : { solids }) };
    }
    case "ph-strip":
    case "ph-meter":
      return moment.ph === null
        ? { hour, look }
        : { hour, look, ph: readPh(chance, drum.crew, look === "ph-strip" ? "strip" : "meter", moment.ph, hour) };
    case "dip":
      return { hour, look, celsius: readWarmth(chance, drum.crew, moment.liquidC) };
  }
}

/** What anybody sees who walks past. */
export const outsideAt = (moment: Moment, isBurst: boolean): Outside => ({
  isBulging: moment.pressureBar >= BULGES_AT_BAR,
  isPumpSilent: !moment.isAirOn,
  isBurst,
});

/** What was seen, as a batch's log has it: for the rule that a calm grower goes by. */
export function logOf(seen: readonly Seen[]): LogItem[] {
  return seen.flatMap(({ hour, look, smell, surface, film, liquid, solids, ph }): LogItem[] => [
    ...(smell ? [{ hour, kind: "smell", word: smell[0]! } as const] : []),
    ...(surface ? [{ hour, kind: "surface", word: surface } as const] : []),
    ...(film ? [{ hour, kind: "film", word: film } as const] : []),
    ...(liquid ? [{ hour, kind: "liquid", word: liquid } as const] : []),
    ...(solids ? [{ hour, kind: "solids", word: solids } as const] : []),
    ...(ph === undefined
      ? []
      : [
          {
            hour,
            kind: "ph",
            value: Math.max(1, ph),
            instrument: look === "ph-strip" ? "strip" : "meter",
            spot: "mid-depth",
            settled: true,
          } as const,
        ]),
  ]);
}
