import "server-only";
import { METHODS } from "@/core/book";
import { object } from "@/contracts/parts";
import { readBook, readPeakStarts } from "../book";
import { readRecord } from "../ferment";
import { view } from "../view";

const DAY = { type: "string", maxLength: 20 } as const;
const METHOD = object(["id"], { id: { type: "string", maxLength: 60 } });

export const BOOK_VIEWS = {
  /** With a day: when each method should be started to be ready on it. */
  book: view({ name: "book", schema: object([], { day: DAY }), may: "viewer" }, ({ ctx, farm }, { day }) =>
    readBook(ctx, farm, day ?? null),
  ),
  method: view({ name: "method", schema: METHOD, may: "viewer" }, async ({ ctx, farm }, { id }) =>
    METHODS.some((method) => method.id === id)
      ? {
          book: await readBook(ctx, farm, null),
          record: await readRecord(ctx, farm, id),
          starts: await readPeakStarts(ctx, farm, id),
        }
      : null,
  ),
} as const;
