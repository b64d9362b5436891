import "server-only";
import { addPlot, addTool } from "../farm/addThings";
import { applyStore } from "../field/applyStore";
import { setHarvestRule } from "../field/harvestRules";

export const FIELD_ACTS = { addPlot, addTool, applyStore, setHarvestRule } as const;
