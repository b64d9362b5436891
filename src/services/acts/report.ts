import "server-only";
import { setBudget, setInstead } from "../report";

export const REPORT_ACTS = { setInstead, setBudget } as const;
