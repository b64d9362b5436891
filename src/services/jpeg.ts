import "server-only";
import { refuseAt } from "./refusal";

/** What a phone's picture comes to once it was made small; more than this was not. */
const MOST_BYTES = 2_000_000;
const isJpeg = (bytes: Buffer) => bytes.length > 4 && bytes[0] === 0xff && bytes[1] === 0xd8 && bytes[2] === 0xff;

/** @throws {Refusal} for what is no photograph, or too large */
export function requireJpeg(jpeg: Buffer): void {
  if (!isJpeg(jpeg)) throw refuseAt("bad-request", "/photo", "This is no photograph.");
  if (jpeg.length > MOST_BYTES) throw refuseAt("bad-request", "/photo", "This picture is too large.");
}
