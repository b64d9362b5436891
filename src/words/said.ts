/**
 * What the farm says of figures, verdicts, waters, strengths, in the words of its language; English is the first. Whoever says something asks here, so that
 * another language is a folder beside `en/` with the same names, chosen in this file.
 */
export * from "./en";
