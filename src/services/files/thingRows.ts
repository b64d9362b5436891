import "server-only";
import { isInline, TOOL_KINDS, type ToolKind } from "@/core/apply/tool";
import { HELD_BEFORE, type HeldBefore } from "@/core/choose/firstDrum";
import type { Queryable } from "@/data/db";
import { insertActor } from "@/data/farm";
import { insertTool, listLand } from "@/data/field";
import { listThings, type ThingFacts, type ThingKind } from "@/data/things";
import { insertVessel, type VesselKind } from "@/data/vessels";
import type { FileFault } from "@/formats/csv/fileFault";
import { isFault, readNumberCell, readWithUnit, sameName, type Cell } from "@/formats/csv/tables";
import { readInField } from "@/formats/fieldUnits";
import { OF_LITRES } from "@/formats/measured";
import type { Context } from "../context";
import { addPlotWith } from "../field";
import { writeThing } from "../things";
import type { LotRows } from "./lotRows";
import { wrongRow, type Faults, type RowOutcome } from "./rows";

type Units = "metric" | "us";
type Cells = Readonly<Record<string, string>>;
type ThingTable = "people" | "vessels" | "tools" | "beds";

/** A row as it would be written: its name, its facts, and a few words of them. */
interface Draft {
  readonly name: string;
  readonly facts: ThingFacts;
  readonly volumeL: number | null;
  readonly words: readonly string[];
}

interface Table {
  /** What is changed where a row's name is there already; null where such a row is left alone. */
  readonly kind: ThingKind | null;
  readonly nameLetters: number;
  readonly read: (cells: Cells, units: Units, faults: Record<string, FileFault>) => Omit<Draft, "name">;
  readonly add: (db: Queryable, ctx: Context, draft: Draft) => Promise<unknown>;
}

const VESSEL_KINDS: readonly VesselKind[] = ["drum", "tote", "pail", "jar"];
const MOST_W = 10_000;
const ML_PER_L = 1000;

/** One of a few words; the first where the cell is empty. */
function wordOf<W extends string>(
  cells: Cells,
  column: string,
  words: readonly W[],
  faults: Record<string, FileFault>,
): W {
  const typed = (cells[column] ?? "").toLowerCase();
  if (typed === "") return words[0]!;
  const found = words.find((word) => word === typed);
  if (!found) faults[column] = { code: "none-of", allowed: words };
  return found ?? words[0]!;
}

function valueOf(
  cell: Cell<number>,
  column: string,
  least: number,
  most: number,
  unit: string,
  faults: Record<string, FileFault>,
): number {
  if (isFault(cell)) {
    faults[column] = cell.fault;
    return least;
  }
  if (cell.value < least || cell.value > most) faults[column] = { code: "not-between", least, most, unit };
  return Number(cell.value.toFixed(3));
}

const litresOf = (cells: Cells, units: Units, most: number, faults: Record<string, FileFault>): number =>
  cells.volume
    ? valueOf(readWithUnit(cells.volume, OF_LITRES, units), "volume", 0.1, most, "L", faults)
    : ((faults.volume = { code: "how-much" }), 0);

function textOf(cells: Cells, column: string, letters: number, faults: Record<string, FileFault>): string {
  const typed = cells[column] ?? "";
  if (typed.length > letters) faults[column] = { code: "too-long", letters };
  return typed;
}

const lengthOf = (cells: Cells, column: string, units: Units, faults: Record<string, FileFault>): number => {
  const read = readInField(cells[column] ?? "", "m", units);
  if (read.type === "nothing") faults[column] = { code: "how-much" };
  if (read.type === "unreadable") faults[column] = { code: "unreadable", why: read.why };
  return read.type === "read" ? valueOf({ value: read.value }, column, 0.1, 1000, "m", faults) : 1;
};

