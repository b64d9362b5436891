import { REFUSALS as EN } from "./en/refusals";
import type { Language } from "./codes";
import type { Speech } from "./speech";

/** Every code that a refusal has; a language that lacks one does not compile. */
export type RefusalCode = keyof typeof EN;
/** The figures that explain a refusal, SI. */
export type RefusalParams<C extends RefusalCode> =
  Parameters<(typeof EN)[C]> extends [infer P, ...unknown[]] ? P : object;
type Words = { readonly [C in RefusalCode]: (params: RefusalParams<C>, say: Speech) => string | readonly string[] };

/** By language; English is the first. */
const LANGUAGES: Record<Language, Words> = { en: EN as Words };

export interface Refused<C extends RefusalCode = RefusalCode> {
  readonly code: C;
  readonly params: RefusalParams<C>;
  /** JSON pointers of the fields at fault, in the order of the words for them. */
  readonly paths: readonly string[];
}

/** What is refused, in a person's words: for the whole, and at each field. */
export function sayRefusal(
  { code, params, paths }: Refused,
  say: Speech,
  language: Language = "en",
): { readonly message: string; readonly fields: Readonly<Record<string, string>> } {
  const said = (LANGUAGES[language][code] as (of: unknown, say: Speech) => string | readonly string[])(params, say);
  const [message = "", ...texts] = typeof said === "string" ? [said] : said;
  return { message, fields: Object.fromEntries(paths.map((path, index) => [path, texts[index] ?? message])) };
}
