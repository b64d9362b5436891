import "server-only";
import { addEquipment, noteEquipment } from "../equipment";

export const TOOLS_ACTS = { addEquipment, noteEquipment } as const;
