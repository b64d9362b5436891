import type { Metadata } from "next";
import { readCount } from "@/services/shed/readCount";
import { CountScreen } from "@/ui/shed/CountScreen";
import { openPage } from "../../openPage";

export const metadata: Metadata = { title: "Count" };

export default async function CountPage() {
  const page = await openPage(({ ctx, farm }) => readCount(ctx, farm));
  return page.type === "open" ? <CountScreen view={page.value} /> : null;
}
