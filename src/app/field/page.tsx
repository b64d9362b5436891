import type { Metadata } from "next";
import { readField } from "@/services/field/readField";
import { FieldScreen } from "@/ui/field/FieldScreen";
import { openPage } from "../openPage";

export const metadata: Metadata = { title: "Field" };

export default async function FieldPage({ searchParams }: { readonly searchParams: Promise<{ store?: string }> }) {
  const { store } = await searchParams;
  const page = await openPage(({ ctx, farm }) => readField(ctx, farm));
  return page.type === "open" ? (
    <FieldScreen view={page.value} storeId={store === undefined ? null : Number(store)} />
  ) : null;
}
