/**
 * `names` prints what this machine is called on its network, a line each, addresses first; `serve SETTINGS.json` opens the door: bin/start --lan and
 * bin/farms write the settings.
 */
import { readFileSync } from "node:fs";
import QRCode from "qrcode";
import { frontOf, type FarmBehind } from "./front";
import { namesOnNetwork } from "./names";
import { fingerprintOf, HOW_TO_TRUST, trustServer } from "./trust";

interface Settings {
  readonly listen: string;
  readonly port: number;
  readonly farms: readonly FarmBehind[];
  readonly tls?: { readonly cert: string; readonly key: string };
  /** Where the farm's own authority is given out; nothing where the certificate is one that devices trust already. */
  readonly trust?: { readonly port: number; readonly authority: string; readonly address: string };
}

const listening = (
  server: { listen: (port: number, host: string, done: () => void) => void },
  port: number,
  host: string,
) => new Promise<void>((resolve) => server.listen(port, host, resolve));

async function serve(file: string): Promise<void> {
  const { listen, port, farms, tls, trust } = JSON.parse(readFileSync(file, "utf8")) as Settings;
  const front = frontOf({
    farms,
    ...(tls ? { tls: { cert: readFileSync(tls.cert), key: readFileSync(tls.key) } } : {}),
  });
  front.on("error", (error) => {
    console.error(error.message);
    process.exit(1);
  });
  await listening(front, port, listen);
  if (!trust) return;
  const plain = trustServer({ address: trust.address, authority: readFileSync(trust.authority) });
  // Without it a phone can still be told by hand.
  plain.on("error", (error) => console.error(error.message));
  await listening(plain, trust.port, listen);
}

/** What the terminal shows for whoever holds a phone. */
async function tell(address: string, trustAddress?: string, authority?: string): Promise<void> {
  console.log(`On this network: ${address}`);
  console.log(await QRCode.toString(trustAddress ?? address, { type: "terminal", small: true }));
  if (trustAddress && authority)
    console.log(
      [
        `The first time a phone comes, by ${trustAddress}:`,
        ...HOW_TO_TRUST,
        `The mark of its certificate: ${fingerprintOf(readFileSync(authority))}`,
      ].join("\n"),
    );
}

async function main(): Promise<void> {
  const [what, first, second, third] = process.argv.slice(2);
  if (what === "names") {
    const { addresses, names } = namesOnNetwork();
    console.log([...addresses, ...names].join("\n"));
  } else if (what === "serve" && first) await serve(first);
  else if (what === "tell" && first) await tell(first, second, third);
  else throw new Error("names, serve SETTINGS.json, or tell ADDRESS");
}

main().catch((error: unknown) => {
  console.error(error instanceof Error ? error.message : error);
  process.exit(1);
});
