import { listAllLots } from "@/data/shed/lots";
import { findFarm } from "@/data/farm/farm";
import { key, refusalOf, TestFarm } from "@/testing/scratch";
import { countStock } from "../shed/changeLot";
import { receiveLot } from "../shed/receiveLot";
import { decodeText, parseCsv, writeCsv } from "@/formats/csv/decode";
import { exportFile } from "./exportFile";
import { importFile, previewFile, MOST_ROWS } from "./importFile";

let farm: TestFarm;
beforeEach(async () => (farm = await TestFarm.make()));
afterEach(() => farm.scratch.drop());

type Kind = "lots" | "stock" | "ingredients";
const preview = (text: string, kind: Kind = "lots") => previewFile(farm.context(), kind, parseCsv(text));
const put = (text: string, kind: Kind = "lots", requestKey = key()) =>
  importFile(farm.context(), { requestKey, kind, text });
const out = async (kind: Kind) => exportFile(farm.context(), (await findFarm(farm.scratch.db))!, kind);
const onHand = async () =>
  Object.fromEntries((await listAllLots(farm.scratch.db)).map(({ id, onHand: held }) => [id, held]));
const HEAD = "ingredient,amount,unit,received_on,cost";

describe("a file of lots", () => {
  it("is looked at row by row, and nothing is written by looking", async () => {
    const seen = await preview(
      `${HEAD}\nMolasses,5,L,2031-03-01,12\nstardust,1,kg,2031-03-01,\nBrown sugar,lots,kg,2031-03-01,1\nBrown sugar,2,kg,2031-03-21,1\nBrown sugar,2,,1.3.2031,x`,
    );
    expect(seen.counts).toEqual({ new: 1, changed: 0, same: 0, wrong: 4 });
    expect(seen.shown.map(({ line, faults }) => [line, Object.keys(faults)])).toEqual([
      [2, []],
      [3, ["ingredient"]],
      [4, ["amount"]],
      [5, ["received_on"]],
      [6, ["unit", "cost"]],
    ]);
    expect(await listAllLots(farm.scratch.db)).toEqual([]);
  });
  it("reads semicolons, decimal commas, a mark, other heads and other units alike", async () => {
    const text =
      "\uFEFFItem;Qty;Units;Date;Price;Colour\r\nMolasses;2,5;L;1.3.2031;12,50;brown\r\nWorm castings;4;lb;2.3.2031;;\r\n";
    expect((await preview(text)).layout).toEqual({ delimiter: ";", encoding: "utf-8", unknown: ["Colour"] });
    await put(text);
    expect(
      (await listAllLots(farm.scratch.db)).map(({ ingredientId, onHand: held, costMinor, receivedOn }) => [
        ingredientId,
        held,
        costMinor,
        receivedOn,
      ]),
    ).toEqual([
      ["molasses", 2.5, 1250, "2031-03-01"],
      ["castings", 1.814, 0, "2031-03-02"],
    ]);
  });
  it("is all or nothing", async () => {
    const text = `${HEAD}\nMolasses,5,L,2031-03-01,12\nMolasses,5,L,2031-02-30,12`;
    expect(await refusalOf(put(text))).toMatchObject({
      code: "rows-wrong",
      message: "1 of 2 rows are wrong, the first in line 3: nothing was written.",
    });
    expect(await listAllLots(farm.scratch.db)).toEqual([]);
  });
  it("knows its own double, in the file and on the shelf", async () => {
    const line = "Molasses,5,L,2031-03-01,12";
    expect((await preview(`${HEAD}\n${line}\n${line}`)).shown[1]!.faults).toEqual({
      ingredient: { code: "again", line: 2, of: "lot" },
    });
    await put(`${HEAD}\n${line}`);
    expect((await preview(`${HEAD}\n${line}`)).counts).toMatchObject({ same: 1, new: 0 });
    expect(await put(`${HEAD}\n${line}`)).toEqual({ written: 0, same: 1 });
  });
  it("goes in once by its key, however often it is sent", async () => {
    const requestKey = key();
    const text = `${HEAD}\nMolasses,5,L,2031-03-01,12`;
    expect([await put(text, "lots", requestKey), await put(text, "lots", requestKey)]).toEqual([
      { written: 1, same: 0 },
      { written: 1, same: 0 },
    ]);
    expect(await listAllLots(farm.scratch.db)).toHaveLength(1);
  });
  it("does not rewrite a lot that is there", async () => {
    await put(`${HEAD}\nMolasses,5,L,2031-03-01,12`);
    expect(
      (await preview(`lot,${HEAD}\n1,Molasses,6,L,2031-03-01,12\n9,Molasses,6,L,2031-03-01,12`)).shown.map(
        ({ faults }) => Object.keys(faults),
      ),
    ).toEqual([["lot"], ["lot"]]);
  });
  it.each([
    ["", "file-empty"],
    ["ingredient,amount\nMolasses,5", "no-column"],
    [HEAD, "no-rows"],
    [`${HEAD}\n"Molasses,5,L,2031-03-01,12\nBran,5,kg,2031-03-01,1`, "quote-open"],
    [`${HEAD}\n${"Molasses,5,L,2031-03-01,12\n".repeat(MOST_ROWS + 1)}`, "too-many-rows"],
  ])("is refused whole: %#", async (text, code) => {
    const seen = await preview(text);
    expect(seen.refused).toMatchObject({ code });
    expect(await refusalOf(put(text))).toMatchObject({ code: "file-unreadable" });
  });
  it("brings ten thousand rows in at once, telling how far it is", async () => {
    const rows = Array.from(
      { length: 10_000 },
      (_, index) =>
        `Molasses,${1 + (index % 50)},L,2031-0${1 + (index % 2)}-${String(1 + (index % 28)).padStart(2, "0")},${index}`,
    );
    const told: number[] = [];
    await importFile(
      { ...farm.context(), onProgress: (done) => told.push(done) },
      { requestKey: key(), kind: "lots", text: [HEAD, ...rows].join("\n") },
    );
    expect(told.at(-1)).toBe(10_000);
    expect(told.length).toBeGreaterThan(10);
    const [[sum]] = (await farm.scratch.pool.query(
      "select count(*) as n, sum(on_hand) as held from lot_balance",
    )) as unknown as [[{ n: number; held: string }]];
    expect(Number(sum.n)).toBe(10_000);
    expect(Number(sum.held)).toBe(rows.reduce((all, _row, index) => all + 1 + (index % 50), 0));
  });
});

