/** A sheet or label that a printer is fed with, mm. */
export interface Paper {
  readonly id: "a4" | "letter" | "roll-100x150" | "roll-62x100" | "roll-57x32";
  readonly name: string;
  readonly widthMm: number;
  readonly heightMm: number;
  /** A single label of a roll; otherwise a sheet that holds several. */
  readonly roll: boolean;
}

/** ISO 216 and ANSI/ASME Y14.1 sheets, and label sizes that common roll printers take. */
export const PAPERS: readonly Paper[] = [
  { id: "a4", name: "A4", widthMm: 210, heightMm: 297, roll: false },
  { id: "letter", name: "Letter", widthMm: 215.9, heightMm: 279.4, roll: false },
  { id: "roll-100x150", name: "Label roll 100 × 150 mm", widthMm: 100, heightMm: 150, roll: true },
  { id: "roll-62x100", name: "Label roll 62 × 100 mm", widthMm: 62, heightMm: 100, roll: true },
  { id: "roll-57x32", name: "Label roll 57 × 32 mm", widthMm: 57, heightMm: 32, roll: true },
];
export type PaperId = Paper["id"];

/** Whether an address names a paper that there is. */
export const isPaper = (id: string): boolean => PAPERS.some((paper) => paper.id === id);

/** The paper that an address names, A4 where it names none. */
export const paperNamed = (id: string | undefined): Paper => PAPERS.find((paper) => paper.id === id) ?? PAPERS[0]!;

/** What a label on a sheet measures at least, mm, so that a drum's label is read from a stride away. */
const LABEL_MM = { width: 95, height: 130 } as const;
const MARGIN_MM = 8;

/**
 * Labels that go on one piece of paper, in columns and rows.
 * @example labelsPerPage(paperNamed("a4")); // { columns: 2, rows: 2 }
 */
export function labelsPerPage({ widthMm, heightMm, roll }: Paper): { readonly columns: number; readonly rows: number } {
  if (roll) return { columns: 1, rows: 1 };
  const fit = (room: number, label: number) => Math.max(1, Math.floor((room - 2 * MARGIN_MM) / label));
  return { columns: fit(widthMm, LABEL_MM.width), rows: fit(heightMm, LABEL_MM.height) };
}
