/** How bad the pictures show it: one slider for all of them, kept on the device. */
import { useLocalStorage } from '@mantine/hooks';

const USUAL = 0.7;

export function useSeverity(): [number, (severity: number) => void] {
  const [severity, setSeverity] = useLocalStorage({
    key: 'orthochrom-severity',
    defaultValue: USUAL,
    getInitialValueInEffect: false,
  });
  return [severity, setSeverity];
}
