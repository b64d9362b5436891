import type { Metadata } from "next";
import { NotUsed } from "@/ui/frame/NotUsed";
import { TraceChoice } from "@/ui/trace/TraceChoice";
import { TraceScreen } from "@/ui/trace/TraceScreen";
import { openView } from "../openPage";

export const metadata: Metadata = { title: "Trace" };

// What is asked for and is not there is the page that says so.
const FITS = { plot: true, batch: true, lot: true };

export default async function TracePage({
  searchParams,
}: {
  readonly searchParams: Promise<{ plot?: string; batch?: string; lot?: string }>;
}) {
  const query = await searchParams;
  const { plot, batch, lot } = query;
  const says = <NotUsed query={query} fits={FITS} />;
  if (plot === undefined && batch === undefined && lot === undefined) {
    const [field, ledger] = await Promise.all([openView("field"), openView("ledger")]);
    return field && ledger ? (
      <>
        {says}
        <TraceChoice field={field} ledger={ledger} />
      </>
    ) : null;
  }
  const trace = await openView("trace", { plotId: plot, batchId: batch, lotId: lot });
  return trace ? (
    <>
      {says}
      <TraceScreen trace={trace} />
    </>
  ) : null;
}
