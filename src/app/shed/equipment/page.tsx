import type { Metadata } from "next";
import { EquipmentScreen } from "@/ui/equipment/EquipmentScreen";
import { openView } from "../../openPage";

export const metadata: Metadata = { title: "Equipment" };

export default async function EquipmentPage() {
  const view = await openView("equipment");
  return view ? <EquipmentScreen view={view} /> : null;
}
