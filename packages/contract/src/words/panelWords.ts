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

/** A key of the body maps as it is said; what the painter called himself stays as he wrote it. */
export const mappedName = (name: string): string =>
  name in PANEL_WORDS || /^[a-z]+([A-Z][a-z]+)+$/.test(name) ? panelName(name) : name;

/** "leftFrontDoor" → "left front door"; free names stay as they are. */
export const panelName = (name: string): string =>
  PANEL_WORDS[name] ?? name.replace(/([a-z])([A-Z])/g, '$1 $2').toLowerCase();
