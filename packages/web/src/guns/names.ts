export const TRUST_NAME = {
  good: 'gauge trusted',
  doubtful: 'gauge doubtful',
  none: 'no gauge of its own',
} as const;
