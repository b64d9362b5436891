import { exportLand } from "@/services/field";
import { openFrame } from "../../../session";
import { fileName } from "../../../door/fileName";

/** The land as GeoJSON. */
export async function GET(): Promise<Response> {
  const frame = await openFrame();
  if (!frame) return new Response("There is no such file.", { status: 404 });
  const name = fileName(frame.farm.name, "land.geojson");
  return new Response(JSON.stringify(await exportLand(frame.ctx, frame.farm), null, 1), {
    headers: {
      "content-type": "application/geo+json; charset=utf-8",
      "content-disposition": `attachment; filename="${name}"`,
    },
  });
}
