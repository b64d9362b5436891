import type { Metadata } from "next";
import { ShoppingScreen } from "@/ui/shed/ShoppingScreen";
import { openView } from "../../openPage";

export const metadata: Metadata = { title: "Shopping" };

export default async function ShoppingPage() {
  const view = await openView("shopping");
  return view ? <ShoppingScreen view={view} /> : null;
}
