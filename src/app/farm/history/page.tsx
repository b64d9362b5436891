import type { Metadata } from "next";
import { HistoryScreen } from "@/ui/farm/HistoryScreen";
import { openView } from "../../openPage";

export const metadata: Metadata = { title: "History" };

interface Query {
  readonly searchParams: Promise<{
    readonly part?: string;
    readonly person?: string;
    readonly day?: string;
    readonly before?: string;
    readonly skip?: string;
  }>;
}

export default async function HistoryPage({ searchParams }: Query) {
  const query = await searchParams;
  const view = await openView("history", query);
  const { part = "", person = "", day = "" } = query;
  return view ? <HistoryScreen view={view} filter={{ part, person, day }} /> : null;
}
