import { TZDate } from "@date-fns/tz";
import { UTCDate } from "@date-fns/utc";
import { isValid, parse } from "date-fns";
import { DELIMITERS, parseCsv } from "./decode";

/** A column of figures in a logger's file, and what it seems to hold. */
export interface LoggerColumn {
  readonly name: string;
  readonly unit: "°C" | "°F" | "pH";
  readonly figures: number;
}

export interface LoggerFigure {
  readonly at: Date;
  readonly value: number;
}

export interface LoggerFile {
  /** How its times are written; null where they could not be read. */
  readonly layout: string | null;
  /** Its times carry their own offset. */
  readonly hasZone: boolean;
  readonly columns: readonly LoggerColumn[];
  /** By the name of their column, those that are kept as columns and those that are all but empty. */
  readonly figures: ReadonlyMap<string, readonly LoggerFigure[]>;
  readonly unread: readonly { readonly line: number; readonly text: string }[];
}

const NOT_READ: LoggerFile = { layout: null, hasZone: false, columns: [], figures: new Map(), unread: [] };

/** Ways in which loggers write a moment, tried in this order; the first that reads nine of ten lines is taken. */
const LAYOUTS = [
  "yyyy-MM-dd HH:mm:ss",
  "yyyy-MM-dd HH:mm",
  "yyyy/MM/dd HH:mm:ss",
  "yyyy/MM/dd HH:mm",
  "dd.MM.yyyy HH:mm:ss",
  "dd.MM.yyyy HH:mm",
  "dd/MM/yyyy HH:mm:ss",
  "dd/MM/yyyy HH:mm",
  "MM/dd/yyyy hh:mm:ss a",
  "MM/dd/yyyy hh:mm a",
  "MM/dd/yyyy HH:mm:ss",
  "MM/dd/yyyy HH:mm",
  "MM/dd/yy HH:mm",
  "dd-MMM-yyyy HH:mm:ss",
  "dd-MMM-yyyy HH:mm",
] as const;
const ISO_ZONED = /^\d{4}-\d\d-\d\dT\d\d:\d\d(:\d\d(\.\d+)?)?(Z|[+-]\d\d:?\d\d)$/;
const ISO_LOCAL = /^\d{4}-\d\d-\d\dT\d\d:\d\d(:\d\d)?$/;
const EPOCH = /^\d{10}(\d{3})?$/;
const READS = 0.9;

type Reader = (text: string) => Date | null;

const WALL = new UTCDate(2000, 0, 1);
/** A wall clock's moment in a zone. */
function inZone(text: string, layout: string, zone: string): Date | null {
  // The clock's figures first, by a calendar without zones, then their moment: at once it takes five times as long.
  const wall = parse(text, layout, WALL);
  if (!isValid(wall) || wall.getFullYear() <= 1990 || wall.getFullYear() >= 2200) return null;
  return new Date(
    +new TZDate(
      wall.getFullYear(),
      wall.getMonth(),
      wall.getDate(),
      wall.getHours(),
      wall.getMinutes(),
      wall.getSeconds(),
      zone,
    ),
  );
}

function readers(zone: string): { readonly layout: string; readonly hasZone: boolean; readonly read: Reader }[] {
  return [
    {
      layout: "ISO 8601 with offset",
      hasZone: true,
      read: (text) => (ISO_ZONED.test(text) ? new Date(text) : null),
    },
    {
      layout: "seconds since 1970",
      hasZone: true,
      read: (text) => (EPOCH.test(text) ? new Date(Number(text) * (text.length > 10 ? 1 : 1000)) : null),
    },
    {
      layout: "ISO 8601",
      hasZone: false,
      read: (text) =>
        ISO_LOCAL.test(text) ? inZone(text.slice(0, 16).replace("T", " "), "yyyy-MM-dd HH:mm", zone) : null,
    },
    ...LAYOUTS.map((layout) => ({ layout, hasZone: false, read: (text: string) => inZone(text, layout, zone) })),
  ];
}

/** A number as loggers write it, with a point or a comma and perhaps its unit behind it. */
function figureOf(text: string): number | null {
  const plain = text.replace(/\s|°|C$|F$|pH/gi, "").replace(",", ".");
  return /^[+-]?\d+(\.\d+)?$/.test(plain) ? Number(plain) : null;
}

