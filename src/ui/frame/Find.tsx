"use client";
import { Search } from "lucide-react";
import { useState } from "react";
import type { FindLineProps } from "./FindLine";
import { useKey } from "./keys";
import { HEAD_BUTTON } from "./menuButtons";
import { panel } from "../kit/later";

// All units and the collection of methods come with the first question, and not with every page.
const FindPanel = panel(() => import("./FindPanel").then((module) => module.FindPanel));

/** A line that finds anything by its name and works out any figure, opened from anywhere by its key. */
export const Find = ({ units, own = [] }: Pick<FindLineProps, "units"> & Partial<Pick<FindLineProps, "own">>) => {
  const [open, setOpen] = useState(false);
  const [text, setText] = useState("");

  useKey("/", () => setOpen(true));
  useKey("w", () => setOpen(true));

  return (
    <>
      <button type="button" aria-haspopup="dialog" onClick={() => setOpen(true)} className={HEAD_BUTTON}>
        <Search aria-hidden className="size-5" />
        <span>
          Find<span className="max-lg:sr-only"> or calculate</span>
        </span>
      </button>
      {open ? <FindPanel units={units} own={own} text={text} onType={setText} onClose={() => setOpen(false)} /> : null}
    </>
  );
};
