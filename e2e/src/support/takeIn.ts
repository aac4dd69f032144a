import { expect, type APIRequestContext } from '@playwright/test';
import type { MediaFile } from '@odograph/core';
import { v7 as newId } from 'uuid';

/** Takes a file in and puts it on the shelf, without the screen; gives the file and the address of its bench below the server's. */
export const takeIn = async (
  request: APIRequestContext,
  url: string,
  title: string,
  bytes: Buffer,
): Promise<{ readonly file: MediaFile; readonly bench: string }> => {
  const [fileId, footageId, angleId] = [newId(), newId(), newId()];
  const answer = await request.put(`${url}/api/files/${fileId}?name=film`, {
    data: bytes,
    headers: { 'content-type': 'application/octet-stream' },
  });
  const athlete = (name: string) => ({ id: newId(), name });
  const made = await request.post(`${url}/api/footage`, {
    data: {
      ...{ editId: newId(), id: footageId, angleId, fileId, title, setting: 'training', gi: true },
      ...{ athleteA: athlete(`A of ${title}`), athleteB: athlete(`B of ${title}`) },
    },
  });
  expect([title, answer.ok(), made.ok()]).toEqual([title, true, true]);
  return { file: (await answer.json()) as MediaFile, bench: `/break-down/${footageId}` };
};

/** Waits until something has been made of a file. */
export const untilMade = (
  request: APIRequestContext,
  url: string,
  fileId: string,
  what: 'proxy' | 'look',
): Promise<void> =>
  expect(async () => {
    const prepared = (await (await request.get(`${url}/api/files/${fileId}/prepared`)).json()) as object;
    expect(prepared).toMatchObject({ [what]: true });
  }).toPass({ timeout: 60_000 });
