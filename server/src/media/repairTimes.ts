/** How long a frame lasts where nothing else is known, in ticks. */
const typicalOf = (times: readonly number[]): number => {
  const gaps = times
    .slice(1)
    .map((t, i) => t - times[i]!)
    .filter((gap) => gap > 0)
    .sort((a, b) => a - b);
  return gaps[gaps.length >> 1] ?? 1;
};

/**
 * Presentation times, in ticks, for frames in the order in which a decoder gives them, each later than the one before: a missing time (NaN) is laid between
 * those of its neighbours, and where times jump back (a clock that was set, recordings put together), what follows goes on one frame behind what came before.
 * O(n).
 */
export const repairTimes = (times: readonly number[]): readonly number[] => {
  const typical = typicalOf(times.filter((t) => !Number.isNaN(t)));
  const made: number[] = [];
  let shift = 0;
  for (let i = 0; i < times.length;) {
    // the next frame whose time is known, and how many before it are not
    let known = i;
    while (known < times.length && Number.isNaN(times[known])) known++;
    const before = made.at(-1);
    const missing = known - i;
    if (known === times.length) {
      for (let k = 1; k <= missing; k++) made.push((before ?? -typical) + k * typical);
      break;
    }
    const at = (): number => times[known]! + shift;
    const least = before === undefined ? undefined : before + (missing + 1) * Math.min(1, typical);
    if (least !== undefined && at() < least) shift += before! + (missing + 1) * typical - at();
    const gap = before === undefined ? typical : (at() - before) / (missing + 1);
    for (let k = missing; k >= 1; k--) made.push(at() - k * gap);
    made.push(at());
    i = known + 1;
  }
  return made.map(Math.round);
};
