import { useState } from 'react';
import { Link } from 'react-router';
import { LeadLine, useFollowing } from '../follow/index.js';
import { ROUTE_LEAD_TEXT as T } from './routes.text.js';
import { useMayWrite } from '../library/index.js';

export type RouteLeading = {
  readonly isOn: boolean;
  readonly toggle: () => void;
  readonly follow: ReturnType<typeof useFollowing>;
};

/** A route that is played can lead: whoever follows sees its steps, each from its own copy. */
export const useRouteLead = (): RouteLeading => {
  const mayWrite = useMayWrite();
  const [isOn, setOn] = useState(false);
  const follow = useFollowing(isOn);
  const toggle = (): void => {
    if (!mayWrite) return;
    if (isOn && follow.isLead) follow.wheel('leave');
    if (!isOn) follow.wheel('take');
    setOn(!isOn);
  };
  return { isOn, toggle, follow };
};

/** Who follows, while a route leads. */
export const RouteLead = ({
  lead: { isOn, toggle, follow },
}: {
  readonly lead: RouteLeading;
}): React.JSX.Element | null =>
  isOn ? (
    <LeadLine follow={follow} mayLead onStop={toggle}>
      <Link to="/follow" target="_blank">
        {T.open}
      </Link>
    </LeadLine>
  ) : null;
