import type { WithoutReason } from "@/core/apply/allocate";
import type { Language } from "./codes";
import { WITHOUT as EN } from "./en/allocation";
import type { Speech } from "./speech";

const LANGUAGES: Record<Language, typeof EN> = { en: EN };

/** Why a plot goes without. */
export const sayWithout = (reason: WithoutReason, say: Speech, language: Language = "en"): string =>
  (LANGUAGES[language][reason.code] as (of: WithoutReason, say: Speech) => string)(reason, say);
