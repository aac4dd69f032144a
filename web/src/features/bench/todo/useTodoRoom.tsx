import { BARE_TODO } from '@odograph/core';
import { v7 as newId } from 'uuid';
import { useToday } from '../../library/index.js';
import { useEdit } from '../../replica/index.js';
import { AskLine, type Desk, type Room } from '../desk/index.js';
import { ASK_KEYS } from '../keys/index.js';
import { TODO_LINE_TEXT as T } from './todo.text.js';
import { todoSaid } from './todoLine.js';

/** Puts the frame that is shown on the lists that stay open, with what there is to do about it, in one line. */
export const useTodoRoom = ({ bench, handle, hand, move, mayWrite, selected, toPicture }: Desk): Room => {
  const edit = useEdit();
  const opened = useToday();
  const leave = (): void => {
    move({ does: 'answer' });
    toPicture();
  };
  const onSaid = (typed: string): boolean => {
    const said = todoSaid(typed);
    if (!said) return false;
    const at = { angleId: bench.angle.id, frame: handle.frame() };
    edit({
      kind: 'new todo',
      todo: {
        ...{ ...BARE_TODO, ...said, id: newId(), version: 0, footageId: bench.footage.id, at },
        opened,
        clipIds: selected ? [selected.clip.id] : [],
      },
    });
    return true;
  };
  if (!mayWrite) return {};
  return {
    keys: { '!': () => move({ does: 'ask', asks: 'to do' }) },
    ...(hand.is === 'question' &&
      hand.asks === 'to do' && {
        hints: ASK_KEYS,
        panel: <AskLine label={T.label} hint={T.hint} refusal={T.refusal} onSaid={onSaid} onLeave={leave} />,
      }),
  };
};
