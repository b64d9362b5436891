"use client";
import { LABEL_LANGUAGES, LANGUAGE_NAMES, type LabelLanguage } from "@/words/labelLanguage";
import { SelectField } from "../kit/fields";
import { usePaperQuery } from "./usePaperQuery";

/** In which language a paper speaks; it stands in its address. */
export const LanguageField = ({ language }: { readonly language: LabelLanguage }) => {
  const to = usePaperQuery();
  return (
    <SelectField label="Language" value={language} onChange={(event) => to("language", event.target.value)}>
      {LABEL_LANGUAGES.map((one) => (
        <option key={one} value={one}>
          {LANGUAGE_NAMES[one]}
        </option>
      ))}
    </SelectField>
  );
};
