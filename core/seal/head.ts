import { ed25519 } from '@noble/curves/ed25519';
import { bytesToHex, hexToBytes, utf8ToBytes } from '@noble/hashes/utils';
import { toCanonical, type ReportFile, type SealedHead, type SealRequest } from './seal';

export function makeHead(
  { of, count, last }: Pick<SealedHead, 'of' | 'count' | 'last'>,
  { sealedAt, publicKey, sign }: Pick<SealRequest, 'sealedAt' | 'publicKey' | 'sign'>,
): SealedHead {
  const unsigned = { of, count, last, at: sealedAt, key: publicKey };
  return { ...unsigned, signature: bytesToHex(sign(utf8ToBytes(toCanonical(unsigned)))) };
}

/** Whether the signature on a head is that of its key. Never throws on malformed hex. */
export function isHeadGood({ signature, ...unsigned }: SealedHead): boolean {
  try {
    const bytes = utf8ToBytes(toCanonical(unsigned));
    return ed25519.verify(hexToBytes(signature), bytes, hexToBytes(unsigned.key));
  } catch {
    return false;
  }
}

/** What the head of a report file must say. */
export function endOf({ report, seal, additions }: ReportFile) {
  return {
    of: report.id,
    count: additions.length,
    last: additions.at(-1)?.seal.hash ?? seal.hash,
  };
}
