import "server-only";
import { addEquipment, noteEquipment } from "../equipment";

export const EQUIPMENT_ACTS = { addEquipment, noteEquipment } as const;
