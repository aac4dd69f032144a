import type { PhraseReading } from '@odograph/core';

/**
 * A reading with the choices that were made, by where the part begins. What is asked about stays open at 0, and is answered by a choice; what is certain is as it is read at 0.
 */
export const withChoices = (reading: PhraseReading, chosen: ReadonlyMap<number, number>): PhraseReading => ({
  ...reading,
  parts: reading.parts.map((part) => {
    if (part.status === 'proposed') return part;
    const all = [part.meant, ...part.others];
    const turns = all.length + (part.status === 'asked' ? 1 : 0);
    const turn = (chosen.get(part.from) ?? 0) % turns;
    const nth = part.status === 'asked' ? turn - 1 : turn;
    if (nth < 0) return part;
    const meant = all[nth]!;
    return { ...part, meant, status: 'certain', others: all.filter((m) => m !== meant) };
  }),
});
