import {
  createPrivateKey,
  createPublicKey,
  generateKeyPairSync,
  sign,
  type KeyObject,
} from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname } from 'node:path';

/** The depot's sealing key. The private half never leaves its file. */
export interface SealKey {
  /** Hex. */
  readonly publicKey: string;
  readonly sign: (bytes: Uint8Array) => Uint8Array;
}

/** Opens the key file; makes one, readable only by its owner, where there is none. */
export function openSealKey(file: string): SealKey {
  if (!existsSync(file)) {
    mkdirSync(dirname(file), { recursive: true });
    const { privateKey } = generateKeyPairSync('ed25519');
    writeFileSync(file, privateKey.export({ type: 'pkcs8', format: 'pem' }), {
      mode: 0o600,
      flag: 'wx',
    });
  }
  return toSealKey(createPrivateKey(readFileSync(file)));
}

export function toSealKey(privateKey: KeyObject): SealKey {
  const { x } = createPublicKey(privateKey).export({ format: 'jwk' });
  return {
    publicKey: Buffer.from(x as string, 'base64url').toString('hex'),
    sign: (bytes) => sign(null, bytes, privateKey),
  };
}
