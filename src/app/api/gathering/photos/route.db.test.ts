import { findFarm } from "@/data/farm";
import { addForagePlace } from "@/services/gather/gather";
import { key, TestFarm } from "@/testing/scratch";
import { openFrame } from "../../../session";
import { GET, POST } from "./route";

jest.mock("../../../session", () => ({ openFrame: jest.fn() }));
const frame = openFrame as unknown as jest.Mock;

let farm: TestFarm;
let placeId: number;
beforeAll(async () => {
  farm = await TestFarm.make();
  frame.mockResolvedValue({ ctx: farm.context(), farm: await findFarm(farm.scratch.db), people: [] });
  ({ placeId } = await addForagePlace(farm.context(), {
    requestKey: key(),
    name: "Oaks",
    kind: "leaf-mould",
    restD: 90,
  }));
});
afterAll(() => farm.scratch.drop());

const JPEG = Uint8Array.from([0xff, 0xd8, 0xff, 0xe0, 9, 9, 9]);
const post = (query: string, body: Uint8Array, headers: Record<string, string> = {}) =>
  POST(
    new Request(`http://farm.test/api/gathering/photos?${query}`, {
      method: "POST",
      body: body as BodyInit,
      headers: { host: "127.0.0.1:3200", ...headers },
    }),
  );
const get = (query: string) => GET(new Request(`http://farm.test/api/gathering/photos?${query}`));

describe("a place's picture", () => {
  it("comes back as it was sent, and as a picture only", async () => {
    const { photoId } = (await (await post(`place=${placeId}`, JPEG)).json()) as { photoId: number };
    const answer = await get(`id=${photoId}`);
    expect(answer.headers.get("content-type")).toBe("image/jpeg");
    expect(answer.headers.get("x-content-type-options")).toBe("nosniff");
    expect(new Uint8Array(await answer.arrayBuffer())).toEqual(JPEG);
  });
  it.each([
    ["what is no picture", () => post(`place=${placeId}`, new TextEncoder().encode("<svg onload=alert(1)>")), 422],
    ["a place that there is none of", () => post("place=99", JPEG), 422],
    ["no place at all", () => post("place=here", JPEG), 404],
    ["another site's page", () => post(`place=${placeId}`, JPEG, { "sec-fetch-site": "cross-site" }), 403],
    ["a number that no picture has", () => get("id=99"), 404],
    ["no number", () => get("id=../../etc/passwd"), 404],
  ])("is refused for %s", async (_what, ask, status) => expect((await ask()).status).toBe(status));
});
