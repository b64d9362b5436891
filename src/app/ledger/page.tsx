import type { Metadata } from "next";
import { readLedger } from "@/services/ledger/readLedger";
import { LedgerScreen } from "@/ui/ledger/LedgerScreen";
import { openPage } from "../openPage";

export const metadata: Metadata = { title: "Ledger" };

export default async function LedgerPage() {
  const page = await openPage(({ ctx, farm }) => readLedger(ctx, farm));
  return page.type === "open" ? <LedgerScreen view={page.value} /> : null;
}
