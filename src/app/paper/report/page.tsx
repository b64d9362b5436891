import type { Metadata } from "next";
import { isPaper, paperNamed } from "@/core/paper/papers";
import { NotUsed } from "@/ui/frame/NotUsed";
import { ReportPaper } from "@/ui/paper/ReportPaper";
import { openView } from "../../openPage";

export const metadata: Metadata = { title: "Season’s report on paper" };

export default async function ReportPaperPage({
  searchParams,
}: {
  readonly searchParams: Promise<{ from?: string; to?: string; paper?: string }>;
}) {
  const query = await searchParams;
  const { from, to, paper } = query;
  const view = await openView("report", { from: from || undefined, to: to || undefined });
  return view ? (
    <>
      <NotUsed query={{ ...query }} fits={{ paper: isPaper, from: true, to: true }} />
      <ReportPaper view={view} paper={paperNamed(paper)} />
    </>
  ) : null;
}