const unitOf = (head: string, values: readonly number[]): LoggerColumn["unit"] => {
  if (/\bph\b/i.test(head)) return "pH";
  if (/°?\s*f\b|fahrenheit/i.test(head)) return "°F";
  // Without a word in its head, a column whose middle lies over 45 is in Fahrenheit: no drum stands that hot.
  const middle = values.toSorted((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0;
  return /°?\s*c\b|celsius/i.test(head) || middle <= 45 ? "°C" : "°F";
};

type Stamp = (row: readonly string[]) => string;

/** A logger writes its times at the left; no further is looked for them. */
const STAMPS_WITHIN = 8;
/** Columns of a table that is no logger's. */
const MOST_COLUMNS = 200;
/** No time is longer than this, and none is without a figure: what can't be one is not tried in every way. */
const MAY_BE_TIME = /^(?=.*\d).{8,40}$/;

/** Date and time in one column, or in two beside each other. */
function stamps(width: number): Stamp[] {
  const columns = Array.from({ length: Math.min(width, STAMPS_WITHIN) }, (_, column) => column);
  const cell = (row: readonly string[], column: number) => row[column]?.trim() ?? "";
  return [
    ...columns.map(
      (column): Stamp =>
        (row) =>
          cell(row, column),
    ),
    ...columns.map(
      (column): Stamp =>
        (row) =>
          `${cell(row, column)} ${cell(row, column + 1)}`.trim(),
    ),
  ];
}

/** A make and a serial number may stand above the table: its head is the line above the first that has a time. */
const PREAMBLE_MOST = 30;
const headRow = (rows: readonly (readonly string[])[], stamp: Stamp, read: Reader): number =>
  rows.slice(0, PREAMBLE_MOST).findIndex((row) => MAY_BE_TIME.test(stamp(row)) && read(stamp(row)) !== null) - 1;

/** So many lines tell what a file is parted by. */
const TELLING_LINES = 120;
const firstLines = (text: string): string => text.split("\n", TELLING_LINES).join("\n");

/**
 * Reads a logger's file, whatever it is parted by and however it writes its times. A long one takes seconds: servers read it in a thread apart.
 * @param zone time zone of its times where they have none of their own
 */
export function readLoggerFile(text: string, zone: string): LoggerFile {
  // A line of prose above the table leads a guess astray: what it is parted by is what makes times and figures of it.
  const first = firstLines(text);
  for (const delimiter of DELIMITERS)
    if (readRows(parseCsv(first, "utf-8", delimiter).rows, zone).columns.length > 0)
      return readRows(parseCsv(text, "utf-8", delimiter).rows, zone);
  return NOT_READ;
}

interface Found {
  readonly layout: string;
  readonly hasZone: boolean;
  readonly head: number;
  /** The moment of a row; null where it has none. */
  readonly timeOf: (row: readonly string[]) => Date | null;
  readonly isTime: (column: number) => boolean;
}

/** Where a table's times stand and how they are written. */
function findTimes(rows: readonly (readonly string[])[], zone: string): Found | null {
  const width = Math.max(0, ...rows.slice(0, PREAMBLE_MOST + 20).map((row) => row.length));
  if (width > MOST_COLUMNS) return null;
  for (const stamp of stamps(width))
    for (const { layout, hasZone, read } of readers(zone)) {
      const head = headRow(rows, stamp, read);
      if (head < 0) continue;
      const sample = rows.slice(head + 1, head + 41);
      if (sample.filter((row) => read(stamp(row)) !== null).length < READS * sample.length) continue;
      return {
        layout,
        hasZone,
        head,
        timeOf: (row) => read(stamp(row)),
        isTime: (column) => sample.every((row) => (row[column] ?? "").trim() === stamp(row)),
      };
    }
  return null;
}

const UNREAD_SHOWN = 20;
const COLUMN_FILLED = 0.3;

function readRows(rows: readonly (readonly string[])[], zone: string): LoggerFile {
  const found = findTimes(rows, zone);
  if (!found) return NOT_READ;
  const { layout, hasZone, head, timeOf, isTime } = found;
  const body = rows.slice(head + 1);
  const named = rows[head]!.map((name, column) => ({
    column,
    head: name,
    name: name.trim() || `column ${column + 1}`,
  }));
  const filled = named
    .filter(({ column }) => !isTime(column))
    .map((column) => ({ ...column, figures: [] as LoggerFigure[], values: [] as number[] }));
  const unread: { line: number; text: string }[] = [];
  for (const [index, row] of body.entries()) {
    const at = timeOf(row);
    if (!at && unread.length < UNREAD_SHOWN)
      unread.push({ line: head + 2 + index, text: row.join(" · ").slice(0, 80) });
    for (const { column, figures, values } of filled) {
      const value = figureOf(row[column] ?? "");
      if (value === null) continue;
      values.push(value);
      if (at) figures.push({ at, value });
    }
  }
  const columns = filled.filter(({ values }) => values.length > 0 && values.length >= COLUMN_FILLED * body.length);
  return {
    layout,
    hasZone,
    columns: columns.map(({ name, head: word, values }) => ({
      name,
      unit: unitOf(word, values),
      figures: values.length,
    })),
    // Of two columns with one name the first is meant.
    figures: new Map(filled.toReversed().map(({ name, figures }) => [name, figures])),
    unread,
  };
}
