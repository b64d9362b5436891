import sharp from "sharp";
import { findFarm } from "@/data/farm/farm";
import { addBatchPhoto } from "@/services/batch/photos";
import { addForagePlace } from "@/services/gather/gather";
import { addForagePhoto } from "@/services/gather/photos";
import { key, refusalOf, TestFarm } from "@/testing/scratch";
import { openFrame } from "../../../session";
import { GET } from "./route";

jest.mock("../../../session", () => ({ openFrame: jest.fn() }));

let farm: TestFarm;
let placeId: number;
beforeAll(async () => {
  farm = await TestFarm.make();
  (openFrame as unknown as jest.Mock).mockResolvedValue({
    ctx: farm.context(),
    farm: await findFarm(farm.scratch.db),
    people: [],
  });
  ({ placeId } = await addForagePlace(farm.context(), {
    requestKey: key(),
    name: "Oaks",
    kind: "leaf-mould",
    restD: 90,
  }));
});
afterAll(() => farm.scratch.drop());

const get = (id: string) => GET(new Request(`http://farm.test/api/photos/${id}`), { params: Promise.resolve({ id }) });
/** A photograph as a phone takes it: large, lying on its side, with where and with what it was taken. */
const fromPhone = () =>
  sharp({ create: { width: 3000, height: 1000, channels: 3, background: { r: 90, g: 120, b: 60 } } })
    .withExif({ IFD0: { Model: "Yard phone 9", Orientation: "6" }, IFD3: { GPSLatitude: "45/1 30/1 0/1" } })
    .withMetadata({ orientation: 6 })
    .jpeg()
    .toBuffer();
const keep = async (jpeg: Buffer, requestKey = key()) =>
  addForagePhoto(farm.context(), { requestKey, placeId, jpeg: jpeg.toString("base64") });

describe("a photograph", () => {
  it("comes back upright and small, with nothing of where or with what it was taken", async () => {
    const given = await fromPhone();
    expect((await sharp(given).metadata()).exif).toBeDefined();
    const { photoId } = await keep(given);
    const answer = await get(photoId);
    expect(answer.headers.get("content-type")).toBe("image/jpeg");
    expect(answer.headers.get("x-content-type-options")).toBe("nosniff");
    const { format, width, height, exif, orientation } = await sharp(await answer.arrayBuffer()).metadata();
    expect({ format, width, height, exif, orientation: orientation ?? 1 }).toEqual({
      format: "jpeg",
      width: 533,
      height: 1600,
      exif: undefined,
      orientation: 1,
    });
  });
  it("is kept once, however often it is sent, and its id tells nothing of another's", async () => {
    const requestKey = key();
    const given = await fromPhone();
    const first = await keep(given, requestKey);
    expect(await keep(given, requestKey)).toEqual(first);
    const other = await keep(given);
    for (const { photoId } of [first, other]) expect(photoId).toMatch(/^[0-9a-f]{32}$/);
    expect(other.photoId.slice(0, 8)).not.toBe(first.photoId.slice(0, 8));
  });
  it.each<[string, (jpeg: Buffer) => Buffer]>([
    ["what is no picture", () => Buffer.from("<svg onload=alert(1)>")],
    ["a picture's head with nothing behind it", () => Buffer.from([0xff, 0xd8, 0xff, 0xe0, 9, 9, 9])],
    ["half a picture", (jpeg) => jpeg.subarray(0, jpeg.length / 2)],
  ])("is refused where it is %s", async (_what, spoil) => {
    expect((await refusalOf(keep(spoil(await fromPhone())))).fields).toHaveProperty("/jpeg");
  });
  it("is refused for a place or a batch that is not there", async () => {
    const jpeg = (await fromPhone()).toString("base64");
    const ofPlace = () => addForagePhoto(farm.context(), { requestKey: key(), placeId: 99, jpeg });
    const ofBatch = () => addBatchPhoto(farm.context(), { requestKey: key(), batchId: 99, jpeg });
    for (const refused of [ofPlace, ofBatch]) expect((await refusalOf(refused())).code).toBe("not-found");
  });
  it.each(["99", "../../etc/passwd", "0".repeat(32)])("%s is none", async (id) =>
    expect((await get(id)).status).toBe(404),
  );
});
