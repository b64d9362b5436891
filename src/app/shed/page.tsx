import type { Metadata } from "next";
import { readItem } from "@/services/shed/readItem";
import { readShed } from "@/services/shed/readShed";
import { ShedScreen } from "@/ui/shed/ShedScreen";
import { openPage } from "../openPage";

export const metadata: Metadata = { title: "Shed" };

export default async function ShedPage({
  searchParams,
}: {
  readonly searchParams: Promise<{ item?: string; store?: string }>;
}) {
  const { item: itemId, store: storeId } = await searchParams;
  const page = await openPage(async ({ ctx, farm }) => {
    const view = await readShed(ctx, farm);
    return { view, item: itemId === undefined ? null : await readItem(ctx, itemId, view.today) };
  });
  return page.type === "open" ? (
    <ShedScreen
      key={storeId ?? ""}
      view={page.value.view}
      item={page.value.item}
      storeId={storeId === undefined ? null : Number(storeId)}
    />
  ) : null;
}
