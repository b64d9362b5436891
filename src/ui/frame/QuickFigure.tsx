"use client";
import { Calculator } from "lucide-react";
import dynamic from "next/dynamic";
import { Dialog } from "radix-ui";
import { useState } from "react";
import type { FigureLineProps } from "./FigureLine";
import { useKey } from "./keys";

// The book and every unit of it come with the first figure, and not with every page.
const FigureLine = dynamic(() => import("./FigureLine").then((module) => module.FigureLine), {
  loading: () => <div className="mt-2 min-h-14" role="status" aria-label="A moment" />,
});

/** A line for a figure, opened from anywhere by its key. */
export const QuickFigure = ({
  units,
  own = [],
}: Pick<FigureLineProps, "units"> & Partial<Pick<FigureLineProps, "own">>) => {
  const [open, setOpen] = useState(false);
  const [text, setText] = useState("");

  useKey("w", () => setOpen(true));

  return (
    <Dialog.Root open={open} onOpenChange={setOpen}>
      <Dialog.Trigger className="flex min-h-11 items-center gap-2 rounded-[5px] px-2 hover:bg-board-ink/15">
        <Calculator aria-hidden className="size-5" />
        <span className="max-sm:sr-only">Work out</span>
      </Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-board/45" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed inset-x-0 top-0 z-50 max-h-dvh overflow-y-auto border-b-[3px] border-ink bg-chalk p-4 text-ink outline-none md:left-1/2 md:w-[640px] md:-translate-x-1/2 md:border-x-[3px] md:p-6"
        >
          <Dialog.Title className="text-xl">Work out</Dialog.Title>
          <FigureLine units={units} own={own} text={text} onType={setText} />
          <Dialog.Close className="mt-4 min-h-11 rounded-[5px] border-[1.5px] border-ink px-4 font-semibold hover:bg-marigold-wash">
            Close
          </Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
};
