export const CHROMIUM: { package: string; path: string };