describe("out and in again", () => {
  const receive = (lot: object) =>
    receiveLot(farm.context(), {
      requestKey: key(),
      ingredientId: "molasses",
      amount: 5,
      origin: "bought",
      receivedOn: "2031-03-01",
      cost: 12.34,
      ...lot,
    });
  it.each(["lots", "stock", "ingredients"] as const)("changes nothing: %s", async (kind) => {
    await receive({ note: '=1+1, as written; "so"', place: "shelf, left" });
    await receive({ ingredientId: "castings", amount: 12.345, expiresOn: "2031-09-01" });
    await put('name,counts_as,density,keeps,season\nBeet syrup,Molasses,"1,35",90,autumn winter', "ingredients");
    const seen = await preview(await out(kind), kind);
    expect(seen).toMatchObject({ refused: null, counts: { new: 0, changed: 0, wrong: 0 } });
    expect(seen.counts.same).toBeGreaterThan(0);
  });
  it("undoes a count by the file that was taken before it", async () => {
    await receive({});
    await receive({ ingredientId: "brown-sugar", amount: 3 });
    const before = await onHand();
    const file = await out("stock");
    await countStock(farm.context(), {
      requestKey: key(),
      lines: [
        { lotId: 1, counted: 0.5 },
        { lotId: 2, counted: 9 },
      ],
    });
    expect(await onHand()).not.toEqual(before);
    expect(await put(file, "stock")).toEqual({ written: 2, same: 0 });
    expect(await onHand()).toEqual(before);
  });
  it("says of stock what would become of each lot, and what is wrong", async () => {
    await receive({});
    const seen = await preview(
      "lot,ingredient,on_hand,unit\n1,Molasses,4,L\n1,Molasses,3,L\n7,Molasses,3,L\n,Molasses,3,L\n1,Bran,3,kg",
      "stock",
    );
    expect(seen.shown[0]).toMatchObject({ what: "changed", would: { code: "counted", lot: 1, before: 5, after: 4 } });
    expect(seen.counts.wrong).toBe(4);
  });
  it("says of ingredients what is wrong with them", async () => {
    await put("name,counts_as\nBeet syrup,Molasses", "ingredients");
    const seen = await preview(
      "name,counts_as,density,keeps,season\nMolasses,Honey,,,\nBeet syrup,Honey,,,\nBeet syrup,Molasses,,,\nDew,Stardust,90,half,monsoon\n,,,,\nNew one,Honey,,,spring",
      "ingredients",
    );
    expect(seen.shown.map(({ what, faults }) => [what, Object.keys(faults)])).toEqual([
      ["wrong", ["name"]],
      ["wrong", ["name"]],
      ["wrong", ["name"]],
      ["wrong", ["counts_as", "density_kg_per_l", "keeps_days", "season"]],
      ["new", []],
    ]);
  });
});

describe("a file's letters", () => {
  it("are read in UTF-8, UTF-16 and the Western code page", () => {
    const text = "Café";
    expect(decodeText(new TextEncoder().encode(text))).toEqual({ text, encoding: "utf-8" });
    expect(decodeText(new Uint8Array([0x43, 0x61, 0x66, 0xe9]))).toEqual({ text, encoding: "windows-1252" });
    expect(decodeText(new Uint8Array([0xff, 0xfe, 0x43, 0, 0x61, 0, 0x66, 0, 0xe9, 0]))).toMatchObject({
      text,
      encoding: "utf-16",
    });
    expect(decodeText(new Uint8Array([0xfe, 0xff, 0, 0x43, 0, 0x61, 0, 0x66, 0, 0xe9]))).toMatchObject({
      text,
      encoding: "utf-16",
    });
  });
  it("never run as a formula in a spreadsheet", () => {
    expect(writeCsv(["note"], [["=HYPERLINK(1)"], ["+1"], ["plain"]])).toBe(
      '\uFEFFnote\r\n"\'=HYPERLINK(1)"\r\n"\'+1"\r\nplain\r\n',
    );
  });
});
