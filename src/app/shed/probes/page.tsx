import type { Metadata } from "next";
import { DevicesScreen } from "@/ui/devices/DevicesScreen";
import { openView } from "../../openPage";

export const metadata: Metadata = { title: "Sensors" };

export default async function ProbesPage() {
  const view = await openView("devices");
  return view ? <DevicesScreen view={view} /> : null;
}
