"use client";
import { Printer } from "lucide-react";
import { PAPERS, type PaperId } from "@/core/paper/papers";
import { Button } from "../kit/Button";
import { SelectField } from "../kit/fields";
import { usePaperQuery } from "./usePaperQuery";

/** Above the page on the screen, never on paper: which paper, and the printer. */
export const PaperBar = ({
  title,
  paper,
  rolls = false,
  children,
}: {
  readonly title: string;
  readonly paper: PaperId;
  /** Whether labels of a roll make sense. */
  readonly rolls?: boolean;
  readonly children?: React.ReactNode;
}) => {
  const to = usePaperQuery();
  return (
    <div className="mb-5 flex flex-wrap items-end gap-3 print:hidden">
      <h1 className="mr-auto text-2xl">{title}</h1>
      {children}
      <div className="w-56">
        <SelectField label="Paper" value={paper} onChange={(event) => to("paper", event.target.value)}>
          {PAPERS.filter(({ roll }) => rolls || !roll).map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </SelectField>
      </div>
      <Button variant="strong" onClick={() => window.print()}>
        <Printer aria-hidden className="size-5" /> Print
      </Button>
    </div>
  );
};
