import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex } from '@noble/hashes/utils.js';
import { expose } from 'comlink';

/** The SHA-256 of a file, read a piece at a time. */
const hashOf = async (file: Blob): Promise<string> => {
  const hash = sha256.create();
  const reader = file.stream().getReader();
  for (;;) {
    const { done, value } = await reader.read();
    if (done) return bytesToHex(hash.digest());
    hash.update(value);
  }
};

export type HashWorker = { readonly hashOf: (file: Blob) => Promise<string> };
expose({ hashOf } satisfies HashWorker);
