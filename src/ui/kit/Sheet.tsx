"use client";
import { X } from "lucide-react";
import { Dialog } from "radix-ui";
import type { ReactNode } from "react";
import { useFocusBack } from "./useFocusBack";

interface SheetProps {
  readonly open: boolean;
  readonly onClose: () => void;
  readonly title: string;
  readonly lead?: ReactNode;
  readonly children: ReactNode;
  /** Stays in sight below what scrolls: the act itself. */
  readonly foot?: ReactNode;
  readonly wide?: boolean;
}

/** A panel that slides over its place; the whole screen on a phone. */
export const Sheet = ({ open, onClose, title, lead, children, foot, wide = false }: SheetProps) => (
  <Dialog.Root open={open} onOpenChange={(next) => !next && onClose()}>
    <Dialog.Portal>
      <Dialog.Overlay className="fixed inset-0 z-40 bg-board/45" />
      <Dialog.Content
        aria-describedby={undefined}
        {...useFocusBack()}
        className={`sheet-in fixed inset-y-0 right-0 z-50 flex w-full flex-col border-l-[3px] border-ink bg-chalk text-ink outline-none ${wide ? "md:w-[860px]" : "md:w-[480px]"}`}
      >
        <header className="flex items-start gap-3 border-b border-line px-5 pb-3 pt-4">
          <div className="min-w-0 flex-1">
            <Dialog.Title className="text-2xl">{title}</Dialog.Title>
            {lead ? <div className="mt-1 text-soft">{lead}</div> : null}
          </div>
          <Dialog.Close
            className="grid size-11 shrink-0 place-items-center rounded-[5px] hover:bg-limewash"
            aria-label="Close"
          >
            <X aria-hidden />
          </Dialog.Close>
        </header>
        <div className="min-h-0 flex-1 overflow-y-auto px-5 py-4">{children}</div>
        {foot ? <footer className="border-t border-line bg-limewash px-5 py-3">{foot}</footer> : null}
      </Dialog.Content>
    </Dialog.Portal>
  </Dialog.Root>
);
