/** The browser that journeys and screenshots run in: Debian's Chromium without a window. */
export const CHROMIUM = {
  package: 'chromium-headless-shell',
  path: '/usr/bin/chromium-headless-shell',
};
