import type { Metadata } from "next";
import { NotUsed } from "@/ui/frame/NotUsed";
import { BatchScreen } from "@/ui/batch/BatchScreen";
import { openView } from "../../openPage";

export const metadata: Metadata = { title: "Batch" };

interface BatchRouteProps {
  readonly params: Promise<{ id: string }>;
  readonly searchParams: Promise<{ open?: string; log?: string }>;
}

export default async function BatchRoute({ params, searchParams }: BatchRouteProps) {
  const [{ id }, query] = await Promise.all([params, searchParams]);
  const page = await openView("batch", { id });
  return page ? (
    <>
      <NotUsed query={query} fits={{ open: (sheet) => sheet === "add", log: (which) => which === "all" }} />
      <BatchScreen
        page={page}
        startWith={query.open === "add" && page.close === null ? "add" : null}
        isWholeLog={query.log === "all"}
      />
    </>
  ) : null;
}
