import type { Metadata } from "next";
import { FieldScreen } from "@/ui/field/FieldScreen";
import { openView } from "../openPage";

export const metadata: Metadata = { title: "Field" };

export default async function FieldPage({ searchParams }: { readonly searchParams: Promise<{ store?: string }> }) {
  const { store } = await searchParams;
  const view = await openView("field");
  return view ? <FieldScreen view={view} storeId={store === undefined ? null : Number(store)} /> : null;
}
