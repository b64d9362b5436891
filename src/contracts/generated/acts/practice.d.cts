// Made by scripts/generateValidators.ts; change the schemas, not this.
import type { ValidateFunction } from "ajv";
declare const validators: { readonly [name: string]: ValidateFunction };
export = validators;
