import type { FootageSpan } from '@odograph/core';
import { useNavigate } from 'react-router';
import { v7 as newId } from 'uuid';
import { failureText } from '../../library/index.js';
import { useNewAngleMutation } from '../../server/index.js';
import { type OnBench } from '../desk/index.js';
import { type Stretches } from './useStretches.js';

/** How slow a replay is taken to be until two instants of it are found. */
const USUAL_REPLAY = 0.5;

export type OtherFootage = {
  readonly say: (kind: FootageSpan['kind']) => void;
  readonly show: (footageId: string | null) => void;
  /** Why it could not be done. */
  readonly problem: string | undefined;
};

/** Stretches of the file in hand that show something else: a replay, which becomes a camera of this footage; or other footage, which gets an angle of it. */
export const useOtherFootage = (bench: OnBench, spans: Stretches): OtherFootage => {
  const [newAngle, { error }] = useNewAngleMutation();
  const navigate = useNavigate();
  const { file, footage } = bench;
  const stretch = spans.inHand ? spans.framesOf(spans.inHand.span) : undefined;
  return {
    problem: error && failureText(error),
    say: (kind) => {
      spans.say(kind);
      const isAgain = spans.inHand?.stands?.kind === kind;
      if (kind !== 'replay' || isAgain || !stretch || !spans.inHand) return;
      void newAngle({
        footageId: footage.id,
        body: {
          editId: newId(),
          id: newId(),
          fileId: file.id,
          fromFrame: stretch.inFrame,
          toFrame: stretch.outFrame,
          kind: 'replay',
          rate: USUAL_REPLAY,
          // it shows what was just before it
          offsetMs: spans.inHand.span.fromMs - (spans.inHand.span.toMs - spans.inHand.span.fromMs) * USUAL_REPLAY,
        },
      });
    },
    show: (footageId) => {
      if (!stretch) return;
      const { inFrame, outFrame } = stretch;
      if (footageId === null) {
        void navigate(`/footage?of=${file.id}&from=${inFrame}&to=${outFrame}`);
        return;
      }
      const id = newId();
      void newAngle({
        footageId,
        body: { editId: newId(), id, fileId: file.id, fromFrame: inFrame, toFrame: outFrame, offsetMs: 0 },
      }).then((made) => {
        if (!made.error) void navigate(`/break-down/${footageId}?camera=${id}`);
      });
    },
  };
};
