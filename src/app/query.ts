/** A row's number in a request's query; null for none, or for what is no number. */
export function numberIn(request: Request, name: string): number | null {
  const text = new URL(request.url).searchParams.get(name) ?? "";
  return /^\d{1,15}$/.test(text) ? Number(text) : null;
}
