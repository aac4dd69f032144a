import type { DoubtField } from '@odograph/core';
import { Bare } from '../../../design/index.js';
import { DOUBT_TEXT as T } from './phrase.text.js';
import { type Saying } from './saying.js';

/** Behind a part of the phrase: that it is unsure, or that there is no word for it yet. Pressing settles it as it stands. */
export const Doubted = ({
  saying,
  field,
}: {
  readonly saying: Saying;
  readonly field: DoubtField;
}): React.JSX.Element | null => {
  const { attempt, change } = saying;
  const doubt = attempt.doubts.find((d) => d.field === field);
  if (!doubt) return null;
  return (
    <Bare
      fontSize="15px"
      color="them"
      paddingInline="4px"
      textDecoration="underline wavy var(--od-them) 1px"
      textUnderlineOffset="4px"
      type="button"
      tabIndex={-1}
      title={T.settle}
      aria-label={`${T.said(doubt)}. ${T.settle}`}
      onClick={() => change({ doubts: attempt.doubts.filter((d) => d.field !== field) })}
    >
      {T.said(doubt)}
    </Bare>
  );
};
