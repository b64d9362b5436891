import type { DomainError } from "@/core/errors";
import { DOMAIN as EN } from "./en/domain";
import type { Language } from "./codes";
import { speechOf, type Speech } from "./speech";

const LANGUAGES = { en: EN } as const;

/** What makes no sense to the craft, in a person's words. */
export const sayDomain = (
  { code, params }: Pick<DomainError, "code" | "params">,
  say: Speech = speechOf("metric"),
  language: Language = "en",
): string => (LANGUAGES[language][code] as (of: unknown, say: Speech) => string)(params, say);
