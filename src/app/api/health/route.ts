import { readHealth } from "@/services/health";
import { readLastBackup } from "@/services/lastBackup";
import { pool } from "@/services/runtime";

export const dynamic = "force-dynamic";

/** Whether the server is up, reaches its database, has room to write, and when it was last backed up well. Answers within a second. */
export const GET = async (): Promise<Response> => {
  const [health, backup] = await Promise.all([readHealth(pool()), readLastBackup()]);
  return Response.json({
    ok: true,
    ...health,
    ...(backup === undefined ? {} : { lastBackupAt: backup && new Date(backup.atMs).toISOString() }),
  });
};
