import "server-only";
import { addPlot, addTool } from "../addThings";
import { applyStore } from "../applyStore";
import { setHarvestRule } from "../safety/harvestRules";

export const FIELD_ACTS = { addPlot, addTool, applyStore, setHarvestRule } as const;
