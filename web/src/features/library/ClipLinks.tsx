import { Link } from 'react-router';
import type { ClipView } from './clipViews.js';

const MOST = 3;

/** Leads to the first few of some clips, each under the title of its footage. */
export const ClipLinks = ({ clips }: { readonly clips: readonly ClipView[] }): React.JSX.Element => (
  <>
    {clips.slice(0, MOST).map(({ clip, footage }) => (
      <Link key={clip.id} to={`/break-down/${footage.id}?clip=${clip.id}`}>
        {footage.title}
      </Link>
    ))}
  </>
);
