import { viewDoor } from "../../../door/view";

export const GET = async (request: Request, { params }: { readonly params: Promise<{ name: string }> }) =>
  viewDoor(request, (await params).name);
