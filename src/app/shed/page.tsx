import type { Metadata } from "next";
import { NotUsed } from "@/ui/frame/NotUsed";
import { ShedScreen } from "@/ui/shed/ShedScreen";
import { openView } from "../openPage";

export const metadata: Metadata = { title: "Shed" };

export default async function ShedPage({
  searchParams,
}: {
  readonly searchParams: Promise<{ item?: string; store?: string }>;
}) {
  const query = await searchParams;
  const { item: itemId, store: storeId } = query;
  const view = await openView("shed", { item: itemId });
  return view ? (
    <>
      <NotUsed
        query={query}
        fits={{
          item: view.item !== null,
          store: (id) => view.shed.stores.some((store) => String(store.id) === id),
        }}
      />
      <ShedScreen
        key={storeId ?? ""}
        view={view.shed}
        item={view.item}
        storeId={storeId === undefined ? null : Number(storeId)}
      />
    </>
  ) : null;
}
