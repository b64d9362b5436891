"use client";
import { useRouter } from "next/navigation";
import { createContext, useContext, useState, type ReactNode } from "react";
import type { BatchBrief, BatchPage } from "@/services/batch";
import { useBatchAct } from "../acts/batch";
import { useRefreshing } from "../frame/useRefreshing";
import { panel } from "../kit/later";
import { told } from "../kit/told";
import { focusFor, type Correcting } from "./logFocus";

const AddSheet = panel(() => import("./AddSheet").then((module) => module.AddSheet));
const CloseSheet = panel(() => import("./CloseSheet").then((module) => module.CloseSheet));
const LogSheet = panel(() => import("./LogSheet").then((module) => module.LogSheet));
const TakeSheet = panel(() => import("./TakeSheet").then((module) => module.TakeSheet));
const WhatIfSheet = panel(() => import("./WhatIfSheet").then((module) => module.WhatIfSheet));

/** The sheet that lies over a batch's page. */
export type OpenSheet =
  "log" | "close" | "add" | "what-if" | { readonly take: "batch" | number; readonly heldL: number } | null;

/** What can be done from anywhere on a batch's page. */
interface Desk {
  readonly open: (sheet: OpenSheet) => void;
  readonly correct: (entry: Correcting) => void;
  readonly strike: (entryId: number) => void;
}
const DeskContext = createContext<Desk | null>(null);

export function useBatchDesk(): Desk {
  const desk = useContext(DeskContext);
  if (!desk) throw new Error("No BatchDesk above this component.");
  return desk;
}

/** What the sheets want to know of the page under them. */
export interface DeskPage extends Pick<BatchPage, "vesselName" | "nowMs" | "farm" | "later"> {
  readonly batch: BatchBrief;
  readonly meter: BatchPage["progress"]["meter"];
}

interface SheetsProps {
  readonly page: DeskPage;
  readonly sheet: OpenSheet;
  /** The entry that a new one is to stand for. */
  readonly correcting: Correcting | null;
  readonly onClose: () => void;
}

/** What can be done to a batch from its page: log, ask what if, add, take of it, end it. */
const Sheets = ({ page, sheet, correcting, onClose }: SheetsProps) => {
  const router = useRouter();
  const { batch, farm, vesselName, nowMs } = page;
  const shared = { batch, vesselName, units: farm.units, clock: farm, nowMs, onClose };
  if (sheet === null) return null;
  if (sheet === "log")
    return <LogSheet {...shared} focus={focusFor(batch)} meter={page.meter} {...(correcting ? { correcting } : {})} />;
  if (sheet === "what-if") return <WhatIfSheet {...shared} />;
  if (sheet === "add") return <AddSheet {...shared} suggested={page.later.filter(({ done }) => !done)} />;
  if (sheet === "close")
    return (
      <CloseSheet
        {...shared}
        onClose={() => {
          onClose();
          router.refresh();
        }}
      />
    );
  return batch.closing.makes ? (
    <TakeSheet
      from={sheet.take === "batch" ? { batchId: batch.id } : { storeId: sheet.take }}
      name={batch.shortName}
      makes={batch.closing.makes}
      heldL={sheet.heldL}
      units={farm.units}
      onClose={onClose}
    />
  ) : null;
};

/** A batch's page as something that can be worked at: what is drawn in it is made with the page, its buttons reach the sheets through here. */
export const BatchDesk = ({
  page,
  startWith,
  children,
}: {
  readonly page: DeskPage;
  readonly startWith: OpenSheet;
  readonly children: ReactNode;
}) => {
  useRefreshing();
  const [sheet, setSheet] = useState<OpenSheet>(startWith);
  const [correcting, setCorrecting] = useState<Correcting | null>(null);
  const { run } = useBatchAct("logEntry", "toast");
  const batchId = page.batch.id;
  const strike = async (entryId: number) => {
    if (await run({ batchId, correctsId: entryId, entry: { kind: "withdrawn" } }))
      told("Crossed out. It stays in the log.");
  };
  const desk: Desk = {
    open: setSheet,
    correct: (entry) => {
      setCorrecting(entry);
      setSheet("log");
    },
    strike: (entryId) => void strike(entryId),
  };
  return (
    <DeskContext.Provider value={desk}>
      {children}
      <Sheets
        page={page}
        sheet={sheet}
        correcting={correcting}
        onClose={() => {
          setSheet(null);
          setCorrecting(null);
        }}
      />
    </DeskContext.Provider>
  );
};
