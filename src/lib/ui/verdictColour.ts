export const VERDICT_COLOUR = {
  holds: 'text-holds',
  tight: 'text-tight',
  stop: 'text-stop',
  unknown: 'text-unknown',
} as const;
