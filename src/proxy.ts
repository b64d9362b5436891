import { NextResponse, type NextRequest } from "next/server";
import { isAllowedHost } from "@/app/door/stranger";

const isDevelopment = process.env.NODE_ENV === "development";

/** No eval anywhere: validators are compiled ahead. Inline scripts are let in by a word that only this answer knows. */
const policyFor = (nonce: string): string =>
  [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}'${isDevelopment ? " 'unsafe-eval'" : ""}`,
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self'",
    "connect-src 'self'",
    "frame-ancestors 'none'",
    "base-uri 'self'",
    "form-action 'self'",
  ].join("; ");

/** Before every page and address: whether the farm answers to this name, and what its page may run. */
export function proxy(request: NextRequest): NextResponse {
  if (!isAllowedHost(request.headers.get("host")))
    return new NextResponse("This farm does not answer to that name.", { status: 421 });
  const nonce = crypto.randomUUID().replaceAll("-", "");
  const policy = policyFor(nonce);
  const headers = new Headers(request.headers);
  headers.set("x-nonce", nonce);
  headers.set("content-security-policy", policy);
  const answer = NextResponse.next({ request: { headers } });
  answer.headers.set("content-security-policy", policy);
  return answer;
}

// A whole farm is too large to go through here: that address asks for the name itself.
export const config = { matcher: "/((?!_next/static|icon.svg|api/farm/archive).*)" };
