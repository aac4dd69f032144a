import { Box } from '@chakra-ui/react';
import { attemptCautions, finishOf } from '@odograph/core';
import { CautionNote, Sentence } from '../../../design/index.js';
import { useWords, type ClipView } from '../../library/index.js';

/** A clip as it was said, for those who watch. */
export const Said = ({ view }: { readonly view: ClipView }): React.JSX.Element => {
  const words = useWords();
  const end = finishOf(view.attempt, words);
  return (
    <Box paddingInline="4" paddingBlock="2.5" data-testid="said">
      <Box fontSize="19px">
        <Sentence said={view.said} subject={view.attempt.subject} />
      </Box>
      {view.clip.note && <Box color="inkSoft">{view.clip.note}</Box>}
      <CautionNote
        cautions={attemptCautions({ action: view.attempt.action, finish: end?.finish ?? null }, words)}
        short
      />
    </Box>
  );
};
