/** A panel's name as it is said. */
const PANEL_WORDS: Record<string, string> = {
  hood: 'bonnet',
  roof: 'roof',
  trunk: 'boot lid',
  tailgate: 'tailgate',
  frontBumper: 'front bumper',
  rearBumper: 'rear bumper',
  tank: 'tank',
};

/** "leftFrontDoor" → "left front door"; free names stay as they are. */
export const panelName = (name: string): string =>
  PANEL_WORDS[name] ?? name.replace(/([a-z])([A-Z])/g, '$1 $2').toLowerCase();
