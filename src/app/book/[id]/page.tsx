import type { Metadata } from "next";
import { NotUsed } from "@/ui/frame/NotUsed";
import { METHODS } from "@/core/book";
import { INGREDIENT_IDS } from "@/core/book/ingredients";
import { MethodScreen } from "@/ui/book/MethodScreen";
import { openView } from "../../openPage";

interface MethodRouteProps {
  readonly params: Promise<{ id: string }>;
  readonly searchParams: Promise<{ scale?: string; limit?: string; amount?: string }>;
}

export async function generateMetadata({ params }: MethodRouteProps): Promise<Metadata> {
  const { id } = await params;
  return { title: METHODS.find((method) => method.id === id)?.name ?? "Method" };
}

export default async function MethodRoute({ params, searchParams }: MethodRouteProps) {
  const [{ id }, query] = await Promise.all([params, searchParams]);
  const { scale, limit, amount } = query;
  const view = await openView("method", { id });
  if (!view) return null;
  const ingredient = INGREDIENT_IDS.find((known) => known === limit);
  const start = ingredient && Number(amount) > 0 ? { ingredient, amount: Number(amount) } : null;
  return (
    <>
      <NotUsed
        query={query}
        fits={{
          scale: true,
          limit: ingredient !== undefined,
          amount: (typed) => Number(typed) > 0,
        }}
      />
      <MethodScreen
        key={id}
        view={view.book}
        record={view.record}
        starts={view.starts}
        methodId={id}
        scaleFrom={scale === undefined ? null : { limit: start }}
      />
    </>
  );
}
