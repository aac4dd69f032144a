export {
  depthChoices,
  entryChoices,
  finishChoices,
  placeChoices,
  reactionChoices,
  reasonChoices,
  resultChoices,
} from './choices.js';
