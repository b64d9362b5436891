import "server-only";
/** Pumps, bags, meters and who has them. What other places, pages and screens may use of it. */
export { addEquipment, noteEquipment, readEquipment, type EquipmentView } from "./equipment";
export { readEquipmentPage, type EquipmentPageView } from "./readEquipmentPage";
