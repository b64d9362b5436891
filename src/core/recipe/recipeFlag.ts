/** Something in a recipe that can't stand (`refused`), or that a person must confirm before it counts (`unconfirmed`). */
export interface RecipeFlag {
  readonly weight: "refused" | "unconfirmed";
  /** JSON pointer into the document. */
  readonly path: string;
  readonly text: string;
}
