export { FollowScreen } from './FollowScreen.js';
export { LeadLine } from './LeadLine.js';
export { LeadPointer } from './LeadPointer.js';
export { FOLLOW_TEXT } from './follow.text.js';
export { useFollowing } from './useFollowing.js';
export { useLeading } from './useLeading.js';
