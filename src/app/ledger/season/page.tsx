import type { Metadata } from "next";
import { ReportScreen } from "@/ui/report/ReportScreen";
import { openView } from "../../openPage";

export const metadata: Metadata = { title: "Season’s report" };

export default async function ReportPage({
  searchParams,
}: {
  readonly searchParams: Promise<{ from?: string; to?: string }>;
}) {
  const { from, to } = await searchParams;
  const view = await openView("report", { from: from || undefined, to: to || undefined });
  return view ? <ReportScreen view={view} /> : null;
}
