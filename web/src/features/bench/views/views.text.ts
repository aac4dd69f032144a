export const VIEWS_TEXT = {
  label: 'How well it shows',
  from: (code: string): string => `From ${code} on it is`,
  end: 'ends here',
  leave: 'Leave it',
  stretch: (kind: string, from: string, to: string): string => `${kind}, ${from} – ${to}`,
  remove: (what: string): string => `Take off: ${what}`,
} as const;
