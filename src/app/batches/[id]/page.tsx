import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { readBatch } from "@/services/batch/readBatch";
import { BatchScreen } from "@/ui/batch/BatchScreen";
import { openPage } from "../../openPage";

export const metadata: Metadata = { title: "Batch" };

interface BatchRouteProps {
  readonly params: Promise<{ id: string }>;
  readonly searchParams: Promise<{ open?: string }>;
}

export default async function BatchRoute({ params, searchParams }: BatchRouteProps) {
  const [{ id }, { open }] = await Promise.all([params, searchParams]);
  const page = await openPage(({ ctx, farm }) =>
    /^\d{1,15}$/.test(id) ? readBatch(ctx, farm, Number(id)) : Promise.resolve(null),
  );
  if (page.type !== "open") return null;
  if (!page.value) notFound();
  return <BatchScreen page={page.value} startWith={open === "add" && page.value.close === null ? "add" : null} />;
}
