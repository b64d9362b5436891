import type { Metadata } from "next";
import { NotUsed } from "@/ui/frame/NotUsed";
import { isPaper, paperNamed } from "@/core/paper/papers";
import { ApplicationsPaper } from "@/ui/paper/ApplicationsPaper";
import { openView } from "../../openPage";

export const metadata: Metadata = { title: "Application record" };

interface Query {
  readonly searchParams: Promise<{ readonly from?: string; readonly to?: string; readonly paper?: string }>;
}

export default async function ApplicationsPaperPage({ searchParams }: Query) {
  const query = await searchParams;
  const { from, to, paper } = query;
  // A day that was emptied is a day not asked for.
  const view = await openView("applicationRecord", { from: from || undefined, to: to || undefined });
  return view ? (
    <>
      <NotUsed query={{ ...query }} fits={{ from: true, to: true, paper: isPaper }} />
      <ApplicationsPaper view={view} paper={paperNamed(paper)} />
    </>
  ) : null;
}
