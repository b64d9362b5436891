import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { METHODS } from "@/core/book";
import { INGREDIENT_IDS } from "@/core/book/ingredients";
import { readPeakStarts } from "@/services/ferment/peakStarts";
import { readRecord } from "@/services/ferment/record";
import { readBook } from "@/services/book/readBook";
import { MethodScreen } from "@/ui/book/MethodScreen";
import { openPage } from "../../openPage";

interface MethodRouteProps {
  readonly params: Promise<{ id: string }>;
  readonly searchParams: Promise<{ scale?: string; limit?: string; amount?: string }>;
}

export async function generateMetadata({ params }: MethodRouteProps): Promise<Metadata> {
  const { id } = await params;
  return { title: METHODS.find((method) => method.id === id)?.name ?? "Method" };
}

export default async function MethodRoute({ params, searchParams }: MethodRouteProps) {
  const [{ id }, { scale, limit, amount }] = await Promise.all([params, searchParams]);
  if (!METHODS.some((method) => method.id === id)) notFound();
  const page = await openPage(async ({ ctx, farm }) => ({
    book: await readBook(ctx, farm, null),
    record: await readRecord(ctx, farm, id),
    starts: await readPeakStarts(ctx, farm, id),
  }));
  if (page.type !== "open") return null;
  const ingredient = INGREDIENT_IDS.find((known) => known === limit);
  const start = ingredient && Number(amount) > 0 ? { ingredient, amount: Number(amount) } : null;
  return (
    <MethodScreen
      key={id}
      view={page.value.book}
      record={page.value.record}
      starts={page.value.starts}
      methodId={id}
      scaleFrom={scale === undefined ? null : { limit: start }}
    />
  );
}
