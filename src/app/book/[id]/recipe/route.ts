import { METHODS } from "@/core/book";
import { bookDocument } from "@/core/recipe/document";
import { readMaking } from "@/services/fill";
import { recipeKeyFrom } from "@/ui/fill/recipeKey";
import { openFrame } from "../../../session";

/** A recipe as a file: the book's, or the farm's own version, in the form of docs/schemas/recipe.json. */
export async function GET(
  request: Request,
  { params }: { readonly params: Promise<{ id: string }> },
): Promise<Response> {
  const { id } = await params;
  const frame = await openFrame();
  if (!frame || !METHODS.some((method) => method.id === id))
    return new Response("There is no such recipe.", { status: 404 });
  const { versions } = await readMaking(frame.ctx);
  const query = Object.fromEntries(new URL(request.url).searchParams);
  const key = recipeKeyFrom({ ...query, method: id }, versions)!;
  const own = versions.find(
    ({ methodId, schoolId, versionNo }) => methodId === id && schoolId === key.schoolId && versionNo === key.versionNo,
  );
  const document = own?.document ?? bookDocument(id, key.schoolId);
  const name = `${id}-${key.schoolId}${key.versionNo === null ? "" : `-${key.versionNo}`}.json`;
  return new Response(`${JSON.stringify(document, null, 2)}\n`, {
    headers: {
      "content-type": "application/json; charset=utf-8",
      "content-disposition": `attachment; filename="${name}"`,
    },
  });
}
