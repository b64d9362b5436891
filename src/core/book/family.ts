import { METHODS } from "./index";
import type { Method } from "./types";

/** A product and all that is made from it. */
export interface FamilyBranch {
  readonly method: Method;
  readonly branches: readonly FamilyBranch[];
}

/** The methods of which some recipe takes what this one makes. */
function madeFrom({ makes }: Method): readonly Method[] {
  if (!makes) return [];
  return METHODS.filter(({ schools }) =>
    schools.some(({ ingredients }) => ingredients.some(({ ingredient }) => ingredient === makes)),
  );
}

/** A branch; what it comes from itself is not shown again below it, so that a culture kept going does not run for ever. */
const branchOf = (method: Method, above: readonly string[]): FamilyBranch => ({
  method,
  branches: madeFrom(method)
    .filter(({ id }) => id !== method.id && !above.includes(id))
    .map((child) => branchOf(child, [...above, method.id])),
});

/**
 * The family tree of the products: at its roots what is made of raw ingredients only, below each what is made from it. A product of
 * two parents stands below both; what has neither parent nor child is a root of its own.
 */
export function familyTree(): readonly FamilyBranch[] {
  const children = new Set(
    METHODS.flatMap((method) =>
      madeFrom(method)
        .filter(({ id }) => id !== method.id)
        .map(({ id }) => id),
    ),
  );
  return METHODS.filter(({ id }) => !children.has(id)).map((method) => branchOf(method, []));
}
