import { ed25519 } from '@noble/curves/ed25519';
import { sha256 } from '@noble/hashes/sha2';
import { bytesToHex, hexToBytes, utf8ToBytes } from '@noble/hashes/utils';
import canonicalize from 'canonicalize';
import type { Addition, Report } from '../report';

/** The unit's previous report, so that none can be left out unseen. */
export interface ChainLink {
  /** Id of the unit; in the seal of an addition, id of the report that it was added to. */
  readonly unit: string;
  /** 1 for the first report of the unit. */
  readonly sequence: number;
  /** Hash of the report before it, 64 zeros for the first. */
  readonly previous: string;
}

export interface Seal {
  readonly algorithm: 'Ed25519';
  readonly canonical: 'RFC 8785';
  /** Hex SHA-256 of the canonical body. */
  readonly hash: string;
  /** First 16 hex digits of the SHA-256 of each part, so that a change can be named. */
  readonly parts: Readonly<Record<string, string>>;
  readonly chain: readonly ChainLink[];
  readonly sealedAt: string;
  /** Hex public key. */
  readonly key: string;
  /** Hex signature over the canonical seal without this field. */
  readonly signature: string;
}

export interface SealedReport {
  readonly report: Report;
  readonly seal: Seal;
}

export interface SealedAddition {
  readonly addition: Addition;
  readonly seal: Seal;
}

/**
 * How far a row of sealed things goes: the additions of a report, or the reports of a unit. Signed when the last was sealed, so that what
 * is taken off the end shows.
 */
export interface SealedHead {
  /** Id of the report, or of the unit. */
  readonly of: string;
  /** How many there are. */
  readonly count: number;
  /** Hash of the last; of the report itself where nothing was added to it. */
  readonly last: string;
  /** ISO time. */
  readonly at: string;
  /** Hex public key. */
  readonly key: string;
  /** Hex signature over the canonical head without this field. */
  readonly signature: string;
}

/** The file that leaves the house. */
export interface ReportFile extends SealedReport {
  readonly additions: readonly SealedAddition[];
  /** Missing in files of before, and of reports to which nothing was added since then. */
  readonly head?: SealedHead;
}

export const FIRST_LINK = '0'.repeat(64);

export interface SealRequest {
  readonly chain: readonly ChainLink[];
  readonly sealedAt: string;
  /** Hex. */
  readonly publicKey: string;
  /** Ed25519 over the bytes; the private key stays with the caller. */
  readonly sign: (bytes: Uint8Array) => Uint8Array;
}

/**
 * Canonical JSON (RFC 8785).
 * @throws {TypeError} for what JSON cannot hold.
 */
export function toCanonical(value: unknown): string {
  const text = canonicalize(value);
  if (text === undefined) throw new TypeError('This value has no JSON form.');
  return text;
}

export function hashOf(value: unknown): string {
  return bytesToHex(sha256(utf8ToBytes(toCanonical(value))));
}

/** Each top-level field, and each item of a list, with its own short digest. */
export function partDigests(body: object): Record<string, string> {
  const parts: Record<string, string> = {};
  for (const [name, value] of Object.entries(body)) {
    if (value === undefined) continue;
    if (Array.isArray(value) && value.length > 0)
      value.forEach((item, index) => {
        parts[`${name}[${index}]`] = hashOf(item).slice(0, 16);
      });
    else parts[name] = hashOf(value).slice(0, 16);
  }
  return parts;
}

/** The body's digests and, under `seal.…`, those of what the seal itself says. */
export function allDigests(
  body: object,
  { chain, sealedAt, key }: Pick<Seal, 'chain' | 'sealedAt' | 'key'>,
): Record<string, string> {
  const ofSeal = partDigests({ chain: { links: chain }, sealedAt, key });
  return {
    ...partDigests(body),
    ...Object.fromEntries(Object.entries(ofSeal).map(([path, digest]) => [`seal.${path}`, digest])),
  };
}

/** Hashes, chains and signs a body. */
export function makeSeal(body: object, request: SealRequest): Seal {
  const unsigned = {
    algorithm: 'Ed25519' as const,
    canonical: 'RFC 8785' as const,
    hash: hashOf(body),
    parts: allDigests(body, {
      chain: request.chain,
      sealedAt: request.sealedAt,
      key: request.publicKey,
    }),
    chain: request.chain,
    sealedAt: request.sealedAt,
    key: request.publicKey,
  };
  return { ...unsigned, signature: bytesToHex(request.sign(signedBytes(unsigned))) };
}

function signedBytes(seal: Omit<Seal, 'signature'>): Uint8Array {
  return utf8ToBytes(toCanonical(seal));
}

/** Whether the signature on a seal is that of its key. Never throws on malformed hex. */
export function isSignatureGood({ signature, ...unsigned }: Seal): boolean {
  try {
    return ed25519.verify(hexToBytes(signature), signedBytes(unsigned), hexToBytes(unsigned.key));
  } catch {
    return false;
  }
}
