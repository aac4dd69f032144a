import { useNavigate } from 'react-router';
import { v7 as newId } from 'uuid';
import { Picked } from '../../../design/index.js';
import { failureText, useLibrary } from '../../library/index.js';
import { useNewAngleMutation } from '../../server/index.js';
import { FOOTAGE_TEXT as T } from '../footage.text.js';

/** A file that shows what another camera has filmed too: it becomes an angle of that footage, to be lined up on the bench. */
export const AnotherCamera = ({
  fileId,
  onDone,
}: {
  readonly fileId: string;
  readonly onDone: () => void;
}): React.JSX.Element => {
  const { footage } = useLibrary();
  const [newAngle, { error }] = useNewAngleMutation();
  const navigate = useNavigate();
  const add = async (footageId: string): Promise<void> => {
    const id = newId();
    const made = await newAngle({ footageId, body: { editId: newId(), id, fileId, offsetMs: 0 } });
    onDone();
    if (!made.error) await navigate(`/break-down/${footageId}?camera=${id}`);
  };
  return (
    <>
      <Picked aria-label={T.anotherCamera} width="190px" value="" onChange={(event) => void add(event.target.value)}>
        <option value="">{T.anotherCamera} …</option>
        {footage.map((f) => (
          <option key={f.id} value={f.id}>
            {f.title}
          </option>
        ))}
      </Picked>
      {error && <span role="alert">{failureText(error)}</span>}
    </>
  );
};
