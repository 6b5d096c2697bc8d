/** Where the lamp of every picture stands over its width, 0 to 1, kept on the device. */
import { useLocalStorage } from '@mantine/hooks';

const USUAL = 0.22;

export function useLamp(): [number, (lampAt: number) => void] {
  const [lampAt, setLampAt] = useLocalStorage({
    key: 'orthochrom-lamp',
    defaultValue: USUAL,
    getInitialValueInEffect: false,
  });
  return [lampAt, setLampAt];
}
