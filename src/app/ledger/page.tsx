import type { Metadata } from "next";
import { LedgerScreen } from "@/ui/ledger/LedgerScreen";
import { openView } from "../openPage";

export const metadata: Metadata = { title: "Costs" };

export default async function LedgerPage() {
  const view = await openView("ledger");
  return view ? <LedgerScreen view={view} /> : null;
}
