import type { Scope } from '@odograph/core';
import { Picked } from '../../design/index.js';
import { useLibrary } from '../library/index.js';
import { useMeQuery } from '../server/index.js';
import { EVERYBODY } from './draft.js';
import { WORDS_TEXT as T, SCOPE_PICKED_TEXT } from './words.text.js';

/** For whom a word or a name holds. */
export const ScopePicked = ({
  label,
  scope,
  onChange,
}: {
  readonly label: string;
  readonly scope: Scope;
  readonly onChange: (scope: Scope) => void;
}): React.JSX.Element => {
  const { data: me } = useMeQuery();
  const { footage } = useLibrary();
  const value =
    scope.kind === 'academy'
      ? 'academy'
      : scope.kind === 'coach'
        ? `coach ${scope.accountId}`
        : `footage ${scope.footageId}`;
  const read = (said: string): Scope => {
    const [kind, id = ''] = said.split(' ');
    if (kind === 'coach') return { kind, accountId: id };
    return kind === 'footage' ? { kind, footageId: id } : EVERYBODY;
  };
  const isOther = scope.kind === 'coach' && scope.accountId !== me?.account.id;
  return (
    <Picked
      aria-label={label}
      fontSize="16px"
      maxWidth="220px"
      value={value}
      onChange={(e) => onChange(read(e.target.value))}
    >
      <option value="academy">{T.everybody}</option>
      {me && <option value={`coach ${me.account.id}`}>{T.onlyMe}</option>}
      {isOther && <option value={value}>{SCOPE_PICKED_TEXT.anotherCoach}</option>}
      {footage.map((f) => (
        <option key={f.id} value={`footage ${f.id}`}>
          {f.title}
        </option>
      ))}
    </Picked>
  );
};
