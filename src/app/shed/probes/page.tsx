import type { Metadata } from "next";
import { readDevices } from "@/services/devices/readDevices";
import { DevicesScreen } from "@/ui/devices/DevicesScreen";
import { openPage } from "../../openPage";

export const metadata: Metadata = { title: "Probes and loggers" };

export default async function ProbesPage() {
  const page = await openPage(({ ctx, farm }) => readDevices(ctx, farm));
  return page.type === "open" ? <DevicesScreen view={page.value} /> : null;
}
