import type { Answered } from '@odograph/core';

/** How far something is answered as a small mark; a word always stands beside it. */
export const AnsweredMark = ({ status }: { readonly status: Answered }): React.JSX.Element => (
  <svg width="14" height="14" aria-hidden style={{ display: 'inline', verticalAlign: '-2px' }}>
    {
      {
        works: <rect x="1.5" y="1.5" width="11" height="11" fill="currentColor" />,
        tried: (
          <>
            <rect x="1.75" y="1.75" width="10.5" height="10.5" fill="none" stroke="currentColor" strokeWidth="1.5" />
            <path d="M1.75 12.25V7H12.25V12.25Z" fill="currentColor" />
          </>
        ),
        shown: <path d="M7 1L13 7L7 13L1 7Z" fill="none" stroke="currentColor" strokeWidth="1.5" />,
        'only said': (
          <path d="M3 4.5V8.5M5.5 4.5V8.5M8.5 4.5V8.5M11 4.5V8.5" fill="none" stroke="currentColor" strokeWidth="1.5" />
        ),
        unanswered: (
          <rect
            x="1.75"
            y="1.75"
            width="10.5"
            height="10.5"
            fill="none"
            stroke="currentColor"
            strokeWidth="1.5"
            strokeDasharray="2.5 2"
          />
        ),
      }[status]
    }
  </svg>
);
