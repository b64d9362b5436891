import "server-only";
import QRCode from "qrcode";

/** The squares of a code, row by row; dark is true. */
export interface Squares {
  readonly size: number;
  readonly dark: readonly boolean[];
}

/** A code with a quarter of its squares to spare, since drums get wet and scratched. */
export function squaresOf(text: string): Squares {
  const { modules } = QRCode.create(text, { errorCorrectionLevel: "Q" });
  return { size: modules.size, dark: Array.from(modules.data, (bit) => bit === 1) };
}
