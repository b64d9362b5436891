import type { Metadata } from "next";
import { TraceScreen } from "@/ui/trace/TraceScreen";
import { openView } from "../openPage";

export const metadata: Metadata = { title: "Trace" };

export default async function TracePage({
  searchParams,
}: {
  readonly searchParams: Promise<{ plot?: string; batch?: string; lot?: string }>;
}) {
  const { plot, batch, lot } = await searchParams;
  const trace = await openView("trace", { plotId: plot, batchId: batch, lotId: lot });
  return trace ? <TraceScreen trace={trace} /> : null;
}
