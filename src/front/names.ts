/** By what a machine is called on its own network. */
import { hostname, networkInterfaces } from "node:os";

/** Its addresses (IPv4) and its name, as other devices of the network know it; the addresses first. */
export function namesOnNetwork(): { readonly addresses: readonly string[]; readonly names: readonly string[] } {
  const addresses = Object.values(networkInterfaces()).flatMap((ways) =>
    (ways ?? []).flatMap(({ family, internal, address }) => (family === "IPv4" && !internal ? [address] : [])),
  );
  const name = hostname().toLowerCase();
  const plain = name.split(".")[0]!;
  return { addresses, names: [...new Set([name, `${plain}.local`])] };
}
