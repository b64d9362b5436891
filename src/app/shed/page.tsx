import type { Metadata } from "next";
import { readShed } from "@/services/readShed";
import { ShedScreen } from "@/ui/shed/ShedScreen";
import { openPage } from "../openPage";

export const metadata: Metadata = { title: "Shed" };

export default async function ShedPage() {
  const page = await openPage(({ ctx, farm }) => readShed(ctx, farm));
  return page.type === "open" ? <ShedScreen view={page.value} /> : null;
}
