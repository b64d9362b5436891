import { findNodeAtLocation, parseTree, printParseErrorCode, type Node, type ParseError } from "jsonc-parser";
import type { RecipeDocument } from "@/core/recipe/document";
import type { RecipeFlag } from "@/core/recipe/recipeFlag";
import { reviewRecipe } from "@/core/recipe/review";
import { DomainError } from "@/core/errors";
import { fieldErrors } from "../fieldErrors";
import validators from "../generated/recipe.cjs";
import { sayDomain } from "@/words/domain";

/** One thing wrong with a recipe file, with the line it stands on. */
export interface RecipeComplaint {
  readonly line: number;
  /** JSON pointer, "" for the whole. */
  readonly path: string;
  readonly text: string;
}

export type ReadRecipe =
  | { readonly ok: true; readonly document: RecipeDocument; readonly unconfirmed: readonly RecipeFlag[] }
  | { readonly ok: false; readonly complaints: readonly RecipeComplaint[] };

/** A recipe is a page or two; beyond this it is something else. */
export const MOST_CHARACTERS = 200_000;

const lineAt = (text: string, offset: number): number => text.slice(0, offset).split("\n").length;

const segmentsOf = (pointer: string): (string | number)[] =>
  pointer
    .split("/")
    .slice(1)
    .map((part) => part.replaceAll("~1", "/").replaceAll("~0", "~"))
    .map((part) => (/^\d+$/.test(part) ? Number(part) : part));

/** The line of a value; of the nearest thing round it where the value itself is missing. */
function lineOf(text: string, root: Node, pointer: string): number {
  const path = segmentsOf(pointer);
  for (let length = path.length; length >= 0; length -= 1) {
    const node = findNodeAtLocation(root, path.slice(0, length));
    // A property's own line, not that of a value that begins further down.
    if (node) return lineAt(text, node.parent?.type === "property" ? node.parent.offset : node.offset);
  }
  return 1;
}

const SYNTAX_WORDS: Readonly<Record<string, string>> = {
  InvalidSymbol: "this is no word of JSON",
  InvalidNumberFormat: "this is no number",
  PropertyNameExpected: "a name in quotes belongs here",
  ValueExpected: "a value is missing",
  ColonExpected: "a colon is missing",
  CommaExpected: "a comma is missing",
  CloseBraceExpected: "a closing brace } is missing",
  CloseBracketExpected: "a closing bracket ] is missing",
  EndOfFileExpected: "something stands after the end",
  UnexpectedEndOfString: "a quote is not closed",
  InvalidCommentToken: "comments are not part of JSON",
};

/**
 * Reads a recipe as JSON: its syntax, its schema, then its sense; each complaint with the line that is wrong.
 * Figures far from what growers use don't refuse it: they come back as unconfirmed.
 */
export function readRecipe(text: string): ReadRecipe {
  if (text.trim() === "") return { ok: false, complaints: [{ line: 1, path: "", text: "There is nothing in it." }] };
  if (text.length > MOST_CHARACTERS)
    return { ok: false, complaints: [{ line: 1, path: "", text: "This is far longer than any recipe." }] };
  const errors: ParseError[] = [];
  const root = parseTree(text, errors, { disallowComments: true, allowTrailingComma: false });
  if (!root || errors.length > 0) {
    const first = errors[0];
    const word = first ? SYNTAX_WORDS[printParseErrorCode(first.error)] : undefined;
    return {
      ok: false,
      complaints: [
        { line: lineAt(text, first?.offset ?? 0), path: "", text: `Not JSON: ${word ?? "it can't be read"}.` },
      ],
    };
  }
  const value: unknown = JSON.parse(text);
  const wrong = fieldErrors(validators["recipe"]!, value);
  const complain = (path: string, said: string): RecipeComplaint => ({
    line: lineOf(text, root, path),
    path,
    text: said,
  });
  if (wrong)
    return {
      ok: false,
      complaints: Object.entries(wrong)
        .map(([path, said]) => complain(path, `${path === "" ? "The whole" : path}: ${said}`))
        .toSorted((a, b) => a.line - b.line),
    };
  const document = value as RecipeDocument;
  try {
    const flags = reviewRecipe(document);
    const refused = flags.filter(({ weight }) => weight === "refused");
    if (refused.length > 0)
      return { ok: false, complaints: refused.map(({ path, text: said }) => complain(path, said)) };
    return { ok: true, document, unconfirmed: flags };
  } catch (error) {
    if (error instanceof DomainError) return { ok: false, complaints: [complain(error.path, sayDomain(error))] };
    throw error;
  }
}
