/** Whether pictures may begin to move by themselves: not for somebody who has asked their machine for less motion. */
export const playsByItself = (): boolean => !window.matchMedia('(prefers-reduced-motion: reduce)').matches;
