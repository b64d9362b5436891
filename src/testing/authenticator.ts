import { createHash, generateKeyPairSync, randomBytes, sign, type KeyObject } from "node:crypto";

/** Just so much CBOR (RFC 8949) as a device says: small numbers, bytes, text, maps. */
function cbor(value: number | string | Buffer | Map<unknown, unknown>): Buffer {
  const head = (major: number, n: number): Buffer =>
    n < 24
      ? Buffer.from([(major << 5) | n])
      : n < 256
        ? Buffer.from([(major << 5) | 24, n])
        : Buffer.from([(major << 5) | 25, n >> 8, n & 255]);
  if (typeof value === "number") return value >= 0 ? head(0, value) : head(1, -1 - value);
  if (typeof value === "string") return Buffer.concat([head(3, Buffer.byteLength(value)), Buffer.from(value)]);
  if (Buffer.isBuffer(value)) return Buffer.concat([head(2, value.length), value]);
  return Buffer.concat([
    head(5, value.size),
    ...[...value].flatMap(([key, one]) => [cbor(key as never), cbor(one as never)]),
  ]);
}

const sha256 = (data: string | Buffer): Buffer => createHash("sha256").update(data).digest();
const PRESENT_AND_VERIFIED = 0x05;
const WITH_CREDENTIAL = 0x40;

/** A device that keeps a passkey, as WebAuthn (W3C, level 3) describes it: makes one, and signs in by it; it can be made to misbehave. */
export class Authenticator {
  private readonly key: KeyObject;
  private readonly publicKey: Map<unknown, unknown>;
  readonly id = randomBytes(16).toString("base64url");
  counter = 0;
  constructor() {
    const { privateKey, publicKey } = generateKeyPairSync("ec", { namedCurve: "P-256" });
    this.key = privateKey;
    const { x, y } = publicKey.export({ format: "jwk" });
    // COSE_Key (RFC 9053): an elliptic curve key for ES256 on P-256.
    this.publicKey = new Map<unknown, unknown>([
      [1, 2],
      [3, -7],
      [-1, 1],
      [-2, Buffer.from(x!, "base64url")],
      [-3, Buffer.from(y!, "base64url")],
    ]);
  }
  private dataFor(site: string, flags: number, more: Buffer = Buffer.alloc(0)): Buffer {
    const counter = Buffer.alloc(4);
    counter.writeUInt32BE(this.counter);
    return Buffer.concat([sha256(site), Buffer.from([flags]), counter, more]);
  }
  private static clientData(type: "webauthn.create" | "webauthn.get", challenge: string, origin: string): Buffer {
    return Buffer.from(JSON.stringify({ type, challenge, origin, crossOrigin: false }));
  }
  /** Makes a passkey. @param flags what the device says of whoever holds it; both present and known by default */
  create(challenge: string, origin: string, flags = PRESENT_AND_VERIFIED) {
    const id = Buffer.from(this.id, "base64url");
    const credential = Buffer.concat([
      Buffer.alloc(16),
      Buffer.from([id.length >> 8, id.length & 255]),
      id,
      cbor(this.publicKey),
    ]);
    const authData = this.dataFor(new URL(origin).hostname, flags | WITH_CREDENTIAL, credential);
    const attestation = cbor(
      new Map<unknown, unknown>([
        ["fmt", "none"],
        ["attStmt", new Map()],
        ["authData", authData],
      ]),
    );
    return {
      id: this.id,
      rawId: this.id,
      type: "public-key" as const,
      clientExtensionResults: {},
      response: {
        clientDataJSON: Authenticator.clientData("webauthn.create", challenge, origin).toString("base64url"),
        attestationObject: attestation.toString("base64url"),
        transports: ["internal"],
      },
    };
  }
  /** Signs in by it. */
  get(challenge: string, origin: string, flags = PRESENT_AND_VERIFIED) {
    this.counter += 1;
    const clientData = Authenticator.clientData("webauthn.get", challenge, origin);
    const authData = this.dataFor(new URL(origin).hostname, flags);
    return {
      id: this.id,
      rawId: this.id,
      type: "public-key" as const,
      clientExtensionResults: {},
      response: {
        clientDataJSON: clientData.toString("base64url"),
        authenticatorData: authData.toString("base64url"),
        signature: sign("sha256", Buffer.concat([authData, sha256(clientData)]), this.key).toString("base64url"),
      },
    };
  }
}
