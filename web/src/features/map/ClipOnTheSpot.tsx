import { Box, Flex } from '@chakra-ui/react';
import { attemptCautions } from '@odograph/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { Action, CautionNote, Sentence } from '../../design/index.js';
import { useWords, type ClipView } from '../library/index.js';
import { FrameVideo, partOf, playsByItself, usePlayer, usePlayerState } from '../player/index.js';
import { CLIP_ON_THE_SPOT_TEXT } from './map.text.js';

const Playing = ({ view }: { readonly view: ClipView }): React.JSX.Element => {
  const { clip } = view;
  const handle = usePlayer(view.file, {
    frame: clip.in.frame,
    loop: { inFrame: clip.in.frame, outFrame: clip.out.frame },
    play: playsByItself(),
  });
  const isPlaying = usePlayerState(handle, (state) => state.playing);
  return (
    <Box height="203px">
      <Box asChild width="100%" height="100%" cursor="pointer">
        <button
          type="button"
          aria-label={isPlaying ? CLIP_ON_THE_SPOT_TEXT.holdThePicture : CLIP_ON_THE_SPOT_TEXT.play}
          onClick={() => handle.player?.toggle()}
        >
          <FrameVideo handle={handle} label={view.footage.title} part={partOf(view.angle, view.file)} />
        </button>
      </Box>
    </Box>
  );
};

/** Plays the clips behind a line where one stands, each over and over until the next is asked for. */
export const ClipOnTheSpot = ({ clips }: { readonly clips: readonly ClipView[] }): React.JSX.Element | null => {
  const words = useWords();
  const [at, setAt] = useState(0);
  const view = clips[Math.min(at, clips.length - 1)];
  if (!view) return null;
  const cautions = attemptCautions(view.attempt, words);
  return (
    <Box data-testid="on-the-spot" marginBottom="4">
      <Playing key={view.clip.id} view={view} />
      <Box fontSize="14px" marginTop="1.5" lineHeight="1.35">
        <Sentence said={view.said} subject={view.attempt.subject} />
      </Box>
      <Flex gap="2" alignItems="center" marginTop="1.5" marginBottom="2">
        {clips.length > 1 && (
          <Action onClick={() => setAt((at + 1) % clips.length)}>
            {CLIP_ON_THE_SPOT_TEXT.next(at + 1, clips.length)}
          </Action>
        )}
        <Action asChild tone="quiet">
          <Link to={`/break-down/${view.footage.id}?clip=${view.clip.id}`}>{CLIP_ON_THE_SPOT_TEXT.openItToBreak}</Link>
        </Action>
      </Flex>
      <CautionNote cautions={cautions} short />
    </Box>
  );
};
