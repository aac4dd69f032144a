/** Levels over time as they come from a file: value `i` holds from `fromS + i · stepS` on. */
export type Levels = { readonly values: ArrayLike<number>; readonly fromS: number; readonly stepS: number };

/**
 * The outline of levels on an axis of time, as the path of an area standing on `bottom`: for each pixel the highest level in it, so that three hours are as quick to draw
 * as one minute. `xOfS` grows with time; `most` is the level drawn `tall` pixels high. Empty where there are no levels between `fromS` and `toS`.
 */
export const areaPath = (
  { values, fromS, stepS }: Levels,
  axis: {
    readonly fromS: number;
    readonly toS: number;
    readonly xOfS: (s: number) => number;
    readonly bottom: number;
    readonly tall: number;
    readonly most: number;
  },
): string => {
  const first = Math.max(0, Math.floor((axis.fromS - fromS) / stepS));
  const last = Math.min(values.length - 1, Math.ceil((axis.toS - fromS) / stepS));
  if (last <= first || axis.most <= 0) return '';
  const points: string[] = [];
  let [column, highest] = [Math.round(axis.xOfS(fromS + first * stepS)), 0];
  const begin = column;
  const put = (): void => {
    points.push(`${column} ${(axis.bottom - (highest / axis.most) * axis.tall).toFixed(1)}`);
  };
  for (let i = first; i <= last; i++) {
    const x = Math.round(axis.xOfS(fromS + i * stepS));
    if (x !== column) {
      put();
      [column, highest] = [x, 0];
    }
    highest = Math.max(highest, values[i]!);
  }
  put();
  return `M${begin} ${axis.bottom}L${points.join('L')}L${column} ${axis.bottom}Z`;
};