const TABLES: Readonly<Record<ThingTable, Table>> = {
  people: {
    kind: "person",
    nameLetters: 60,
    read: () => ({ facts: {}, volumeL: null, words: [] }),
    add: (db, _ctx, { name }) => insertActor(db, name, "helper"),
  },
  vessels: {
    kind: "vessel",
    nameLetters: 40,
    read: (cells, units, faults) => {
      const kind = wordOf(cells, "kind", VESSEL_KINDS, faults);
      const volumeL = litresOf(cells, units, 20_000, faults);
      const airW = cells.air_w ? valueOf(readNumberCell(cells.air_w), "air_w", 0, MOST_W, "W", faults) : 0;
      const heldBefore = wordOf(cells, "held_before", HELD_BEFORE, faults);
      const site = textOf(cells, "place", 60, faults);
      return {
        facts: { kind, volumeL, airW, heldBefore, site },
        volumeL,
        words: [kind, site, airW > 0 ? `${airW} W` : ""],
      };
    },
    add: (db, ctx, { name, facts }) =>
      insertVessel(db, {
        name,
        kind: facts.kind as VesselKind,
        volumeL: Number(facts.volumeL),
        diameterM: null,
        site: String(facts.site),
        airW: Number(facts.airW),
        heldBefore: facts.heldBefore as HeldBefore,
        addedAt: ctx.now(),
        actorId: ctx.actor.id,
      }),
  },
  tools: {
    kind: "tool",
    nameLetters: 40,
    read: (cells, units, faults) => {
      const kind = wordOf(cells, "kind", TOOL_KINDS, faults);
      const volumeL = litresOf(cells, units, 2000, faults);
      const stepMl = cells.smallest_dose
        ? valueOf(readWithUnit(cells.smallest_dose, OF_LITRES, units), "smallest_dose", 0.000001, 1, "L", faults) *
          ML_PER_L
        : null;
      const parts = cells.parts_water
        ? valueOf(readNumberCell(cells.parts_water), "parts_water", 1, 5000, "parts", faults)
        : null;
      if (isInline(kind) && parts === null) faults.parts_water = { code: "how-much" };
      const partsWater = isInline(kind) ? parts : null;
      return {
        facts: { kind, volumeL, stepMl, partsWater },
        volumeL,
        words: [kind, partsWater === null ? "" : `1:${partsWater}`],
      };
    },
    add: (db, _ctx, { name, facts }) =>
      insertTool(db, {
        name,
        kind: facts.kind as ToolKind,
        volumeL: Number(facts.volumeL),
        stepMl: facts.stepMl === null ? null : Number(facts.stepMl),
        partsWater: facts.partsWater === null ? null : Number(facts.partsWater),
      }),
  },
  beds: {
    kind: null,
    nameLetters: 40,
    read: (cells, units, faults) => {
      const lengthM = lengthOf(cells, "length", units, faults);
      const widthM = lengthOf(cells, "width", units, faults);
      const block = textOf(cells, "block", 40, faults);
      const crop = textOf(cells, "crop", 60, faults);
      return {
        facts: { lengthM, widthM, block, crop },
        volumeL: null,
        words: [`${cells.length} × ${cells.width}`, crop, block],
      };
    },
    add: (db, ctx, { name, facts }) =>
      addPlotWith(db, ctx, {
        name,
        lengthM: Number(facts.lengthM),
        widthM: Number(facts.widthM),
        block: String(facts.block),
        crop: String(facts.crop),
        stage: facts.crop === "" ? "bare" : "growing",
      }),
  },
};

function readRow(cells: Cells, table: Table, units: Units): Draft | Faults {
  const faults: Record<string, FileFault> = {};
  const name = textOf(cells, "name", table.nameLetters, faults);
  if (name === "") faults.name = { code: "no-name" };
  const rest = table.read(cells, units, faults);
  return Object.keys(faults).length > 0 ? faults : { name, ...rest };
}
const isDraft = (read: Draft | Faults): read is Draft => Array.isArray((read as Draft).words);

type Write = { readonly draft: Draft; readonly id: number | null };

async function known(
  db: Queryable,
  kind: ThingKind | null,
): Promise<{ id: number; name: string; facts: ThingFacts }[]> {
  if (kind === null) return (await listLand(db)).map(({ id, name }) => ({ id, name, facts: {} }));
  return (await listThings(db, kind)).map(({ id, facts }) => ({ id, name: String(facts.name), facts }));
}

/** What a table of people, vessels, tools or beds would add; a row whose name is there already changes that one. */
export async function thingRows(
  db: Queryable,
  which: ThingTable,
  cellRows: readonly Cells[],
  units: Units,
): Promise<LotRows> {
  const table = TABLES[which];
  const there = await known(db, table.kind);
  const seen: { readonly name: string; readonly line: number }[] = [];
  const writes: Write[] = [];
  const outcomes = cellRows.map((cells, index): RowOutcome => {
    const line = index + 2;
    const draft = readRow(cells, table, units);
    if (!isDraft(draft)) return wrongRow(line, draft);
    const twin = seen.find(({ name }) => sameName(name, draft.name));
    if (twin) return wrongRow(line, { name: { code: "again", line: twin.line, of: "name" } });
    seen.push({ name: draft.name, line });
    const same = there.find(({ name }) => sameName(name, draft.name));
    const differs =
      same && table.kind !== null && Object.entries(draft.facts).some(([fact, value]) => same.facts[fact] !== value);
    if (same && !differs) return { line, what: "same", would: { code: "thing-there", name: same.name }, faults: {} };
    writes.push({ draft, id: same?.id ?? null });
    const would = { name: draft.name, volumeL: draft.volumeL, words: draft.words };
    return same
      ? { line, what: "changed", would: { code: "thing-changed", ...would }, faults: {} }
      : { line, what: "new", would: { code: "thing", ...would }, faults: {} };
  });
  return {
    outcomes,
    write: async (write, ctx, onProgress) => {
      for (const [index, { draft, id }] of writes.entries()) {
        if (id === null || table.kind === null) await table.add(write, ctx, draft);
        else await writeThing(write, ctx, table.kind, id, draft.facts);
        if (index % 20 === 19 || index === writes.length - 1) onProgress(index + 1);
      }
    },
  };
}
