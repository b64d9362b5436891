// Made by scripts/generateValidators.ts.
import type { ValidateFunction } from "ajv";
export declare const task_convert: ValidateFunction;
export declare const task_dilute: ValidateFunction;
export declare const task_scale: ValidateFunction;
export declare const task_forecast: ValidateFunction;
export declare const task_loads: ValidateFunction;
export declare const task_cost: ValidateFunction;
