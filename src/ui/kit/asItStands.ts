/**
 * What an open panel was opened for, as the farm has it by now; as it was then where it is gone meanwhile,
 * so that nothing typed is lost. A panel opened right after a write would else reckon with what was before it.
 */
export const asItStands = <T extends { readonly id: number }>(all: readonly T[], held: T): T =>
  all.find(({ id }) => id === held.id) ?? held;
