/** Listed one by one, so that bundling finds them; in the order in which they run. */
import { FirstPath1795400000000 } from './firstPath.ts';

export const migrations = [FirstPath1795400000000];
