import { useRouter } from "next/navigation";
import type { BatchPage } from "@/services/batch";
import { AddSheet } from "./AddSheet";
import { CloseSheet } from "./CloseSheet";
import { focusFor, LogSheet, type Correcting } from "./LogSheet";
import { TakeSheet } from "./TakeSheet";
import { WhatIfSheet } from "./WhatIfSheet";

/** The sheet that lies over a batch's page. */
export type OpenSheet =
  "log" | "close" | "add" | "what-if" | { readonly take: "batch" | number; readonly heldL: number } | null;

interface BatchSheetsProps {
  readonly page: BatchPage;
  readonly sheet: OpenSheet;
  /** The entry that a new one is to stand for. */
  readonly correcting: Correcting | null;
  readonly onClose: () => void;
}

/** What can be done to a batch from its page: log, ask what if, add, take of it, end it. */
export const BatchSheets = ({ page, sheet, correcting, onClose }: BatchSheetsProps) => {
  const router = useRouter();
  const { batch, farm } = page;
  return (
    <>
      {sheet === "log" ? (
        <LogSheet
          batch={batch}
          vesselName={page.vesselName}
          focus={focusFor(batch)}
          meter={page.progress.meter}
          clock={farm}
          units={farm.units}
          nowMs={page.nowMs}
          {...(correcting ? { correcting } : {})}
          onClose={onClose}
        />
      ) : null}
      {sheet === "what-if" ? (
        <WhatIfSheet
          batch={batch}
          vesselName={page.vesselName}
          nowMs={page.nowMs}
          units={farm.units}
          clock={farm}
          onClose={onClose}
        />
      ) : null}
      {sheet === "add" ? (
        <AddSheet
          batchId={batch.id}
          vesselName={page.vesselName}
          units={farm.units}
          suggested={page.later.filter(({ done }) => !done)}
          onClose={onClose}
        />
      ) : null}
      {sheet !== null && typeof sheet === "object" && batch.closing.makes ? (
        <TakeSheet
          from={sheet.take === "batch" ? { batchId: batch.id } : { storeId: sheet.take }}
          name={batch.shortName}
          makes={batch.closing.makes}
          heldL={sheet.heldL}
          units={farm.units}
          onClose={onClose}
        />
      ) : null}
      {sheet === "close" ? (
        <CloseSheet
          batch={batch}
          vesselName={page.vesselName}
          units={farm.units}
          onClose={() => {
            onClose();
            router.refresh();
          }}
        />
      ) : null}
    </>
  );
};
