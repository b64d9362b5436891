import type { Metadata } from "next";
import { ShedScreen } from "@/ui/shed/ShedScreen";
import { openView } from "../openPage";

export const metadata: Metadata = { title: "Shed" };

export default async function ShedPage({
  searchParams,
}: {
  readonly searchParams: Promise<{ item?: string; store?: string }>;
}) {
  const { item: itemId, store: storeId } = await searchParams;
  const view = await openView("shed", { item: itemId });
  return view ? (
    <ShedScreen
      key={storeId ?? ""}
      view={view.shed}
      item={view.item}
      storeId={storeId === undefined ? null : Number(storeId)}
    />
  ) : null;
}
