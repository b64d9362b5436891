import type { BookView } from "@/services/book";

/** What the shed holds, by ingredient. */
export const shedMap = (view: Pick<BookView, "shelf">): ReadonlyMap<string, number> =>
  new Map(view.shelf.map(({ ingredientId, onHand }) => [ingredientId, onHand]));
