"use client";
import { Search } from "lucide-react";
import dynamic from "next/dynamic";
import { Dialog } from "radix-ui";
import { useState } from "react";
import type { FindLineProps } from "./FindLine";
import { useKey } from "./keys";

// All units and the collection of methods come with the first question, and not with every page.
const FindLine = dynamic(() => import("./FindLine").then((module) => module.FindLine), {
  loading: () => <div className="mt-2 min-h-14" role="status" aria-label="Loading" />,
});

/** A line that finds anything by its name and works out any figure, opened from anywhere by its key. */
export const Find = ({ units, own = [] }: Pick<FindLineProps, "units"> & Partial<Pick<FindLineProps, "own">>) => {
  const [open, setOpen] = useState(false);
  const [text, setText] = useState("");

  useKey("/", () => setOpen(true));
  useKey("w", () => setOpen(true));

  return (
    <Dialog.Root open={open} onOpenChange={setOpen}>
      <Dialog.Trigger className="flex min-h-11 items-center gap-2 rounded-[5px] px-2 hover:bg-board-ink/15 max-lg:min-w-11 max-lg:justify-center">
        <Search aria-hidden className="size-5" />
        <span className="max-lg:sr-only">Find or calculate</span>
      </Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-board/45" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed inset-x-0 top-0 z-50 max-h-dvh overflow-y-auto border-b-[3px] border-ink bg-chalk p-4 text-ink outline-none md:left-1/2 md:w-[640px] md:-translate-x-1/2 md:border-x-[3px] md:p-6"
        >
          <Dialog.Title className="text-xl">Find or calculate</Dialog.Title>
          <FindLine units={units} own={own} text={text} onType={setText} onGone={() => setOpen(false)} />
          <Dialog.Close className="mt-4 min-h-11 rounded-[5px] border-[1.5px] border-ink px-4 font-semibold hover:bg-marigold-wash">
            Close
          </Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
};
