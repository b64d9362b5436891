import "server-only";
import { addPlot, addTool } from "../farm";
import { applyStore, setHarvestRule } from "../field";

export const FIELD_ACTS = { addPlot, addTool, applyStore, setHarvestRule } as const;
