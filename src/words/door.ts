import type { DoorCode, Language } from "./codes";
import { DOOR as EN } from "./en/door";

const LANGUAGES = { en: EN } as const;

/** @param megabytes what is read at once, where it is about that */
export const sayDoor = (code: DoorCode, megabytes = 1, language: Language = "en"): string =>
  LANGUAGES[language][code](megabytes);
