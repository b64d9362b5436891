import { readFarm } from "@/services/farmView";
import { pool } from "@/services/runtime";

export const dynamic = "force-dynamic";

/** Whether the server is up, and whether it reaches its database. */
export async function GET(): Promise<Response> {
  const database = await readFarm(pool()).then(
    () => true,
    () => false,
  );
  return Response.json({ ok: true, database });
}
