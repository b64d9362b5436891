/** A planner in a worker of its own. The build finds the worker by this very line. */
export function makePlanner(): Worker {
  const made = new Worker(new URL("./plan.worker.ts", import.meta.url), { type: "module" });
  return made;
}
