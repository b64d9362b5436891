import type { Metadata } from "next";
import { readShopping } from "@/services/shed/readShopping";
import { ShoppingScreen } from "@/ui/shed/ShoppingScreen";
import { openPage } from "../../openPage";

export const metadata: Metadata = { title: "Shopping" };

export default async function ShoppingPage() {
  const page = await openPage(({ ctx, farm }) => readShopping(ctx, farm));
  return page.type === "open" ? <ShoppingScreen view={page.value} /> : null;
}
