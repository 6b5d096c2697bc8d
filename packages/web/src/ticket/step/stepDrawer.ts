/**
 * The drawer beside a step: other ways, what if, why. It stays as it was left, from step to step
 * and through a reload.
 */
import { useLocalStorage } from '@mantine/hooks';
import { createContext, use, type ReactNode } from 'react';

export type DrawerPage = 'ways' | 'whatIf' | 'why';

/** What stands in the drawer whatever the step. */
export const DrawerContents = createContext<{ whatIf: ReactNode; why: ReactNode }>({
  whatIf: null,
  why: null,
});
export const useDrawerContents = () => use(DrawerContents);

export function useDrawer(): [DrawerPage | '', (page: DrawerPage | '') => void] {
  const [page, setPage] = useLocalStorage<DrawerPage | ''>({
    key: 'orthochrom-drawer',
    defaultValue: '',
    getInitialValueInEffect: false,
  });
  return [page, setPage];
}
