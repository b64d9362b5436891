import { METHODS, findRecipe } from "@/core/book";
import { TASK_WORDS, taskWordOf } from "@/core/tend/taskWords";
import { LABEL_LANGUAGES } from "./labelLanguage";
import { sayOnCard, sayTask } from "./taskLanguage";

describe("a task on a card", () => {
  it.each(TASK_WORDS)("%s is said in each language, in few words", (does) => {
    for (const language of LABEL_LANGUAGES) {
      expect(sayTask(does, language)).not.toBe("");
      expect(sayTask(does, language).length).toBeLessThan(60);
    }
    // Of these three none is English.
    for (const language of ["es", "fr", "pt"] as const) expect(sayTask(does, language)).not.toBe(sayTask(does, "en"));
  });
  it("has a word of its own for whatever the book asks to tend, in every method and school", () => {
    for (const { id, schools } of METHODS)
      for (const school of schools)
        for (const { act } of findRecipe(id, school.id).tending) expect(taskWordOf(act)).not.toBe("tend");
  });
  it("says late in the language of whoever goes", () => {
    expect(LABEL_LANGUAGES.map((language) => sayOnCard("late", language))).toEqual([
      "late",
      "atrasado",
      "en retard",
      "atrasado",
    ]);
  });
});
