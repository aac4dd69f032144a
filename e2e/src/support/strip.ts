import { STRIP_BLOCKS, frameOfBits } from '@odograph/demo';
import type { Page } from '@playwright/test';

/** Brightness (0–255) of the middle of each block of the strip, out of the video's own picture. */
const fromVideo = (page: Page): Promise<number[]> =>
  page.evaluate((blocks) => {
    const video = document.querySelector('video')!;
    const canvas = document.createElement('canvas');
    canvas.width = video.videoWidth;
    canvas.height = Math.round(video.videoHeight / 8);
    const context = canvas.getContext('2d', { willReadFrequently: true })!;
    context.drawImage(video, 0, 0);
    const block = video.videoWidth / 40;
    return Array.from(
      { length: blocks },
      (_, i) => context.getImageData(Math.round((i + 1.5) * block), Math.round(block / 2), 1, 1).data[1]!,
    );
  }, STRIP_BLOCKS);

/** The same out of a photograph of the screen: what a person sees. */
const fromScreen = async (page: Page): Promise<number[]> => {
  const element = page.locator('video');
  const png = (await element.screenshot()).toString('base64');
  return element.evaluate(
    async (node, { data, blocks }) => {
      const video = node as HTMLVideoElement;
      const bytes = Uint8Array.from(atob(data), (c) => c.charCodeAt(0));
      const image = await createImageBitmap(new Blob([bytes], { type: 'image/png' }));
      const canvas = document.createElement('canvas');
      canvas.width = image.width;
      canvas.height = image.height;
      const context = canvas.getContext('2d')!;
      context.drawImage(image, 0, 0);
      const scale = Math.min(image.width / video.videoWidth, image.height / video.videoHeight);
      const left = (image.width - video.videoWidth * scale) / 2,
        top = (image.height - video.videoHeight * scale) / 2;
      const block = (video.videoWidth / 40) * scale;
      return Array.from(
        { length: blocks },
        (_, i) =>
          context.getImageData(Math.round(left + (i + 1.5) * block), Math.round(top + block / 2), 1, 1).data[1]!,
      );
    },
    { data: png, blocks: STRIP_BLOCKS },
  );
};

/** The frame number that is written into the picture that is shown; undefined where the strip cannot be read. */
export const frameShown = async (page: Page, by: 'video' | 'screen' = 'video'): Promise<number | undefined> =>
  frameOfBits((await (by === 'video' ? fromVideo(page) : fromScreen(page))).map((grey) => grey > 128));
