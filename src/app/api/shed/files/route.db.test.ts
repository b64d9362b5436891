import { findFarm } from "@/data/farm/farm";
import { listAllLots } from "@/data/shed/lots";
import { key, TestFarm } from "@/testing/scratch";
import { openFrame } from "../../../session";
import { GET, POST } from "./route";

jest.mock("../../../session", () => ({ openFrame: jest.fn() }));
jest.mock("next/cache", () => ({ revalidatePath: jest.fn() }));
const frame = openFrame as unknown as jest.Mock;

let farm: TestFarm;
beforeEach(async () => {
  farm = await TestFarm.make();
  frame.mockResolvedValue({ ctx: farm.context(), farm: await findFarm(farm.scratch.db), people: [] });
});
afterEach(() => farm.scratch.drop());

const ROWS = "ingredient,amount,unit,received_on,cost\nMolasses,5,L,2031-03-01,12\nBrown sugar,2,kg,2031-03-01,3";
const address = (query: string) => `http://farm.test/api/shed/files?${query}`;
const post = (query: string, body: string | Uint8Array, headers: Record<string, string> = {}) =>
  POST(
    new Request(address(query), {
      method: "POST",
      body: body as BodyInit,
      headers: { host: "127.0.0.1:3200", ...headers },
    }),
  );
const linesOf = async (answer: Response) =>
  (await answer.text())
    .split("\n")
    .filter(Boolean)
    .map(
      (line) =>
        JSON.parse(line) as {
          type: string;
          value?: Record<string, unknown>;
          done?: number;
          error?: { message: string };
        },
    );

describe("a file sent in", () => {
  it("is looked at without a trace, then written with its progress, once by its key", async () => {
    const [preview] = await linesOf(await post("kind=lots", ROWS));
    expect(preview).toMatchObject({ type: "preview", value: { rows: 2, counts: { new: 2, wrong: 0 } } });
    expect(await listAllLots(farm.scratch.db)).toEqual([]);
    const query = `kind=lots&write=1&key=${key()}`;
    const written = await linesOf(await post(query, ROWS));
    expect(written.map(({ type }) => type)).toEqual(["progress", "progress", "written"]);
    expect(written.at(-1)!.value).toEqual({ written: 2, same: 0 });
    expect((await linesOf(await post(query, ROWS))).at(-1)!.value).toEqual({ written: 2, same: 0 });
    expect(await listAllLots(farm.scratch.db)).toHaveLength(2);
  });
  it("is refused with the row that is wrong, and nothing of it stays", async () => {
    const [failed] = (
      await linesOf(await post(`kind=lots&write=1&key=${key()}`, `${ROWS}\nStardust,1,kg,2031-03-01,1`))
    ).toReversed();
    expect(failed).toMatchObject({
      type: "failed",
      error: { message: "1 of 3 rows are wrong, the first in line 4: nothing was written." },
    });
    expect(await listAllLots(farm.scratch.db)).toEqual([]);
  });
  it("needs a key that is one", async () => {
    const [failed] = await linesOf(await post("kind=lots&write=1&key=again", ROWS));
    expect(failed).toMatchObject({ type: "failed" });
    expect(await listAllLots(farm.scratch.db)).toEqual([]);
  });
  it("is read in the Western code page where it is no UTF-8", async () => {
    const bytes = Uint8Array.from(Buffer.from(`${ROWS}\nHoney,1,kg,2031-03-01,café`, "latin1"));
    const [preview] = await linesOf(await post("kind=lots", bytes));
    expect(preview!.value).toMatchObject({ counts: { new: 2, wrong: 1 } });
    expect(JSON.stringify(preview!.value)).toContain("café");
    expect(JSON.stringify(preview!.value)).toContain("windows-1252");
  });
  it.each([
    ["kind=secrets", 404],
    ["", 404],
  ])("is not taken for a table that there is none of: %p", async (query, status) =>
    expect((await post(query, ROWS)).status).toBe(status),
  );
  it("is not taken from another site's page, nor where it is too large", async () => {
    expect((await post("kind=lots", ROWS, { "sec-fetch-site": "cross-site" })).status).toBe(403);
    const own = await post("kind=lots", ROWS, { "sec-fetch-site": "same-origin" });
    expect(own.status).toBe(200);
    await own.text();
    const large = await post("kind=lots", "x".repeat(8_000_001));
    // As the screen shows it: words, and no JSON.
    expect([large.status, await large.text()]).toEqual([413, "More than 8 MB at once is not read. Send it in parts."]);
  });
  it("finds nobody at home before the farm is set up", async () => {
    frame.mockResolvedValue(null);
    expect((await post("kind=lots", ROWS)).status).toBe(404);
    expect((await GET(new Request(address("kind=lots")))).status).toBe(404);
  });
});

describe("a file taken out", () => {
  it("has the farm's name on it, and reads in again as what is there", async () => {
    await post(`kind=lots&write=1&key=${key()}`, ROWS).then((answer) => answer.text());
    for (const kind of ["lots", "stock"]) {
      const answer = await GET(new Request(address(`kind=${kind}`)));
      expect(answer.headers.get("content-disposition")).toBe(`attachment; filename="test-field-${kind}.csv"`);
      const [preview] = await linesOf(await post(`kind=${kind}`, await answer.text()));
      expect(preview!.value).toMatchObject({ counts: { new: 0, changed: 0, same: 2, wrong: 0 } });
    }
    expect((await GET(new Request(address("kind=secrets")))).status).toBe(404);
  });
});
