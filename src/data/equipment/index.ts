import "server-only";
/** Rows of equipment. */
export {
  insertEquipment,
  insertEquipmentEvent,
  listEquipment,
  lockEquipment,
  type Equipment,
  type EquipmentState,
} from "./equipment";
