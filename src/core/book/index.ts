import { DomainError } from "../errors";
import { aeratedTea } from "./methods/aeratedTea";
import { culturedExtract } from "./methods/culturedExtract";
import { plantJuice } from "./methods/plantJuice";
import type { Method, School, UseRate } from "./types";

/** Every method of the book, in the order a chooser shows them. */
export const METHODS: readonly Method[] = [culturedExtract, aeratedTea, plantJuice];

/** @throws {DomainError} `unknown-method` */
export function findMethod(id: string, path = "/method"): Method {
  const method = METHODS.find((candidate) => candidate.id === id);
  if (!method) throw new DomainError("unknown-method", { id }, path);
  return method;
}

/**
 * The school of a method; the cautious one if none is named.
 * @throws {DomainError} `unknown-school`
 */
export function findSchool(method: Method, id: string | undefined, path = "/school"): School {
  const wanted = id ?? method.cautiousSchool;
  const school = method.schools.find((candidate) => candidate.id === wanted);
  if (!school)
    throw new DomainError(
      "unknown-school",
      { id: wanted, method: method.id, known: method.schools.map((known) => known.id) },
      path,
    );
  return school;
}

/** How strong a school puts its input to a use, or null where the book knows no such use of it. */
export const findUseRate = (school: School, use: string): UseRate | null =>
  school.uses.find((rate) => rate.use === use) ?? null;
