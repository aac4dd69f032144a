/**
 * The value below which so large a share of sorted values lies; between two of them, what lies between. There has to be one.
 * @example quantile([1, 2, 4], 0.5) // 2
 */
export const quantile = (sorted: readonly number[], share: number): number => {
  const at = share * (sorted.length - 1);
  const [below, above] = [sorted[Math.floor(at)]!, sorted[Math.ceil(at)]!];
  return below + (above - below) * (at - Math.floor(at));
};
