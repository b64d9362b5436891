import type { Page } from "@playwright/test";
import { getDocument } from "pdfjs-dist/legacy/build/pdf.mjs";

const MM_PER_POINT = 25.4 / 72;

/** A run of letters as it stands on the paper, mm from its upper left corner. */
export interface PrintedRun {
  readonly text: string;
  readonly leftMm: number;
  readonly rightMm: number;
  readonly topMm: number;
  readonly bottomMm: number;
}

export interface PrintedPage {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly runs: readonly PrintedRun[];
  /** All of its text in the order of printing, blanks made one. */
  readonly text: string;
}

/** The page as a printer gets it, read back from its PDF. */
export async function printed(page: Page): Promise<PrintedPage[]> {
  const bytes = await page.pdf({ preferCSSPageSize: true, printBackground: true });
  const pdf = await getDocument({ data: new Uint8Array(bytes), verbosity: 0 }).promise;
  try {
    return await Promise.all(
      Array.from({ length: pdf.numPages }, async (_, index): Promise<PrintedPage> => {
        const sheet = await pdf.getPage(index + 1);
        const [, , width = 0, height = 0] = sheet.view;
        const { items } = await sheet.getTextContent();
        const runs = items.flatMap((item): PrintedRun[] => {
          if (!("str" in item) || item.str.trim() === "") return [];
          const [, , , , left, baseline] = item.transform as number[];
          return [
            {
              text: item.str,
              leftMm: left! * MM_PER_POINT,
              rightMm: (left! + item.width) * MM_PER_POINT,
              topMm: (height - baseline! - item.height) * MM_PER_POINT,
              bottomMm: (height - baseline!) * MM_PER_POINT,
            },
          ];
        });
        const text = items
          .map((item) => ("str" in item ? item.str + (item.hasEOL ? " " : "") : ""))
          .join("")
          .replaceAll(/\s+/g, " ")
          .trim();
        return {
          widthMm: Math.round(width * MM_PER_POINT),
          heightMm: Math.round(height * MM_PER_POINT),
          runs,
          text,
        };
      }),
    );
  } finally {
    await pdf.destroy();
  }
}
