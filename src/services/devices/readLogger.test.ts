import { previewLogger } from "./importLogger";
import { readLogger } from "./readLogger";

describe("a logger's file", () => {
  it("is told its span and its gaps before anything is written", async () => {
    const text = "t,c\n2031-06-01 00:00,10\n2031-06-01 01:00,10\n2031-06-02 01:00,11\n2031-06-02 02:00,11\n";
    const look = await previewLogger(text, "UTC", null);
    expect([look.fromMs, look.toMs]).toEqual([Date.parse("2031-06-01T00:00Z"), Date.parse("2031-06-02T02:00Z")]);
    expect(look.gaps).toEqual([{ fromMs: Date.parse("2031-06-01T01:00Z"), toMs: Date.parse("2031-06-02T01:00Z") }]);
  });
  it("lets others have their turn while it reads a long file", async () => {
    const start = Date.parse("2031-01-01T00:00Z");
    const rows = Array.from({ length: 20_000 }, (_, quarter) => {
      const at = new Date(start + quarter * 900_000).toISOString();
      return `${at.slice(8, 10)}.${at.slice(5, 7)}.${at.slice(0, 4)} ${at.slice(11, 16)};${18 + (quarter % 30) / 10}`;
    });
    let turns = 0;
    const others = setInterval(() => (turns += 1), 0);
    const file = await readLogger(`Time;temp C\n${rows.join("\n")}\n`, "UTC");
    clearInterval(others);
    expect(file.figures.get("temp C")).toHaveLength(20_000);
    expect(turns).toBeGreaterThan(20);
  });
  it("that takes longer than anybody waits is given up, and its thread ends", async () => {
    const rows = Array.from(
      { length: 60_000 },
      (_, minute) => `${new Date(Date.UTC(2031, 0, 1, 0, minute)).toISOString().slice(0, 16).replace("T", " ")},20`,
    );
    await expect(readLogger(`t,c\n${rows.join("\n")}\n`, "UTC", 1)).rejects.toMatchObject({ code: "file-too-slow" });
  });
});
