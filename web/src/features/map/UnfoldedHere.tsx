import { isHole, placeName, type Answered, type PlaceId, type Words as WordList } from '@odograph/core';
import { Link } from 'react-router';
import { answersLink, cellKey } from './answersLink.js';
import { ANSWERED_TEXT, UNFOLDED_TEXT as T } from './map.text.js';
import { answerKey, type DrawnFork, type SaidLine } from './unfolded.js';
import type { Curve, Point } from './curves.js';

const LABEL = { fontSize: 12.5, stroke: 'var(--od-ground)', strokeWidth: 4, strokeLinejoin: 'round' } as const;

/** Words in the middle of a line; none where there is no room. */
const Words = ({ at, text }: { readonly at: Point | undefined; readonly text: string }): React.JSX.Element | null =>
  at === undefined ? null : (
    <text
      {...LABEL}
      x={at.x}
      y={at.y + 4}
      style={{ paintOrder: 'stroke' }}
      fill="var(--od-inkSoft)"
      textAnchor="middle"
      pointerEvents="none"
    >
      {text}
    </text>
  );

const metName = ({ met }: DrawnFork['fork'], words: WordList): string =>
  words.name(met.isAction ? 'action' : 'reaction', met.what);

/** What is written beside the mark of a fork. */
export const forkText = (fork: DrawnFork['fork'], words: WordList): string =>
  fork.met.isAction ? T.their(metName(fork, words)) : T.they(metName(fork, words));

/** Where a line splits, as a lozenge: no place is one. Full where an answer works, half where one was tried, else empty; broken where there is none. */
const ForkMark = ({
  at: { x, y },
  status,
  tone,
}: {
  readonly at: Point;
  readonly status: Answered;
  readonly tone: string;
}): React.JSX.Element => (
  <>
    <path
      d={`M${x} ${y - 8}L${x + 8} ${y}L${x} ${y + 8}L${x - 8} ${y}Z`}
      fill={status === 'works' ? tone : 'var(--od-ground)'}
      stroke={tone}
      strokeWidth="1.6"
      {...(isHole(status) && status !== 'shown' ? { strokeDasharray: '3 2.2' } : {})}
    />
    {status === 'tried' && <path d={`M${x - 8} ${y}L${x} ${y + 8}L${x + 8} ${y}Z`} fill={tone} />}
  </>
);

/** One fork: its mark on the line, and the answers that lead on from it. */
const OneFork = ({
  drawn: { fork, at, answers },
  place,
  words,
  texts,
}: {
  readonly drawn: DrawnFork;
  readonly place: PlaceId;
  readonly words: WordList;
  readonly texts: ReadonlyMap<string, Point>;
}): React.JSX.Element => {
  const text = texts.get(cellKey(fork, fork.met));
  const said = fork.answers.map((a) => words.name('action', a.action)).join(', ');
  const label = T.fork(words.name('action', fork.action), forkText(fork, words), ANSWERED_TEXT[fork.status], said);
  const tone = isHole(fork.status) ? 'var(--od-caution)' : 'var(--od-ink)';
  return (
    <g data-testid="fork">
      {answers.map(({ action, curve }) => (
        <g key={action} pointerEvents="none">
          <path
            d={curve.path}
            fill="none"
            stroke="var(--od-ink)"
            strokeWidth="1.1"
            strokeOpacity="0.75"
            markerEnd="url(#arrow-ink)"
          />
          <Words at={texts.get(answerKey(fork, action))} text={T.answer(words.name('action', action))} />
        </g>
      ))}
      <Link to={answersLink(place, cellKey(fork, fork.met))} aria-label={label}>
        <title>{label}</title>
        <circle cx={at.x} cy={at.y} r="11" fill="transparent" />
        <ForkMark at={at} status={fork.status} tone={tone} />
        {text && (
          <text x={text.x} y={text.y + 4} {...LABEL} style={{ paintOrder: 'stroke' }} fill={tone} fontWeight="600">
            {forkText(fork, words)}
          </text>
        )}
      </Link>
    </g>
  );
};

/** What lies open at the place picked, on the picture: the lines split by what was met, and thin broken lines for what is only said or planned. */
export const UnfoldedHere = ({
  forks,
  said,
  place,
  words,
  texts,
}: {
  readonly forks: readonly DrawnFork[];
  readonly said: readonly { readonly line: SaidLine; readonly curve: Curve }[];
  readonly place: PlaceId;
  readonly words: WordList;
  readonly texts: ReadonlyMap<string, Point>;
}): React.JSX.Element => (
  <>
    {said.map(({ line, curve }) => (
      <g key={`${line.action} ${line.to}`} data-testid="only-said">
        <title>{T.said(words.name('action', line.action), placeName(line.to, words), line.by === 'planned')}</title>
        <path d={curve.path} fill="none" stroke="transparent" strokeWidth="12" />
        <path
          d={curve.path}
          fill="none"
          stroke="var(--od-ink)"
          strokeWidth="0.9"
          strokeOpacity="0.7"
          strokeDasharray="5 6"
          markerEnd="url(#arrow-ink)"
        />
        <Words
          at={texts.get(`said ${line.action} ${line.to}`)}
          text={T.saidShort(words.name('action', line.action), line.by === 'planned')}
        />
      </g>
    ))}
    {forks.map((drawn) => (
      <OneFork
        key={`${drawn.fork.action} ${drawn.fork.bait} ${drawn.fork.met.isAction} ${drawn.fork.met.what}`}
        {...{ drawn, place, words, texts }}
      />
    ))}
  </>
);
