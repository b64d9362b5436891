// Made by scripts/generateValidators.ts.
import type { ValidateFunction } from "ajv";
declare const validators: { readonly [name: string]: ValidateFunction };
export = validators;
