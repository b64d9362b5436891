import { readHealth } from "@/services/health";
import { pool } from "@/services/runtime";

export const dynamic = "force-dynamic";

/** Whether the server is up, reaches its database, and has room to write. Answers within a second. */
export const GET = async (): Promise<Response> => Response.json({ ok: true, ...(await readHealth(pool())) });
