import { readLoggerFile, type LoggerFile } from "./loggerFile";

const iso = (file: LoggerFile, column: string) =>
  file.figures.get(column)!.map(({ at, value }) => [at.toISOString(), value]);

describe("a logger's file", () => {
  it.each([
    [
      "ISO times with an offset",
      "time,temp C\n2031-06-01T08:00:00+02:00,21.5\n2031-06-01T09:00:00+02:00,21.7\n",
      "2031-06-01T06:00:00.000Z",
    ],
    ["seconds since 1970", "epoch,temp C\n1938060000,21.5\n1938063600,21.7\n", "2031-06-01T06:00:00.000Z"],
    [
      "days first with dots, parted by semicolons, comma for the point",
      "Zeit;Temp °C\n01.06.2031 08:00;21,5\n01.06.2031 09:00;21,7\n",
      "2031-06-01T06:00:00.000Z",
    ],
    [
      "days first with strokes",
      "Date,temp C\n13/06/2031 08:00,21.5\n13/06/2031 09:00,21.7\n",
      "2031-06-13T06:00:00.000Z",
    ],
    [
      "months first with a twelve-hour clock",
      "Date\ttemp C\n06/13/2031 08:00:00 AM\t21.5\n06/13/2031 09:00:00 PM\t21.7\n",
      "2031-06-13T06:00:00.000Z",
    ],
    [
      "date and time in two columns",
      "Date,Time,temp C\n2031-06-01,08:00,21.5\n2031-06-01,09:00,21.7\n",
      "2031-06-01T06:00:00.000Z",
    ],
    [
      "prose above a table parted by semicolons",
      "Made by a logger, no. 4\nTime;temp C\n01.06.2031 08:00;21.5\n01.06.2031 09:00;21.7\n",
      "2031-06-01T06:00:00.000Z",
    ],
    [
      "a preamble above the table",
      "Logger 12\nSerial,4711\n\nNo,Time,temp C,humidity\n1,2031-06-01 08:00:00,21.5,80\n2,2031-06-01 09:00:00,21.7,81\n",
      "2031-06-01T06:00:00.000Z",
    ],
  ])("is read with %s", (_what, text, first) => {
    const file = readLoggerFile(text, "Europe/Berlin");
    const column = file.columns.find(({ name }) => name.startsWith("temp") || name.startsWith("Temp"))!;
    expect(column).toMatchObject({ unit: "°C", figures: 2 });
    expect(iso(file, column.name)[0]).toEqual([first, 21.5]);
  });
  it("knows Fahrenheit and pH by their heads, and Fahrenheit by its size", () => {
    const file = readLoggerFile("t,temp F,pH,water\n2031-06-01 08:00,70,4.2,71\n2031-06-01 09:00,71,4.1,72\n", "UTC");
    expect(file.columns.map(({ name, unit }) => [name, unit])).toEqual([
      ["temp F", "°F"],
      ["pH", "pH"],
      ["water", "°F"],
    ]);
  });
  it("keeps to the zone's own clock over a change of the hour", () => {
    const file = readLoggerFile("t,c\n2031-03-29 12:00,10\n2031-03-31 12:00,11\n", "Europe/Berlin");
    expect(iso(file, "c").map(([at]) => at)).toEqual(["2031-03-29T11:00:00.000Z", "2031-03-31T10:00:00.000Z"]);
  });
  it("names the lines it can't read and goes on", () => {
    const rows = Array.from({ length: 20 }, (_, hour) => `2031-06-01 ${String(hour).padStart(2, "0")}:00,20`);
    const file = readLoggerFile(`t,c\n${rows.join("\n")}\nbattery low,\n`, "UTC");
    expect(file.figures.get("c")).toHaveLength(20);
    expect(file.unread).toEqual([{ line: 22, text: "battery low · " }]);
  });
  it("finds nothing where there is no time", () =>
    expect(readLoggerFile("a,b\n1,2\n3,4\n", "UTC")).toMatchObject({ layout: null, columns: [] }));
});

it("gives up at once on a table that no logger writes, however wide", () => {
  const wide = Array.from({ length: 60 }, () => Array(2000).fill("x").join(",")).join("\n");
  expect(readLoggerFile(wide, "UTC")).toMatchObject({ layout: null, columns: [] });
  const cells = Array.from({ length: 60 }, () => Array(190).fill("12 or so").join(";")).join("\n");
  expect(readLoggerFile(cells, "UTC")).toMatchObject({ layout: null, columns: [] });
});
