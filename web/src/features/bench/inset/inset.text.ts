export const INSET_TEXT = {
  surface: 'The part of the picture that another camera filmed',
  hint: 'Drag from corner to corner over the small picture, or move the box with the arrows and its lower right corner with shift and the arrows. Enter makes it a camera of its own.',
} as const;
