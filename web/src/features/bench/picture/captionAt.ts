import { frameStartS, type Caption, type TimeTable } from '@odograph/core';

/** Gives what the captions say at a frame; the one that began last where several hold. */
export const captionAt =
  (captions: readonly Caption[], table: TimeTable) =>
  (frame: number): string => {
    const atS = frameStartS(table, frame);
    let [low, high] = [0, captions.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if (captions[middle]!.fromS <= atS) low = middle + 1;
      else high = middle;
    }
    const last = captions[low - 1];
    return last && atS < last.toS ? last.text : '';
  };
