import "server-only";
/** Rows of equipment. */
export {
  insertEquipment,
  insertEquipmentEvent,
  listEquipment,
  listUnwashed,
  lockEquipment,
  type Equipment,
  type EquipmentState,
} from "./equipment";
