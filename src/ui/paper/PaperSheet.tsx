import type { ReactNode } from "react";
import type { Paper } from "@/core/paper/papers";

/** How a page is fed to the printer: the very size of the paper, margins of our own. */
export const PageRule = ({ paper }: { readonly paper: Paper }) => (
  <style>{`@page { size: ${paper.widthMm}mm ${paper.heightMm}mm; margin: 0 }`}</style>
);

/** One page, drawn on the screen as large as it is printed. */
export const Page = ({ paper, children }: { readonly paper: Paper; readonly children: ReactNode }) => (
  <section
    data-paper={paper.id}
    className="paper mx-auto mb-6 overflow-hidden bg-white text-black shadow-[0_0_0_1px_var(--line)] print:mb-0 print:shadow-none"
    style={{ width: `${paper.widthMm}mm`, height: `${paper.heightMm - 0.2}mm`, padding: paper.roll ? "3mm" : "12mm" }}
  >
    {children}
  </section>
);

/** A list that may run over several pages; the browser breaks it, heads are not parted from what follows. */
export const LongPage = ({ paper, children }: { readonly paper: Paper; readonly children: ReactNode }) => (
  <>
    <style>{`@page { size: ${paper.widthMm}mm ${paper.heightMm}mm; margin: 14mm 12mm }`}</style>
    <section
      data-paper={paper.id}
      className="paper mx-auto bg-white px-[12mm] py-[14mm] text-black shadow-[0_0_0_1px_var(--line)] print:p-0 print:shadow-none"
      style={{ maxWidth: `${paper.widthMm}mm`, fontSize: "4.4mm" }}
    >
      {children}
    </section>
  </>
);
