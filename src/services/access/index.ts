import "server-only";
/** Who may come in, what each may, who came: as it is shown. What other places, pages and screens may use of it. */
export { readAccess, type AccessView, type SessionView } from "./readAccess";
export { roleTable, type RoleLine } from "./roleTable";
