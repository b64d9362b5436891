import type { Complaint, Language } from "./codes";
import { COMPLAINTS as EN } from "./en/complaints";
import type { Speech } from "./speech";

const LANGUAGES = { en: EN } as const;

/** A limit as its field's name says what it is in: litres in `volumeL`, kilograms in `takenKg`, degrees in `airC` or `celsius`. */
function sayLimit(path: string, say: Speech): (value: number) => string {
  const name =
    path
      .replace(/\/\d+$/, "")
      .split("/")
      .at(-1) ?? "";
  if ((/[a-z]L$/.test(name) && !name.endsWith("PerL")) || name === "litres") return say.volume;
  if (/Kg$|^kg$/.test(name)) return say.mass;
  if (/[a-z]C$|^celsius$/.test(name)) return say.temperature;
  return (value) => say.number(value, 9);
}

/** @param path JSON pointer of the field */
export const sayComplaint = (complaint: Complaint, path: string, say: Speech, language: Language = "en"): string =>
  (LANGUAGES[language][complaint.code] as (of: Complaint, limit: (value: number) => string) => string)(
    complaint,
    sayLimit(path, say),
  );
