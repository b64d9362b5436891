import { actDoor } from "../../../door/act";

export const POST = async (request: Request, { params }: { readonly params: Promise<{ name: string }> }) =>
  actDoor(request, (await params).name);
