import type { MediaFile } from '@odograph/core';
import type { ErrorBody } from '@odograph/core/contract';
import { refusalText } from '../library/index.js';

export type UploadResult =
  { readonly ok: true; readonly file: MediaFile } | { readonly ok: false; readonly why: string };

const readAnswer = (text: string): unknown => {
  try {
    return JSON.parse(text) as unknown;
  } catch {
    return undefined;
  }
};

/**
 * Sends a file under an id; `onPart` hears which part of it (0–1) has gone. The same id with the same file again is the same file.
 * Ended by `signal`, it never answers.
 */
export const upload = (
  id: string,
  file: File,
  onPart: (part: number) => void,
  signal: AbortSignal,
): Promise<UploadResult> =>
  new Promise((resolve) => {
    const request = new XMLHttpRequest();
    request.open('PUT', `/api/files/${id}?name=${encodeURIComponent(file.name)}`);
    request.setRequestHeader('content-type', 'application/octet-stream');
    request.upload.addEventListener(
      'progress',
      (event) => event.lengthComputable && onPart(event.loaded / event.total),
    );
    request.addEventListener('error', () =>
      resolve({ ok: false, why: 'The connection broke off. Nothing was taken in; try again.' }),
    );
    request.addEventListener('load', () => {
      const answer = readAnswer(request.responseText);
      if (request.status === 200) resolve({ ok: true, file: answer as MediaFile });
      else
        resolve({
          ok: false,
          why: answer ? refusalText(answer as ErrorBody) : 'The server could not take it in. Try again.',
        });
    });
    signal.addEventListener('abort', () => request.abort());
    request.send(file);
  });
