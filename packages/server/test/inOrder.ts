/** Every answer at the gate as it should be. */
export const IN_ORDER = {
  protection: { breathing: 'airFed', skin: true, eyes: true },
  breathingAirChecked: true,
  extraction: 'on',
  ignition: [],
  bystanders: false,
  floor: 'clear',
} as const;
