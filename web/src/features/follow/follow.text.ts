export const FOLLOW_TEXT = {
  title: 'Follow',
  nobody: 'Nobody leads right now. On the bench, press > to lead; what’s seen there is seen here.',
  leads: (name: string): string => `${name} leads`,
  youLead: 'You lead',
  followers: (n: number): string =>
    n === 0
      ? 'nobody follows yet (open Follow in another window)'
      : n === 1
        ? '1 window follows'
        : `${n} windows follow`,
  ask: 'Ask for the wheel',
  asked: 'You’ve asked for the wheel',
  asks: (name: string): string => `${name} asks for the wheel`,
  give: 'Give it',
  take: 'Take the wheel',
  stop: 'Stop leading',
  close: 'Close',
  away: 'You’re looking for yourself.',
  back: 'Back to where they are (B)',
  notHere: 'You can’t see this footage.',
  open: 'Open Follow',
  kept: (code: string): string => `Kept: ${code}`,
  backTo: 'Back there',
  lost: 'The line to the server is down. It goes on by itself.',
} as const;
