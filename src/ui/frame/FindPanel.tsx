"use client";
import { Dialog } from "radix-ui";
import { useFocusBack } from "../kit/useFocusBack";
import { FindLine, type FindLineProps } from "./FindLine";

interface FindPanelProps extends Omit<FindLineProps, "onGone"> {
  readonly onClose: () => void;
}

/** The panel of the line that finds and works out; what was typed stays with who opened it. */
export const FindPanel = ({ onClose, ...line }: FindPanelProps) => {
  const { onOpenAutoFocus, onCloseAutoFocus } = useFocusBack();
  return (
    <Dialog.Root open onOpenChange={(next) => !next && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-board/45" />
        <Dialog.Content
          aria-describedby={undefined}
          onOpenAutoFocus={(event) => {
            onOpenAutoFocus(event);
            // Whoever opens it wants to type.
            (event.currentTarget as HTMLElement).querySelector("input")?.focus();
          }}
          onCloseAutoFocus={onCloseAutoFocus}
          className="fixed inset-x-0 top-0 z-50 max-h-dvh overflow-y-auto border-b-[3px] border-ink bg-chalk p-4 text-ink outline-none md:left-1/2 md:w-[640px] md:-translate-x-1/2 md:border-x-[3px] md:p-6"
        >
          <Dialog.Title className="text-xl">Find or calculate</Dialog.Title>
          <FindLine {...line} onGone={onClose} />
          <Dialog.Close className="mt-4 min-h-11 rounded-[5px] border-[1.5px] border-ink px-4 font-semibold hover:bg-marigold-wash">
            Close
          </Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
};
