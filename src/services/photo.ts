import "server-only";
import sharp from "sharp";
import { findPhoto } from "@/data/batch";
import type { Context } from "./context";
import { refuse } from "./refusal";

/** What a phone's picture comes to once it was made small, with room; as text for JSON it weighs a third more. */
const MOST_BYTES = 6_000_000;
/** A photograph as an act carries it: a JPEG in base64. */
export const PHOTO = {
  type: "string",
  minLength: 4,
  maxLength: (MOST_BYTES * 4) / 3,
  pattern: "^[A-Za-z0-9+/]+={0,2}$",
} as const;
/** What an act with a photograph may weigh. */
export const PHOTO_ACT_BYTES = 8_100_000;

const MOST_PIXELS = 40_000_000;
const EDGE_PX = 1600;
const QUALITY = 80;
const JPEG_HEAD = Buffer.from([0xff, 0xd8, 0xff]);

/**
 * A photograph drawn anew, upright, at most 1600 px wide or high: where and with what it was taken, and whatever else was in the file, is gone.
 * @throws {Refusal} at `/jpeg` for what is no photograph
 */
export async function cleanPhoto(base64: string): Promise<Buffer> {
  const given = Buffer.from(base64, "base64");
  const noPhotograph = refuse("no-photograph", {}, "/jpeg");
  if (!given.subarray(0, 3).equals(JPEG_HEAD)) throw noPhotograph;
  try {
    return await sharp(given, { limitInputPixels: MOST_PIXELS, failOn: "error" })
      .rotate()
      .resize({ width: EDGE_PX, height: EDGE_PX, fit: "inside", withoutEnlargement: true })
      .jpeg({ quality: QUALITY })
      .toBuffer();
  } catch {
    throw noPhotograph;
  }
}

/** A picture by its public id; null where there is none. */
export const readPhoto = (ctx: Context, publicId: string): Promise<Buffer | null> => findPhoto(ctx.pool, publicId);
