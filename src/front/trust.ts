/** Where a phone learns to trust a farm's own certificate: one plain page, the certificate, and the way on. */
import { X509Certificate } from "node:crypto";
import { createServer, type Server } from "node:http";
import QRCode from "qrcode";

export interface TrustSettings {
  /** The address at which the farm is, "https://192.168.1.5:3443". */
  readonly address: string;
  /** The certificate of the authority that the farm made for itself, PEM. */
  readonly authority: Buffer | string;
}

const escaped = (text: string): string =>
  text.replace(/[&<>"]/g, (letter) => ({ "&": "&amp;", "<": "&lt;", ">": "&gt;", '"': "&quot;" })[letter]!);

/** By what two people tell that they look at the same certificate. @example fingerprintOf(pem); // "4F:0A:…", the first eight bytes of its SHA-256 */
export const fingerprintOf = (authority: Buffer | string): string =>
  new X509Certificate(authority).fingerprint256.split(":").slice(0, 8).join(":");

/** How a phone comes to trust it, in two sentences. */
export const HOW_TO_TRUST = [
  "Open the certificate below on this phone and say yes to installing it, once; on some phones that is under Settings, Certificates.",
  "Then open the farm: no warning may appear, and if one does, ask your steward before you go on.",
] as const;

async function pageOf({ address, authority }: TrustSettings): Promise<string> {
  const square = await QRCode.toString(address, { type: "svg", margin: 1, width: 220 });
  return `<!doctype html><html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1">
<title>This phone and the farm</title></head><body><h1>This phone and the farm</h1>
${HOW_TO_TRUST.map((sentence) => `<p>${escaped(sentence)}</p>`).join("\n")}
<p><a href="/farm-certificate.crt">The farm’s certificate</a>. Its mark is <b>${fingerprintOf(authority)}</b>: the farm’s own machine must show the same.</p><p><a href="${escaped(address)}">Open the farm: ${escaped(address)}</a></p>
${square}</body></html>`;
}

/** A plain server that tells how to trust the farm, gives its certificate, and sends everybody else on to the farm itself. Nothing of the farm goes through it. */
export function trustServer(settings: TrustSettings): Server {
  const page = pageOf(settings);
  return createServer((request, response) => {
    const { pathname } = new URL(request.url ?? "/", "http://farm");
    if (pathname === "/farm-certificate.crt")
      response
        .writeHead(200, {
          "content-type": "application/x-x509-ca-cert",
          "content-disposition": 'attachment; filename="farm-certificate.crt"',
        })
        .end(settings.authority);
    else if (pathname === "/")
      void page.then((html) =>
        response
          .writeHead(200, {
            "content-type": "text/html; charset=utf-8",
            "content-security-policy": "default-src 'none'; img-src data:; style-src 'unsafe-inline'",
            "x-content-type-options": "nosniff",
          })
          .end(html),
      );
    else response.writeHead(302, { location: settings.address }).end();
  });
}
